import { say, type Said } from '../words/index.ts';
import {
  conditionWithDrive,
  fitFlow,
  flowDrive,
  outletFlowM3PerH,
  pressureFromFit,
  type FlowCondition,
  type FlowFit,
} from '../filter/index.ts';
import type { ReadingBody } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import type { FlowContext } from '../readings/index.ts';
import { judgeReading, togetherRead, type JudgedReading, type JudgedSample } from './readingPoints.ts';

/** A state of the filter, before or after, with the law fitted to what was read of it. */
export interface Side {
  readonly reading: JudgedReading;
  readonly fit: FlowFit;
}

const PA_PER_MBAR = 100;
/** How far beyond the measured flows a fit may still be asked. */
const REACH = 1.15;
/** Two readings of one state that lie further apart than this many standard deviations are not of one state: once in a hundred by chance. */
const APART = 2.576;

export const strongest = (reading: JudgedReading): JudgedSample | undefined =>
  [...reading.samples].sort((a, b) => flowDrive(b.flow) - flowDrive(a.flow))[0];

/** Whether a flow lies within what a reading covers; a fit through one flow reaches only near that flow. */
export function covers(reading: JudgedReading, at: number): boolean {
  const drives = reading.samples.map((sample) => flowDrive(sample.flow));
  return drives.length > 0 && at <= Math.max(...drives) * REACH && at >= Math.min(...drives) / REACH;
}

/** The readings near a flow against the law fitted to all of them: their mean ratio and its standard deviation. */
function nearby({ reading, fit }: Side, drive: number): { ratio: number; sd: number } | undefined {
  const near = reading.points
    .filter(({ viscous }) => viscous <= drive * REACH && viscous >= drive / REACH)
    .map(({ viscous, inertial, dpMbar, sdMbar }) => {
      const law = (fit.a * viscous + fit.b * inertial) / PA_PER_MBAR;
      return { ratio: dpMbar / law, sd: sdMbar / law };
    })
    .filter(({ ratio, sd }) => Number.isFinite(ratio) && sd > 0);
  if (near.length === 0) return undefined;
  const weight = near.reduce((sum, { sd }) => sum + 1 / sd ** 2, 0);
  const ratio = near.reduce((sum, one) => sum + one.ratio / one.sd ** 2, 0) / weight;
  const chi2 = near.reduce((sum, one) => sum + ((one.ratio - ratio) / one.sd) ** 2, 0);
  // Of three and more their own scatter tells whether the stated spreads hold.
  const wider = near.length >= 3 ? Math.max(1, chi2 / (near.length - 1)) : 1;
  return { ratio, sd: Math.sqrt(wider / weight) };
}

/**
 * ΔP of one side at a flow, mbar, with its standard deviation. The fitted law carries what was read to that flow; what was read near
 * it draws the law there by as much as it is better known than the law holds: a law of two terms is off by some per cent where the
 * filter was still warming up. Worked value: law 40 mbar ± 4 %, one reading of 42 mbar ± 2.4 % there → 41.5 ± 0.9 mbar.
 */
export function pressureAt(
  side: Side,
  condition: FlowCondition,
  { lawOffPercent }: Pick<Limits, 'lawOffPercent'>,
): { dpMbar: number; sdMbar: number } {
  const { zeroSdMbar } = side.reading;
  const law = pressureFromFit(side.fit, condition);
  const off = lawOffPercent / 100;
  const near = nearby(side, flowDrive(condition));
  if (!near) return { dpMbar: law.dpMbar, sdMbar: Math.hypot(law.sdMbar, off * law.dpMbar, zeroSdMbar) };
  const draws = off ** 2 / (off ** 2 + near.sd ** 2);
  return {
    dpMbar: law.dpMbar * (1 + draws * (near.ratio - 1)),
    sdMbar: Math.hypot(law.dpMbar * near.sd * Math.sqrt(draws), zeroSdMbar),
  };
}

/** Relative doubt (standard deviation) of a ratio of two pressures by what the doubts of their flows near a flow do not share. */
export function flowDoubtBetween(
  sides: readonly [JudgedReading, JudgedReading],
  condition: FlowCondition,
  limits: Limits,
): number {
  const drive = flowDrive(condition);
  const near = sides.map(({ samples }) =>
    samples.filter(({ flow }) => flowDrive(flow) <= drive * REACH && flowDrive(flow) >= drive / REACH),
  );
  const sources = new Set(near.flat().map(({ flow }) => flow.airSource));
  if (sources.size <= 1) return limits.flowUnsharedPercent / 100;
  return Math.hypot(...near.map((of) => Math.max(0, ...of.map(({ flow }) => flow.flowDoubt)))) / 1.645;
}

/** The highest flow that both cover, in the middle of their two states of the gas; undefined where they have none in common. */
export function commonCondition(a: JudgedReading, b: JudgedReading): FlowCondition | undefined {
  const [first, second] = [strongest(a), strongest(b)];
  if (!first || !second) return undefined;
  const driven = Math.min(flowDrive(first.flow), flowDrive(second.flow));
  if (!covers(a, driven) || !covers(b, driven)) return undefined;
  return conditionWithDrive(
    driven,
    (first.flow.temperatureC + second.flow.temperatureC) / 2,
    (first.flow.outletPressurePa + second.flow.outletPressurePa) / 2,
  );
}

interface Apart {
  readonly earlierMbar: number;
  readonly latestMbar: number;
  readonly flowM3PerH: number;
}

/** Where two readings of one state lie further apart than their doubt; undefined where they agree or have no flow in common. */
function apart(earlier: JudgedReading, latest: JudgedReading, limits: Limits): Apart | undefined {
  const condition = commonCondition(earlier, latest);
  const [a, b] = [fitFlow(earlier.points), fitFlow(latest.points)];
  if (!condition || !a.ok || !b.ok) return undefined;
  const first = pressureAt({ reading: earlier, fit: a.value }, condition, limits);
  const second = pressureAt({ reading: latest, fit: b.value }, condition, limits);
  const middle = (first.dpMbar + second.dpMbar) / 2;
  const sd = Math.hypot(
    first.sdMbar,
    second.sdMbar,
    middle * flowDoubtBetween([earlier, latest], condition, limits),
  );
  if (Math.abs(first.dpMbar - second.dpMbar) <= APART * sd) return undefined;
  return {
    earlierMbar: first.dpMbar,
    latestMbar: second.dpMbar,
    flowM3PerH: outletFlowM3PerH(condition),
  };
}

/** Readings of one state of the filter in the order in which they were taken: by hand, live or from logs. */
export type Readings = readonly [ReadingBody, ...ReadingBody[]];

export interface Pooled {
  readonly reading: JudgedReading;
  /** Readings that count, in the order given. */
  readonly used: readonly ReadingBody[];
  /** Why one does not count, as sentences. */
  readonly leftOut: readonly Said[];
}

/**
 * One reading from any mix of hand, live and log readings of the same state, the latest last. Those that agree with the latest within
 * their doubt are taken together; of those that do not the latest counts, and that is said. Readings without a flow in common
 * complement each other.
 */
export function poolReadings(readings: Readings, context: FlowContext, side: 'before' | 'after'): Pooled {
  const judged = readings.map((body) => ({ body, reading: judgeReading(body, context) }));
  const latest = judged[judged.length - 1] as (typeof judged)[number];
  const leftOut: Said[] = [];
  const earlier = judged.slice(0, -1).filter(({ reading }) => {
    const off = apart(reading, latest.reading, context.limits);
    if (off)
      leftOut.push(
        say('proof.an-earlier-reading-disagrees', {
          side,
          earlierMbar: off.earlierMbar,
          latestMbar: off.latestMbar,
          flowM3PerH: off.flowM3PerH,
        }),
      );
    return off === undefined;
  });
  return {
    reading: togetherRead([latest.reading, ...earlier.map(({ reading }) => reading)]),
    used: [...earlier.map(({ body }) => body), latest.body],
    leftOut,
  };
}
