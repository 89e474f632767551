import { say, type Said } from '../words/index.ts';
import { fitFlow, pressureFromFit, type FilterGeometry, type FlowFit } from '../filter/index.ts';
import type { EntryOf, ReadingBody } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import type { Comparison } from './compareReadings.ts';
import { filterCurves, fittedCurve, onFlowAxis, type CurvePoint, type FlowCurve } from './flowCurves.ts';
import { poolReadings } from './pooled.ts';
import type { JudgedReading } from './readingPoints.ts';

export type SideName = 'before' | 'after' | 'log';

interface Side {
  readonly name: SideName;
  readonly reading: JudgedReading;
  readonly cloud: readonly CurvePoint[];
  readonly curve: FlowCurve | undefined;
  /** Where the curve lies beside what was read by more than that spreads, as sentences. */
  readonly misses: readonly Said[];
}

/** Less is within the step of a usual sensor, mbar. */
const LEAST_MISS_MBAR = 1;

/** Speeds within this of each other are one place on the curve, rpm. */
const ONE_PLACE_RPM = 150;

/** How far a curve lies beside the reading at one place, as a share; the worst of what was read there. */
interface Miss {
  readonly rpm: number;
  readonly idles: boolean;
  readonly share: number;
}

/** A law of two terms does not go through everything: where it misses the readings at one speed it says so, once. */
function missesOf({ samples, points }: JudgedReading, fit: FlowFit, { lawOffPercent }: Limits): Said[] {
  const misses: Miss[] = [];
  for (const { rpm, kind, flow, dpMbar } of samples) {
    const idles = kind === 'idle' && flow.airSource === 'speed-density';
    const spreads = points
      .filter(({ viscous }) => Math.abs(viscous / flow.viscous - 1) < 0.05)
      .map(({ sdMbar }) => sdMbar);
    // Of an idle by engine speed it is the flow that is doubtful, not what was read.
    const spread = idles || spreads.length === 0 ? 0 : Math.min(...spreads);
    const off = pressureFromFit(fit, flow).dpMbar - dpMbar;
    const most = Math.max((lawOffPercent / 100) * Math.abs(dpMbar), LEAST_MISS_MBAR, 2 * spread);
    if (Math.abs(off) <= most) continue;
    const miss = { rpm, idles, share: off / Math.max(Math.abs(dpMbar), LEAST_MISS_MBAR) };
    const at = misses.findIndex(
      (one) => one.idles === idles && (idles || Math.abs(one.rpm - rpm) <= ONE_PLACE_RPM),
    );
    if (at === -1) misses.push(miss);
    else if (Math.abs(miss.share) > Math.abs(misses[at]?.share ?? 0)) misses[at] = miss;
  }
  return misses.map(({ rpm, idles, share }) =>
    idles ? say('proof.curve-misses-idle', { share }) : say('proof.curve-misses', { share, rpm }),
  );
}

export interface FlowPicture {
  /** Temperature of the flow axis: every point stands where it would drive the filter equally hard. */
  readonly temperatureC: number;
  readonly ground: readonly FlowCurve[];
  readonly sides: readonly Side[];
  readonly equalFlow?: {
    readonly flowM3PerH: number;
    readonly beforeMbar: number;
    readonly afterMbar: number;
  };
  readonly removedPercent?: number;
  readonly maxFlow: number;
  readonly maxMbar: number;
}

interface PictureFacts {
  readonly limits: Limits;
  readonly displacementL?: number;
  readonly geometry?: FilterGeometry;
}

/** What of a job is pictured. */
interface PicturedJob {
  readonly befores: readonly EntryOf<'reading'>[];
  readonly afters: readonly EntryOf<'reading'>[];
  readonly comparison?: Comparison;
}

/** A job's before and after over the curves of its filter. */
export const flowPicture = (
  { befores, afters, comparison }: PicturedJob,
  facts: PictureFacts,
): FlowPicture | undefined =>
  pictureOf(
    { before: befores.map(({ body }) => body), after: afters.map(({ body }) => body) },
    facts,
    comparison,
  );

/** What the chart shows, worked out by core: curves of this filter, clouds and fits of the readings. */
export function pictureOf(
  bodies: Partial<Record<SideName, readonly ReadingBody[]>>,
  facts: PictureFacts,
  comparison?: Comparison,
): FlowPicture | undefined {
  const readings = (['before', 'after', 'log'] as const).flatMap((name) => {
    const [first, ...more] = bodies[name] ?? [];
    if (!first) return [];
    const { reading } = poolReadings([first, ...more], facts, name === 'after' ? 'after' : 'before');
    return reading.points.length > 0 ? [{ name, reading }] : [];
  });
  const [first] = readings;
  if (!first) return undefined;
  const { equalFlow, removedPercent } = comparison ?? {};
  const temperatureC =
    equalFlow?.temperatureC ??
    first.reading.samples.at(-1)?.flow.temperatureC ??
    facts.limits.filterTempHoldC;
  const clouds = readings.map(({ reading }) => reading.cloud.map((p) => onFlowAxis(p, temperatureC)));
  const points = clouds.flat();
  const maxFlow = Math.max(...points.map((p) => p.flowM3PerH)) * 1.08;
  const maxMbar = Math.max(...points.map((p) => p.dpMbar), 5) * 1.1;
  return {
    temperatureC,
    ground: facts.geometry ? filterCurves(facts.geometry, temperatureC, maxFlow) : [],
    sides: readings.map(({ name, reading }, i): Side => {
      const fit = fitFlow(reading.points);
      return {
        name,
        reading,
        cloud: clouds[i] ?? [],
        curve: fit.ok ? fittedCurve(fit.value, say(`chart.${name}`), temperatureC, maxFlow) : undefined,
        misses: fit.ok ? missesOf(reading, fit.value, facts.limits) : [],
      };
    }),
    maxFlow,
    maxMbar,
    ...(equalFlow ? { equalFlow } : {}),
    ...(removedPercent ? { removedPercent: removedPercent.value } : {}),
  };
}
