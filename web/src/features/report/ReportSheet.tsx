import type { Words } from '@white-ember/core/words';
import type { Report, ReportBlock, ReportSection } from '@white-ember/core/report';
import { EmberMark } from '../../ui/EmberMark.tsx';
import { StateMark } from '../../ui/StateMark.tsx';
import { FlowChart } from '../../ui/FlowChart.tsx';

interface SheetProps {
  readonly report: Report;
  /** Where a photo is found. */
  readonly photoAt?: (id: string) => string;
  /** The words that it is told in. */
  readonly words: Words;
}

/** A report as a sheet of paper; its words are core’s, so that the PDF cannot say anything else. */
export function ReportSheet({ report, photoAt = (id) => `/api/photos/${id}`, words }: SheetProps) {
  return (
    <>
      <ReportHead report={report} />
      <section>
        <h2 className="text-2xl leading-tight">{report.headline}</h2>
        <p className={report.version === 'plain' ? 'text-lg' : 'text-ink2'}>{report.under}</p>
      </section>
      {inRows(report.sections).map((row) => (
        <div
          key={row.map(({ title }) => title).join()}
          className={row.length > 1 ? 'grid sm:grid-cols-2 print:grid-cols-2 gap-6' : ''}
        >
          {row.map((section) => (
            <section key={section.title} className="break-inside-avoid">
              <h2 className="text-lg mb-1">{section.title}</h2>
              {section.blocks.map((block, i) => (
                <Block key={i} block={block} photoAt={photoAt} words={words} />
              ))}
            </section>
          ))}
        </div>
      ))}
      <footer className="flex justify-between gap-8 pt-6 text-sm break-inside-avoid">
        <p className="border-t-2 border-ink grow pt-1">{report.signedOff}</p>
        <p className="border-t-2 border-ink grow pt-1">{words.name('report', 'customer')}</p>
        <p className="text-ink2 pt-1">{report.software}</p>
      </footer>
    </>
  );
}

/** Workshop, vehicle and date at the top of a report. */
function ReportHead({ report }: { report: Report }) {
  return (
    <header className="flex justify-between gap-6 border-b-4 border-ink pb-2">
      <div>
        <p className="font-head font-semibold flex items-center gap-2">
          <EmberMark /> {report.workshop}
        </p>
        <h1 className="text-3xl mt-2">{report.title}</h1>
      </div>
      <p className="text-right text-sm">
        {report.about.map((line) => (
          <span key={line} className="block">
            {line}
          </span>
        ))}
      </p>
    </header>
  );
}

/** Halves stand beside each other in twos. */
function inRows(sections: readonly ReportSection[]): (readonly ReportSection[])[] {
  const rows: ReportSection[][] = [];
  for (const section of sections) {
    const last = rows.at(-1);
    if (section.half && last?.length === 1 && last[0]?.half) last.push(section);
    else rows.push([section]);
  }
  return rows;
}

function Block({
  block,
  photoAt,
  words,
}: {
  block: ReportBlock;
  photoAt: (id: string) => string;
  words: Words;
}) {
  switch (block.kind) {
    case 'lines':
      return <LineList block={block} />;
    case 'table':
      return (
        <>
          <TableBlock block={block} />
          {block.note ? <p className="text-sm text-ink2 mt-1">{block.note}</p> : null}
        </>
      );
    case 'chart':
      return (
        <>
          <h3 className="sr-only">{words.name('chart', 'title')}</h3>
          <FlowChart picture={block.picture} still told={words} className="h-[86mm]" />
        </>
      );
    case 'photos':
      return <PhotoBlock block={block} photoAt={photoAt} words={words} />;
    case 'record':
      return (
        <ol className="text-sm sm:columns-2 print:columns-2 gap-6">
          {block.lines.map((line) => (
            <li key={line} className="break-inside-avoid">
              {line}
            </li>
          ))}
        </ol>
      );
  }
}

/** Photos with their captions. */
function PhotoBlock({
  block,
  photoAt,
  words,
}: {
  block: Extract<ReportBlock, { kind: 'photos' }>;
  photoAt: (id: string) => string;
  words: Words;
}) {
  return (
    <ul className="grid grid-cols-2 sm:grid-cols-4 print:grid-cols-4 gap-3">
      {block.photos.map(({ id, caption }) => (
        <li key={id}>
          <img
            src={photoAt(id)}
            alt={caption === '' ? words.name('report', 'photo-of-the-job') : caption}
            className="w-full h-32 print:h-28 object-cover border border-rule"
          />
          <span className="text-sm">{caption}</span>
        </li>
      ))}
    </ul>
  );
}

/** Figures in rows. */
function TableBlock({ block }: { block: Extract<ReportBlock, { kind: 'table' }> }) {
  return (
    <table className="w-full text-left">
      <thead className="border-b-2 border-ink text-[15px]">
        <tr>
          {block.columns.map((column, i) => (
            <th key={column} className={i === 0 ? 'py-1' : 'text-right'}>
              {column}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {block.rows.map((row) => (
          <tr key={row[0]} className="border-b border-rule">
            {row.map((cell, i) => (
              <td key={block.columns[i]} className={i === 0 ? 'py-1' : 'text-right'}>
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Lines, each with its mark. */
function LineList({ block }: { block: Extract<ReportBlock, { kind: 'lines' }> }) {
  return (
    <ul className="grid gap-1">
      {block.lines.map(({ mark, lead, text }) => (
        <li key={`${lead ?? ''} ${text}`} className={mark ? 'flex gap-2' : ''}>
          {mark ? <StateMark state={mark} size={17} /> : null}
          <span>
            {lead ? <b>{lead} </b> : null}
            {text}
          </span>
        </li>
      ))}
    </ul>
  );
}
