import { ENGLISH, inEnglish, PLAIN_WORDS, measuresOf, METRIC, spoken, wordsOf } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import type { Advice } from '../contract/index.ts';
import {
  adviceOf,
  deriveJob as deriveJobInCodes,
  judgeJob as judgeJobInCodes,
  type JobFacts,
} from '../job/index.ts';
import type { EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { assumedGrowth, tellOutlook, type Visit, type VehicleOutlook } from '../outlook/index.ts';
import { madeEntry, madeId, PROVEN_PATH } from '../testing/madeEntries.ts';
import { DISPLACEMENT_L, FILTER, madeReading } from '../testing/madeReadings.ts';
import {
  flowChartSvg,
  reportOf,
  type ChartLook,
  type Report,
  type ReportBlock,
  type ReportVersion,
} from './index.ts';

const deriveJob = spoken(deriveJobInCodes);
const judgeJob = spoken(judgeJobInCodes);

const story: readonly EntryBody[] = [
  { kind: 'complaint', text: 'Lamp on, told to buy a filter', distanceKm: 142_300, powerLimited: true },
  { kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] },
  madeReading('before', { sootG: 35 }),
  { kind: 'cause', cause: 'short-trips', state: 'confirmed', why: 'Two kilometres to the school' },
  { kind: 'work', work: 'chemical-clean', what: 'One fill', fluid: 'Fenwash D', fluidL: 1.2 },
  madeReading('after', { sootG: 3 }),
  ...PROVEN_PATH,
  { kind: 'reset', reset: 'reset-soot', source: 'hand', before: { sootG: 36 }, after: { sootG: 0 } },
  { kind: 'photo', photo: madeId(500), caption: 'Outlet face' },
];
const rest: readonly EntryBody[] = [
  {
    kind: 'drive',
    distanceKm: 14,
    powerLimitGone: true,
    reportedBy: 'technician',
    sootStartG: 0,
    sootEndG: 1,
  },
  { kind: 'code-scan', when: 'after-drive', codes: [] },
  { kind: 'sign-off', remains: 'See it again in 8000 km' },
];

const madeVisit = (
  number: number,
  day: string,
  km: number,
  { before, after, causes = [] }: { before: number; after: number; causes?: Visit['causes'] },
): Visit => {
  const about = (value: number) => ({ value, low: 0.95 * value, high: 1.05 * value });
  return {
    jobId: madeId(800 + number),
    number,
    at: `${day}T08:00:00.000Z`,
    km,
    before: about(before),
    after: about(after),
    filter: 'cleaned-in-place',
    causes,
  };
};

const factsOf = (bodies: readonly EntryBody[]): JobFacts => ({
  limits: DEFAULT_LIMITS,
  displacementL: DISPLACEMENT_L,
  geometry: FILTER,
  fitted: ['dp-sensor', 'egt3'],
  entries: bodies.map((body, i) => madeEntry(i + 1, body)),
});

function report(
  version: ReportVersion,
  bodies: readonly EntryBody[],
  told?: VehicleOutlook,
  advice?: Advice,
): Report {
  const filter = { ...FILTER, basis: 'measured' };
  return reportOf(
    {
      derived: deriveJob(factsOf(bodies)),
      job: { number: 12, openedAt: '2026-05-11T07:30:00.000Z' },
      vehicle: {
        plate: 'GR 22 PU',
        model: 'Grell 2.2 pickup',
        displacementL: DISPLACEMENT_L,
        filter,
        customer: { name: 'Hollis Winterbourne' },
      },
      workshop: 'Quillfeather Aftertreatment',
      limits: DEFAULT_LIMITS,
      told,
      advice,
    },
    version,
    wordsOf([ENGLISH], measuresOf({ units: { ...METRIC, pressure: 'kPa' }, timeZone: 'Europe/London' })),
  );
}

const textOf = (block: ReportBlock): string => {
  switch (block.kind) {
    case 'lines':
      return block.lines.map(({ lead = '', text }) => `${lead} ${text}`).join('\n');
    case 'table':
      return [block.columns, ...block.rows, [block.note ?? '']].map((row) => row.join(' ')).join('\n');
    case 'record':
      return block.lines.join('\n');
    case 'photos':
      return block.photos.map(({ caption }) => caption).join('\n');
    case 'chart':
      return 'chart';
  }
};
const whole = ({ headline, under, sections }: Report): string =>
  [headline, under, ...sections.flatMap(({ title, blocks }) => [title, ...blocks.map(textOf)])].join('\n');

describe('the report', () => {
  it('for the next technician has every figure with its limit, what was set back, and what is still to show', () => {
    const text = whole(report('technical', story));
    expect(text).toMatch(/Pressure drop at equal flow down 8\d %/);
    expect(text).toMatch(/Fenwash D, 1\.2 L/);
    expect(text).toMatch(/Soot counter reset\. 36\.0 g → 0\.0 g/);
    expect(text).toMatch(/A drive after the work \(outstanding\)/);
    expect(text).toMatch(/ΔP in kPa/);
    expect(text).toMatch(/Starting values.*at least 25 %/);
    expect(text).toMatch(/Outlet face/);
    expect(text).toMatch(/11 May, 09:01 · complaint/);
  });

  it('of a job that is not over says what the list of jobs says: what is next, and whether it may be driven', () => {
    const advice = adviceOf(judgeJob(factsOf(story)), DEFAULT_LIMITS, 'this');
    const text = whole(report('technical', story, undefined, advice));
    expect(text).toContain(`Next: ${inEnglish(advice).next?.title ?? 'nothing'}`);
    expect(text).toMatch(/Proposed: /);
    expect(whole(report('plain', story, undefined, advice))).not.toMatch(/Proposed/);
  });

  it('for the customer says in plain words whether it is cured, why it came and what remains', () => {
    const open = report('plain', story);
    expect(open.headline).toBe('The filter is free again; final checks are outstanding');
    const text = whole(report('plain', [...story, ...rest]));
    expect(text).toMatch(/Fixed, and proved/);
    expect(text).toMatch(/At the same exhaust flow the filter holds back 8\d % less than before/);
    expect(text).toMatch(/See it again in 8000 km/);
    expect(text).toMatch(/gutting a filter is illegal/);
    for (const jargon of ['ΔP', 'restriction', 'P2463', 'equal flow', 'Limits'])
      expect(text, jargon).not.toContain(jargon);
  });

  it('says what is to be done and when it is due again, as long as the vehicle was not here since', () => {
    const at = (number: number, open: boolean): VehicleOutlook =>
      tellOutlook(
        'Grell 2.2',
        [
          madeVisit(11, '2026-01-05', 134_300, { before: 5, after: 1.2 }),
          madeVisit(number, '2026-05-11', 142_300, {
            before: 4.6,
            after: 1.3,
            causes: [{ cause: 'injector-over-fuelling', open, fills: true }],
          }),
        ],
        assumedGrowth(DEFAULT_LIMITS),
        DEFAULT_LIMITS,
      );
    const own: EntryBody = { kind: 'follow-up', what: 'Ring about the idle', due: '2026-06-01' };
    for (const version of ['plain', 'technical'] as const) {
      const text = whole(report(version, [...story, own], at(12, true)));
      expect(text).toMatch(/To do: Ring about the idle, by 1 June 2026/);
      expect(text).toMatch(/To do: Read the filter again after 200 km, at 142,500 km \(A cause was found/);
      expect(text).toMatch(/due again in about [\d,]+ km, around \d+ \w+ 2026/);
      expect(text).toMatch(/80 % range [\d,]+ km to/);
      expect(text).toMatch(/Not repaired yet: .* Back within 2500 km, chance \d+ %/);
    }
    expect(whole(report('plain', story, at(12, false)))).not.toMatch(/Not put right yet/);
    // Its next job has a report of its own that says it.
    expect(whole(report('plain', story, at(13, true)))).not.toMatch(/due again in/);
    expect(whole(report('plain', story))).not.toMatch(/When it is due again/);
  });

  it('has a headline of its own for every verdict', () => {
    const full = madeReading('after', { sootG: 34 });
    const worse = madeReading('after', { sootG: 60 });
    const heads = [
      story.slice(0, 2),
      story,
      [...story, ...rest],
      [...story.slice(0, 5), full],
      [...story.slice(0, 5), worse],
      [...story.slice(0, 5), madeReading('after', { sootG: 20 })],
    ].map((bodies) => report('plain', bodies).headline);
    expect(new Set(heads).size).toBe(heads.length);
  });
});

describe('its chart', () => {
  const look: ChartLook = {
    width: 500,
    height: 240,
    font: 'Roboto',
    ink: '#211e1b',
    ink2: '#514b44',
    rule: '#d8cfc3',
    paper: '#ffffff',
    tones: { before: '#1d5472', after: '#c2410c', log: '#c2410c' },
  };
  const picture = report('technical', story)
    .sections.flatMap(({ blocks }) => blocks)
    .find((block) => block.kind === 'chart')?.picture;

  it('is vectors and text: curves, both clouds, the fall, with every mark inside', () => {
    if (!picture) throw new Error('no picture');
    const svg = flowChartSvg(
      picture,
      wordsOf([ENGLISH], measuresOf({ units: { ...METRIC, pressure: 'kPa' } })),
      look,
    );
    expect(svg).toMatch(/−8\d %/);
    expect(svg).toContain('>before<');
    expect(svg).toContain('>clean<');
    expect(svg).toContain('ΔP, kPa');
    expect(svg).not.toMatch(/NaN|Infinity|<image/);
    for (const [, cx, cy] of svg.matchAll(/cx="([\d.-]+)" cy="([\d.-]+)"/g)) {
      expect(Number(cx)).toBeGreaterThan(0);
      expect(Number(cx)).toBeLessThan(look.width);
      expect(Number(cy)).toBeGreaterThan(0);
      expect(Number(cy)).toBeLessThan(look.height);
    }
  });

  it('keeps the words at the ends of its curves apart', () => {
    if (!picture) throw new Error('no picture');
    const rows = [...flowChartSvg(picture, PLAIN_WORDS, look).matchAll(/<text x="443\.0" y="([\d.]+)"/g)].map(
      ([, y]) => Number(y),
    );
    expect(rows.length).toBeGreaterThan(3);
    rows.sort((a, b) => a - b);
    for (let i = 1; i < rows.length; i++) expect((rows[i] ?? 0) - (rows[i - 1] ?? 0)).toBeGreaterThan(12.5);
  });
});
