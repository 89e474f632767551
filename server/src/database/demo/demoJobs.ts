import type { EntryBody, PartId } from '@white-ember/core/ledger';
import type { DEMO_VEHICLES } from './demoWorld.ts';
import type { Drill } from './drillRecording.ts';

/** One happening of a job, minutes after its opening. */
export type DemoStep = { readonly min: number; readonly by?: 'imke' | 'tobin' } & (
  | { readonly body: Exclude<EntryBody, { kind: 'reading' }> }
  | { readonly hand: Extract<EntryBody, { kind: 'reading' }> }
  | {
      readonly log: Omit<Drill, 'family'>;
      readonly purpose: 'before' | 'after' | 'between';
      readonly fileName: string;
    }
);

export interface DemoJob {
  readonly vehicle: keyof typeof DEMO_VEHICLES;
  /** Opened this many days before now … */
  readonly daysAgo: number;
  /** … or, for today's jobs, this many minutes. */
  readonly minutesAgo?: number;
  readonly steps: readonly DemoStep[];
}

const complaint = (
  text: string,
  distanceKm: number,
  powerLimited = false,
): EntryBody & { kind: 'complaint' } => ({
  kind: 'complaint',
  text,
  distanceKm,
  powerLimited,
});
const codes = (when: 'before' | 'after-drive', ...list: string[]): EntryBody & { kind: 'code-scan' } => ({
  kind: 'code-scan',
  when,
  codes: list.map((code) => ({ code })),
});
const clean = (what: string, fluidL: number, dwellMin = 30): EntryBody & { kind: 'work' } => ({
  kind: 'work',
  work: 'chemical-clean',
  what,
  fluid: 'Fenwash D',
  fluidL,
  dwellMin,
});
const part = (
  id: PartId,
  state: 'sound' | 'doubtful' | 'failed' | 'proven-clear',
  why: string,
): EntryBody & { kind: 'part-state' } => ({
  kind: 'part-state',
  part: id,
  state,
  why,
});
const drive = (
  distanceKm: number,
  reportedBy: 'technician' | 'customer' = 'technician',
): EntryBody & { kind: 'drive' } => ({
  kind: 'drive',
  distanceKm,
  minutes: Math.round(distanceKm * 1.5),
  powerLimitGone: true,
  reportedBy,
});

export const DEMO_JOBS: readonly DemoJob[] = [
  {
    vehicle: 'taxi07',
    daysAgo: 402,
    steps: [
      { min: 0, body: complaint('Filter lamp on, only town work', 96_400) },
      { min: 6, body: codes('before', 'P2463') },
      {
        min: 14,
        purpose: 'before',
        fileName: 'FL007-before.csv',
        log: { filter: { sootG: 34, ashG: 18 }, seed: 71, sootCounterG: 31 },
      },
      {
        min: 40,
        body: {
          kind: 'work',
          work: 'drive-regeneration',
          what: 'Two up, ring road and back, 20 min at 70 km/h',
        },
      },
      {
        min: 78,
        purpose: 'after',
        fileName: 'FL007-after.csv',
        log: { filter: { sootG: 4, ashG: 18 }, seed: 72, sootCounterG: 3 },
      },
      { min: 84, body: drive(24) },
      { min: 112, body: codes('after-drive') },
      {
        min: 116,
        by: 'imke',
        body: { kind: 'sign-off', remains: 'Town work only: back in about 9 000 km.' },
      },
    ],
  },
  {
    vehicle: 'estate',
    daysAgo: 143,
    steps: [
      { min: 0, body: complaint('Lamp comes back two days after a forced burn elsewhere', 171_250, true) },
      { min: 9, body: codes('before', 'P0101', 'P2002') },
      {
        min: 21,
        purpose: 'before',
        fileName: 'HW52-first.csv',
        log: {
          filter: { sootG: 44, ashG: 30 },
          seed: 31,
          sootCounterG: 40,
          faults: [{ id: 'intake-leak', severity: 0.82 }],
        },
      },
      {
        min: 35,
        body: part('engine', 'failed', 'Duct split between air meter and compressor, seen with smoke'),
      },
      {
        min: 70,
        body: { kind: 'work', work: 'cause-repaired', what: 'Intake duct replaced, smoke test tight' },
      },
      { min: 95, body: clean('One fill through the high pipe, cold', 1.2) },
      {
        min: 160,
        purpose: 'after',
        fileName: 'HW52-after.csv',
        log: { filter: { sootG: 5, ashG: 28 }, seed: 32, sootCounterG: 4 },
      },
      { min: 170, body: drive(31) },
      { min: 215, body: codes('after-drive') },
      { min: 220, by: 'imke', body: { kind: 'sign-off' } },
    ],
  },
  {
    vehicle: 'parcelVan',
    daysAgo: 61,
    steps: [
      { min: 0, body: complaint('Regenerates every 90 km', 311_900) },
      { min: 8, body: codes('before', 'P242F') },
      {
        min: 20,
        purpose: 'before',
        fileName: 'QP308-before.csv',
        log: {
          filter: { sootG: 24, ashG: 150 },
          seed: 41,
          sootCounterG: 9,
          faults: [{ id: 'dp-sensor-failed', form: 'zero-off', severity: 0.043 }],
        },
      },
      { min: 50, body: clean('Two bursts, 30 min, flushed', 1) },
      {
        min: 120,
        purpose: 'after',
        fileName: 'QP308-after.csv',
        log: {
          filter: { sootG: 3, ashG: 146 },
          seed: 42,
          sootCounterG: 3,
          faults: [{ id: 'dp-sensor-failed', form: 'zero-off', severity: 0.043 }],
        },
      },
      {
        min: 130,
        body: part(
          'filter',
          'doubtful',
          'Pressure stays high with little soot left: ash. Off-vehicle cleaning or exchange to be quoted',
        ),
      },
    ],
  },
  {
    vehicle: 'taxi12',
    daysAgo: 33,
    steps: [
      { min: 0, body: complaint('Told elsewhere that the filter is blocked', 88_020) },
      { min: 5, body: codes('before', 'P0471') },
      {
        min: 16,
        purpose: 'before',
        fileName: 'FL012-before.csv',
        log: { filter: { sootG: 6, ashG: 12 }, seed: 51, sootCounterG: 7 },
      },
      {
        min: 31,
        body: part('back-pressure-sensor', 'doubtful', 'Takes 9 s to fall after release: its pipe'),
      },
      {
        min: 48,
        body: {
          kind: 'work',
          work: 'pipe-cleared',
          what: 'Back-pressure pipe soaked and rodded, blown away from the sensor',
          part: 'back-pressure-sensor',
        },
      },
      {
        min: 62,
        purpose: 'after',
        fileName: 'FL012-after.csv',
        log: { filter: { sootG: 6, ashG: 12 }, seed: 52, sootCounterG: 7 },
      },
      { min: 66, body: { kind: 'note', text: 'Filter was never the fault. No fluid used.' } },
      { min: 70, by: 'imke', body: { kind: 'sign-off', remains: 'Nothing at the filter.' } },
    ],
  },
  {
    vehicle: 'hatch',
    daysAgo: 5,
    steps: [
      { min: 0, body: complaint('Loss of power, lamp on since a clean by the owner', 121_400, true) },
      {
        min: 12,
        hand: {
          kind: 'reading',
          purpose: 'before',
          origin: { type: 'hand' },
          samples: [
            { kind: 'key-off', rpm: 0, dpMbar: 0 },
            { kind: 'idle', rpm: 830, dpMbar: 19, airMassGPerS: 9.4 },
            { kind: 'hold', rpm: 3000, dpMbar: 148, airMassGPerS: 40.5, filterC: 205 },
          ],
        },
      },
      { min: 30, body: clean('One fill, 30 min', 1) },
      {
        min: 90,
        hand: {
          kind: 'reading',
          purpose: 'after',
          origin: { type: 'hand' },
          samples: [
            { kind: 'key-off', rpm: 0, dpMbar: 0 },
            { kind: 'idle', rpm: 830, dpMbar: 0.2, airMassGPerS: 9.6 },
            { kind: 'hold', rpm: 3000, dpMbar: 1.1, airMassGPerS: 41, filterC: 208 },
          ],
          note: 'Looks too good. Hose?',
        },
      },
    ],
  },
  {
    vehicle: 'carter',
    daysAgo: 1,
    steps: [
      { min: 0, body: complaint('Power limited on the hill to Sedgeby', 684_300, true) },
      { min: 15, body: codes('before', 'SPN 3251 FMI 0') },
      {
        min: 40,
        hand: {
          kind: 'reading',
          purpose: 'before',
          origin: { type: 'hand' },
          barometerMbar: 1012,
          samples: [
            { kind: 'key-off', rpm: 0, dpMbar: 1 },
            { kind: 'idle', rpm: 620, dpMbar: 21, airMassGPerS: 62 },
            { kind: 'hold', rpm: 1500, dpMbar: 74, airMassGPerS: 168, filterC: 240 },
            { kind: 'hold', rpm: 2000, dpMbar: 116, airMassGPerS: 236, filterC: 262 },
          ],
        },
      },
    ],
  },
  {
    vehicle: 'bakeryVan',
    daysAgo: 0,
    minutesAgo: 178,
    steps: [
      { min: 0, body: complaint('Lamp on and power limited since Friday, short rounds only', 148_300, true) },
      { min: 9, body: codes('before', 'P2463', 'P244A', 'C0040') },
      {
        min: 22,
        purpose: 'before',
        fileName: 'KE417-before.csv',
        log: { filter: { sootG: 46, ashG: 24 }, seed: 11, sootCounterG: 46 },
      },
      { min: 33, body: part('dp-sensor', 'sound', 'Zero 0.0 mbar, follows the flow') },
      { min: 39, body: part('high-pipe', 'sound', 'Falls back in 0.3 s after release') },
      {
        min: 52,
        body: { kind: 'work', work: 'cause-repaired', what: 'Thermostat replaced: coolant stayed at 61 °C' },
      },
      { min: 66, body: { kind: 'caution-acknowledged', caution: 'chemicals', act: 'chemical-clean' } },
      { min: 68, body: clean('Eleven bursts of 5 s through the high pipe, cold filter', 1) },
      { min: 118, body: { kind: 'note', text: 'Refit, started outdoors, steam for 9 min' } },
      {
        min: 150,
        purpose: 'after',
        fileName: 'KE417-after.csv',
        log: { filter: { sootG: 4.5, ashG: 22 }, seed: 12, sootCounterG: 46 },
      },
      { min: 158, body: part('scr', 'proven-clear', 'Gauge behind the filter shows 8 mbar at 3000 rpm') },
    ],
  },
  {
    vehicle: 'taxi07',
    daysAgo: 0,
    minutesAgo: 64,
    steps: [
      { min: 0, body: complaint('Lamp on again, more town work than ever', 131_700) },
      { min: 7, body: codes('before', 'P2463') },
      {
        min: 19,
        purpose: 'before',
        fileName: 'FL007-2-before.csv',
        log: { filter: { sootG: 41, ashG: 24 }, seed: 73, sootCounterG: 38 },
      },
      { min: 48, body: { kind: 'caution-acknowledged', caution: 'chemicals', act: 'chemical-clean' } },
      { min: 51, body: clean('Nine bursts of 5 s, cold filter; soaking', 0.8) },
    ],
  },
];
