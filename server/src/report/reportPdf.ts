import { createRequire } from 'node:module';
import PdfPrinter from 'pdfmake';
import type { Content, ContentStack, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { PartState } from '@white-ember/core/ledger';
import { say, type Words } from '@white-ember/core/words';
import {
  flowChartSvg,
  type Report,
  type ReportBlock,
  type ReportLine,
  type ReportSection,
} from '@white-ember/core/report';
import { printableText } from './printableText.ts';

/** Photos as data of the file, by their id; of one that a PDF cannot hold it is said. */
export type ReportImages = ReadonlyMap<string, string>;

const INK = '#211e1b';
const INK2 = '#514b44';
const RULE = '#d8cfc3';
const STEEL = '#1d5472';
const EMBER = '#8a2c04';

const MM = 72 / 25.4;
const MARGIN = 13 * MM;
const WIDTH = 210 * MM - 2 * MARGIN;
const CHART_HEIGHT = 66 * MM;
const GAP = 14;
const TEXT = 8.6;

/** The font that comes with the PDF library: it has the Greek and mathematical signs that our pages' fonts lack. */
function fontsOf(): ConstructorParameters<typeof PdfPrinter>[0] {
  const vfs = createRequire(import.meta.url)('pdfmake/build/vfs_fonts.js') as Record<string, string>;
  const font = (name: string): Buffer => Buffer.from(vfs[name] ?? '', 'base64');
  return {
    Roboto: {
      normal: font('Roboto-Regular.ttf'),
      bold: font('Roboto-Medium.ttf'),
      italics: font('Roboto-Italic.ttf'),
      bolditalics: font('Roboto-MediumItalic.ttf'),
    },
  };
}

let printer: PdfPrinter | undefined;

/** The state of a part by shape, as on the pages: it reads without colour. */
function markSvg(state: PartState): string {
  const line = `fill="none" stroke="${INK}" stroke-width="2"`;
  const shapes: Readonly<Record<PartState, string>> = {
    'not-looked-at': `<circle cx="0" cy="0" r="6.5" ${line} stroke-dasharray="2.6 2.5"/>`,
    sound: `<circle cx="0" cy="0" r="7.5" fill="${INK}"/><path d="M-3.5 0.2 L-1 2.9 L3.8 -2.6" fill="none" stroke="#ffffff" stroke-width="2"/>`,
    'proven-clear': `<circle cx="0" cy="0" r="7.5" fill="${INK}"/><path d="M-3.5 0.2 L-1 2.9 L3.8 -2.6" fill="none" stroke="#ffffff" stroke-width="2"/>`,
    doubtful: `<path d="M0 -8 L8 0 L0 8 L-8 0 Z" ${line}/><path d="M0 -8 L0 8 L-8 0 Z" fill="${INK}"/>`,
    failed: `<path d="M-3 -7.5 H3 L7.5 -3 V3 L3 7.5 H-3 L-7.5 3 V-3 Z" ${line}/><path d="M-3.2 -3.2 L3.2 3.2 M3.2 -3.2 L-3.2 3.2" ${line}/>`,
    replaced: `<circle cx="0" cy="0" r="7" ${line}/><path d="M-3.8 0 H3.8 M0 -3.8 V3.8" ${line}/>`,
  };
  return `<svg xmlns="http://www.w3.org/2000/svg" width="20" height="20" viewBox="-10 -10 20 20">${shapes[state]}</svg>`;
}

const lineOf = ({ mark, lead, text }: ReportLine): Content => {
  const words = [...(lead ? [{ text: `${lead} `, bold: true }] : []), text];
  return mark
    ? {
        columns: [
          { svg: markSvg(mark), width: 11 },
          { text: words, width: '*' },
        ],
        columnGap: 5,
        margin: [0, 1, 0, 1],
      }
    : { text: words, margin: [0, 1, 0, 1] };
};

const rules = {
  hLineWidth: (i: number) => (i === 1 ? 1 : i === 0 ? 0 : 0.5),
  vLineWidth: () => 0,
  hLineColor: (i: number) => (i === 1 ? INK : RULE),
  paddingLeft: (i: number) => (i === 0 ? 0 : 8),
  paddingRight: () => 2,
  paddingTop: () => 2.5,
  paddingBottom: () => 2.5,
};

function blockOf(block: ReportBlock, width: number, words: Words, images: ReportImages): Content[] {
  switch (block.kind) {
    case 'lines':
      return block.lines.map(lineOf);
    case 'table':
      return [
        {
          layout: rules,
          table: {
            headerRows: 1,
            widths: block.columns.map((_, i) => (i === 0 ? '*' : 'auto')),
            body: [
              block.columns.map((text, i) => ({ text, bold: true, alignment: i === 0 ? 'left' : 'right' })),
              ...block.rows.map((row) =>
                row.map((text, i) => ({ text, alignment: i === 0 ? ('left' as const) : ('right' as const) })),
              ),
            ] as Content[][],
          },
        },
        ...(block.note
          ? [{ text: block.note, color: INK2, fontSize: 7.5, margin: [0, 2, 0, 0] } as Content]
          : []),
      ];
    case 'chart':
      return [
        {
          svg: flowChartSvg(block.picture, words, {
            width,
            height: CHART_HEIGHT,
            font: 'Roboto',
            ink: INK,
            ink2: INK2,
            rule: RULE,
            paper: '#ffffff',
            tones: { before: STEEL, after: EMBER, log: EMBER },
          }),
          width,
        },
      ];
    case 'photos': {
      const shown = block.photos.flatMap(({ id, caption }) => {
        const image = images.get(id);
        return image ? [{ image, caption }] : [];
      });
      const missing = block.photos.length - shown.length;
      const each = (width - 3 * 8) / 4;
      return [
        ...(missing === 0
          ? []
          : [
              {
                text: words.say(say('report.photos-not-printed', { count: missing })),
                color: INK2,
                fontSize: 7.5,
              } as Content,
            ]),
        ...(shown.length === 0
          ? []
          : [
              {
                columns: shown.map(({ image, caption }) => ({
                  stack: [
                    { image, fit: [each, each * 0.75] },
                    { text: caption, fontSize: 7.5, margin: [0, 2, 0, 0] },
                  ],
                  width: each,
                })),
                columnGap: 8,
              } as Content,
            ]),
      ];
    }
    case 'record': {
      const half = Math.ceil(block.lines.length / 2);
      const column = (lines: readonly string[]): ContentStack => ({
        stack: lines.map((text) => ({ text, fontSize: 7.5, margin: [0, 0.5, 0, 0.5] })),
      });
      return [
        { columns: [column(block.lines.slice(0, half)), column(block.lines.slice(half))], columnGap: GAP },
      ];
    }
  }
}

/** Entries of a record that go to the next page with their heading; a longer one begins where there is room. */
const RECORD_KEPT_WHOLE = 60;

const sectionOf = (
  section: ReportSection,
  width: number,
  words: Words,
  images: ReportImages,
): ContentStack => ({
  stack: [
    { text: section.title, style: 'section' },
    ...section.blocks.flatMap((block) => blockOf(block, width, words, images)),
  ],
  unbreakable: section.blocks.every(
    (block) => block.kind !== 'record' || block.lines.length <= RECORD_KEPT_WHOLE,
  ),
});

/** Halves stand beside each other in twos. */
function bodyOf(sections: readonly ReportSection[], words: Words, images: ReportImages): Content[] {
  const body: Content[] = [];
  for (let i = 0; i < sections.length; i++) {
    const [section, next] = [sections[i] as ReportSection, sections[i + 1]];
    if (section.half && next?.half) {
      const width = (WIDTH - GAP) / 2;
      body.push({
        columns: [section, next].map((half) => ({ ...sectionOf(half, width, words, images), width })),
        columnGap: GAP,
        margin: [0, 6, 0, 0],
      });
      i++;
    } else body.push({ ...sectionOf(section, WIDTH, words, images), margin: [0, 6, 0, 0] });
  }
  return body;
}

const overline = (text: string): Content => ({
  stack: [
    { canvas: [{ type: 'line', x1: 0, y1: 0, x2: WIDTH / 2 - GAP, y2: 0, lineWidth: 1, lineColor: INK }] },
    { text, margin: [0, 3, 0, 0] },
  ],
});

/** The report as a PDF of A4 pages: text that can be selected, the chart as vectors. */
export function reportPdf(told: Report, words: Words, images: ReportImages): PDFKit.PDFDocument {
  const report = printableText(told);
  const definition: TDocumentDefinitions = {
    pageSize: 'A4',
    pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN],
    info: {
      title: `${report.title}, ${report.about[0] ?? ''}`,
      author: report.workshop,
      creator: report.software,
    },
    defaultStyle: { font: 'Roboto', fontSize: TEXT, color: INK, lineHeight: 1.08 },
    styles: { section: { fontSize: 11, bold: true, margin: [0, 0, 0, 2] } },
    footer: (page, pages) => ({
      columns: [
        { text: report.software, color: INK2 },
        {
          text: words.say(say('report.page', { title: report.title, page, pages })),
          alignment: 'right',
          color: INK2,
        },
      ],
      fontSize: 7,
      margin: [MARGIN, 10, MARGIN, 0],
    }),
    content: [
      {
        columns: [
          {
            stack: [
              { text: report.workshop, bold: true, color: EMBER },
              { text: report.title, fontSize: 19, bold: true, margin: [0, 4, 0, 0] },
            ],
            width: '*',
          },
          { stack: report.about.map((text) => ({ text, alignment: 'right' as const })), width: 'auto' },
        ],
      },
      { canvas: [{ type: 'line', x1: 0, y1: 4, x2: WIDTH, y2: 4, lineWidth: 3, lineColor: INK }] },
      { text: report.headline, fontSize: 15, bold: true, margin: [0, 8, 0, 1] },
      { text: report.under, ...(report.version === 'plain' ? { fontSize: 10.5 } : { color: INK2 }) },
      ...bodyOf(report.sections, words, images),
      {
        columns: [overline(report.signedOff), overline(words.say(say('report.customer')))],
        columnGap: GAP,
        margin: [0, 22, 0, 0],
        unbreakable: true,
      },
    ],
  };
  printer ??= new PdfPrinter(fontsOf());
  return printer.createPdfKitDocument(definition);
}
