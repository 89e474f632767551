import { say, type Said } from '../words/index.ts';
import type { Limits } from '../limits/index.ts';
import { noise, quantile, share, type Result } from '../quantities/index.ts';
import { bedLimits } from './bed.ts';
import { simulateBurn } from './burnModel.ts';
import type { Arrhenius } from './kinetics.ts';
import type { BurnScenario, InletPoint } from './scenario.ts';

/** How far what goes into a burn may be off. Standard deviations but for the soot, which has the ends of its estimate. */
export interface BurnDoubts {
  /** 90 % interval of the soot, g. */
  readonly sootLowG: number;
  readonly sootHighG: number;
  readonly inletC: number;
  readonly flowShare: number;
  readonly oxygenPercent: number;
  /** Of the rates, as a factor: 0.3 is some 30 %. */
  readonly rateShare: number;
  /** Of what the bed takes up. */
  readonly capacityShare: number;
}

/** What a workshop cannot know better, beside the soot. */
export const USUAL_DOUBTS: Omit<BurnDoubts, 'sootLowG' | 'sootHighG'> = {
  inletC: 12,
  flowShare: 0.07,
  oxygenPercent: 1,
  rateShare: 0.3,
  capacityShare: 0.05,
};

/** Soot from a pressure is known to this share either way, nine times in ten. */
export const SOOT_DOUBT_SHARE = 0.3;
/** Nine in ten of a normal lie within so many standard deviations. */
const Z90 = 1.645;

/** What a batch assumes, in words for whoever reads its answer: every figure as nine in ten lie. */
export const doubtsText = (doubts: typeof USUAL_DOUBTS, sootShare = SOOT_DOUBT_SHARE): Said =>
  say('burn.assumes', {
    sootPercent: 100 * sootShare,
    inletC: Z90 * doubts.inletC,
    flowPercent: 100 * Z90 * doubts.flowShare,
    oxygenPercent: Z90 * doubts.oxygenPercent,
    rateFactor: Math.exp(Z90 * doubts.rateShare),
    heatPercent: 100 * Z90 * doubts.capacityShare,
  });

/** One figure over all runs: 5 %, half and 95 % of them lie below. */
export interface Spread {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

export interface BurnBatch {
  readonly runs: number;
  readonly peakBedC: Spread;
  readonly sootLeftG: Spread;
  readonly durationS: Spread;
  readonly maxGradientCPerCm: Spread;
  /** Share of the runs in which the bed passed its limit. */
  readonly overLimitShare: number;
  readonly limitC: number;
}

/** A beyond-all-limits run is one of many: that it is beyond is enough. */
const BATCH_FINER = 2;
/** Each doubt draws from a stream of its own, so that one more does not change the others. */
const STREAM = { soot: 401, inlet: 402, flow: 403, oxygen: 404, rate: 405, capacity: 406 } as const;

/**
 * Runs a burn many times, with everything that is not known exactly drawn anew, always the same draws for the same seed.
 * A generator: it hands over how many runs are done, so that whoever drives it can show it, and stop.
 * The rates and the bed are drawn log-normal, the others normal; soot as a logistic with the given 90 % ends, cut at 0.
 */
export function* burnBatch(
  scenario: BurnScenario,
  doubts: BurnDoubts,
  limits: Limits,
  { runs, seed }: { readonly runs: number; readonly seed: number },
): Generator<number, Result<BurnBatch>> {
  const { peakC: limitC } = bedLimits(limits, scenario.filter.material);
  const drawn: { peak: number[]; left: number[]; duration: number[]; gradient: number[] } = {
    peak: [],
    left: [],
    duration: [],
    gradient: [],
  };
  for (let i = 0; i < runs; i++) {
    const normal = (stream: number): number => noise(seed, stream, i);
    const inletBy = doubts.inletC * normal(STREAM.inlet);
    const flowBy = Math.max(0.1, 1 + doubts.flowShare * normal(STREAM.flow));
    const oxygenBy = doubts.oxygenPercent * normal(STREAM.oxygen);
    const rateBy = Math.exp(doubts.rateShare * normal(STREAM.rate));
    const capacityBy = Math.exp(doubts.capacityShare * normal(STREAM.capacity));
    const faster = (rate: Arrhenius): Arrhenius => ({ ...rate, factorPerS: rate.factorPerS * rateBy });
    const within = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));
    const run = simulateBurn(
      {
        ...scenario,
        sootG: drawnSoot(doubts, share(seed, STREAM.soot, i)),
        profile: scenario.profile.map((point): InletPoint => ({
          ...point,
          inletC: within(point.inletC + inletBy, -40, 1000),
          exhaustKgPerS: within(point.exhaustKgPerS * flowBy, 0, 2),
          oxygenPercent: within(point.oxygenPercent + oxygenBy, 0, 21),
        })),
      },
      limits,
      {
        mostFiner: BATCH_FINER,
        change: ({ kinetics, bed, sootHeatJPerKg }) => ({
          sootHeatJPerKg,
          kinetics: {
            bare: faster(kinetics.bare),
            no2: faster(kinetics.no2),
            ...(kinetics.helped ? { helped: faster(kinetics.helped) } : {}),
          },
          bed: { ...bed, capacityJPerK: bed.capacityJPerK * capacityBy },
        }),
      },
    );
    if (!run.ok) return run;
    drawn.peak.push(run.value.peakBedC);
    drawn.left.push(run.value.sootLeftG);
    drawn.duration.push(run.value.durationS);
    drawn.gradient.push(run.value.maxGradientCPerCm);
    yield i + 1;
  }
  const spread = (values: number[]): Spread => ({
    low: quantile(values, 0.05) as number,
    middle: quantile(values, 0.5) as number,
    high: quantile(values, 0.95) as number,
  });
  return {
    ok: true,
    value: {
      runs,
      peakBedC: spread(drawn.peak),
      sootLeftG: spread(drawn.left),
      durationS: spread(drawn.duration),
      maxGradientCPerCm: spread(drawn.gradient),
      overLimitShare: drawn.peak.filter((peak) => peak > limitC).length / Math.max(runs, 1),
      limitC,
    },
  };
}

/** Soot between its 90 % ends, by the inverse of the logistic curve: close to a normal and cheap to draw. */
function drawnSoot({ sootLowG, sootHighG }: BurnDoubts, at: number): number {
  const middle = (sootLowG + sootHighG) / 2;
  const half = (sootHighG - sootLowG) / 2;
  const clamped = Math.min(0.999, Math.max(0.001, at));
  // The logistic has 95 % of its mass below ln(19) of its scale.
  const scale = half / Math.log(19);
  return Math.max(0, middle + scale * Math.log(clamped / (1 - clamped)));
}
