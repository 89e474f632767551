import type { EntryBody, PartId, WorkType } from '@white-ember/core/ledger';
import type { CheckId } from '@white-ember/core/checks';
import type { Fault } from '@white-ember/core/bench';
import type { DemoVehicleKey } from './demoWorld.ts';
import type { Drill } from './drills.ts';

type Purpose = 'before' | 'after' | 'between';
type BodyOf<K extends EntryBody['kind']> = Extract<EntryBody, { kind: K }>;

/** One happening of a job, minutes after its opening. */
export type DemoStep = { readonly min: number; readonly by?: 'imke' | 'tobin' } & (
  | { readonly body: EntryBody }
  /** Read off the simulated vehicle by eye, and written down. */
  | { readonly gauge: Omit<Drill, 'family'>; readonly purpose: Purpose; readonly note?: string }
  /** Recorded from the simulated vehicle through the scan link. */
  | { readonly log: Omit<Drill, 'family'>; readonly purpose: Purpose; readonly fileName: string }
);

export interface DemoJob {
  readonly vehicle: DemoVehicleKey;
  /** Opened this many days before now … */
  readonly daysAgo: number;
  /** … or, for today's jobs, this many minutes. */
  readonly minutesAgo?: number;
  readonly steps: readonly DemoStep[];
}

export const complaint = (
  text: string,
  distanceKm: number,
  powerLimited = false,
  more: Pick<BodyOf<'complaint'>, 'oilChangedKm' | 'regenEveryKm'> = {},
): BodyOf<'complaint'> => ({ kind: 'complaint', text, distanceKm, powerLimited, ...more });

/** Something that is to be done after the job, at a distance on the clock. */
export const followUp = (what: string, dueKm: number): BodyOf<'follow-up'> => ({
  kind: 'follow-up',
  what,
  dueKm,
});

/** A dry filter on the scales. */
export const weighed = (when: 'before' | 'after', massKg: number): BodyOf<'filter-off'> => ({
  kind: 'filter-off',
  when,
  massKg,
  dry: true,
});

export const codes = (when: 'before' | 'after-drive', ...list: string[]): BodyOf<'code-scan'> => ({
  kind: 'code-scan',
  when,
  codes: list.map((code) => ({ code })),
});

export const clean = (what: string, fluidL: number, dwellMin = 30): BodyOf<'work'> => ({
  kind: 'work',
  work: 'chemical-clean',
  what,
  fluid: 'Fenwash D',
  fluidL,
  dwellMin,
});

export const work = (type: WorkType, what: string, on?: PartId): BodyOf<'work'> => ({
  kind: 'work',
  work: type,
  what,
  ...(on === undefined ? {} : { part: on }),
});

export const part = (
  id: PartId,
  state: 'sound' | 'doubtful' | 'failed' | 'proven-clear',
  why: string,
): BodyOf<'part-state'> => ({ kind: 'part-state', part: id, state, why });

export const drive = (
  distanceKm: number,
  soot: { readonly start: number; readonly end: number },
): BodyOf<'drive'> => ({
  kind: 'drive',
  distanceKm,
  minutes: Math.round(distanceKm * 1.5),
  powerLimitGone: true,
  reportedBy: 'technician',
  sootStartG: soot.start,
  sootEndG: soot.end,
  egtPeakC: 385,
});

/** A guided check with what was entered; what it means is judged from that. */
export const check = (id: CheckId, values: BodyOf<'check'>['values']): BodyOf<'check'> => ({
  kind: 'check',
  check: id,
  values,
});

export const cause = (id: string, why: string): BodyOf<'cause'> => ({
  kind: 'cause',
  cause: id,
  state: 'confirmed',
  why,
});

/** A cause that is found and put right. */
export const putRight = (id: string, why: string): BodyOf<'cause'> => ({
  kind: 'cause',
  cause: id,
  state: 'put-right',
  why,
});

export const note = (text: string): BodyOf<'note'> => ({ kind: 'note', text });
export const readTheCaution = (caution: string, act: string): BodyOf<'caution-acknowledged'> => ({
  kind: 'caution-acknowledged',
  caution,
  act,
});
export const signOff = (remains?: string): BodyOf<'sign-off'> => ({
  kind: 'sign-off',
  ...(remains === undefined ? {} : { remains }),
});

/** A filter with so much soot and ash, what the computer counts, and what else is wrong. */
export const filter = (
  sootG: number,
  ashG: number,
  seed: number,
  {
    countedG = sootG,
    faults,
    coolantC,
  }: { readonly countedG?: number; readonly faults?: readonly Fault[]; readonly coolantC?: number } = {},
): Omit<Drill, 'family'> => ({
  filter: { sootG, ashG },
  seed,
  sootCounterG: countedG,
  ...(faults === undefined ? {} : { faults }),
  ...(coolantC === undefined ? {} : { coolantC }),
});

/** What proves sensor and hoses: a known-good one shows the same, and each hose is where it belongs. */
const PATH_PROVEN: readonly EntryBody[] = [
  {
    kind: 'check',
    check: 'dp-swap',
    values: {
      pairs: [
        [0, 0, 0],
        [2500, 19, 19.5],
      ],
    },
  },
  { kind: 'check', check: 'hoses', values: { order: 'high', state: 'whole' } },
];

/**
 * What proves a job to its end: sensor and hoses, the soot counter set back where the soot was taken out and not burnt, a drive, no codes
 * after it, and the lead's signature.
 */
export const provedBy = (
  min: number,
  distanceKm: number,
  remains?: string,
  { counterG }: { readonly counterG?: number } = {},
): DemoStep[] => [
  ...PATH_PROVEN.map((body, i): DemoStep => ({ min: min + i, body })),
  ...(counterG === undefined
    ? []
    : [
        {
          min: min + 3,
          body: {
            kind: 'reset',
            reset: 'reset-soot',
            source: 'hand',
            before: { sootG: counterG },
            after: { sootG: 0 },
            keyCycles: 1,
          },
        } satisfies DemoStep,
      ]),
  {
    min: min + 6,
    body: drive(distanceKm, counterG === undefined ? { start: 3.2, end: 3.4 } : { start: 0, end: 1.1 }),
  },
  { min: min + Math.round(1.5 * distanceKm) + 12, body: codes('after-drive') },
  { min: min + Math.round(1.5 * distanceKm) + 16, by: 'imke', body: signOff(remains) },
];
