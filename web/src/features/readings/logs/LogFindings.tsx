import * as wording from '@white-ember/core/words/screens/readings';
import { Say } from '../../../ui/Say.tsx';
import type { Finding, LogAnalysis } from '@white-ember/core/readings';

const LEVELS: Record<Finding['level'], string> = {
  fault: 'fault',
  watch: 'watch',
  info: wording.forInformation,
};
const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;

/** What the log shows, as sentences; each leads to its stretch of time. */
export function LogFindings({
  analysis,
  chosen,
  onChoose,
}: {
  analysis: LogAnalysis;
  chosen?: number | undefined;
  onChoose?: (index: number) => void;
}) {
  const { findings } = analysis;
  if (findings.length === 0) {
    return <p>{wording.noFaultFoundByTheTestsThis}</p>;
  }
  return (
    <ol className="grid gap-1.5">
      {findings.map((finding, i) => {
        const where =
          finding.startS === undefined || finding.endS === undefined
            ? wording.theWholeLog
            : `${clock(finding.startS)}–${clock(finding.endS)}`;
        const words = (
          <>
            <span className="figure-text">{i + 1}</span> <Say it={finding.text} />
            <span className="text-sm text-ink2">
              {' '}
              · {LEVELS[finding.level]} · {where}
            </span>
          </>
        );
        const look = `block w-full text-left border-l-8 pl-3 py-1 ${finding.level === 'fault' ? 'border-ember' : 'border-ink'} ${chosen === i ? 'bg-card outline-2 outline-ink' : ''}`;
        return (
          <FindingRow
            key={`${finding.id} ${finding.startS ?? ''}`}
            onChoose={onChoose}
            look={look}
            chosen={chosen}
            i={i}
            words={words}
          />
        );
      })}
    </ol>
  );
}

/** One finding; chosen, it is shown in the traces. */
function FindingRow({
  onChoose,
  look,
  chosen,
  i,
  words,
}: {
  onChoose: ((index: number) => void) | undefined;
  look: string;
  chosen: number | undefined;
  i: number;
  words: React.JSX.Element;
}) {
  return (
    <li>
      {onChoose ? (
        <button
          type="button"
          className={`${look} min-h-11`}
          aria-pressed={chosen === i}
          onClick={() => onChoose(i)}
        >
          {words}
        </button>
      ) : (
        <p className={look}>{words}</p>
      )}
    </li>
  );
}
