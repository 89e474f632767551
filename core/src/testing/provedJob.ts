import { inEnglish } from '../words/index.ts';
import { BenchHand } from '../bench/answers/bench.ts';
import { BENCH_FAMILIES, BenchVehicle, type Fault } from '../bench/index.ts';
import { tapPressures } from '../bench/vehicle/pipes.ts';
import { besideFilterMbar } from '../bench/vehicle/pressures.ts';
import { CLEAN, filterVolumeL, pressureDrop, type FilterState, type FlowCondition } from '../filter/index.ts';
import { type DerivedJob } from '../job/index.ts';
import { type WorkType } from '../ledger/index.ts';
import { type Interval } from '../proof/index.ts';
import { valueOf } from '../quantities/index.ts';
import { dice, type Dice } from './drills.ts';
import { PATH_FAULTS, ProvingHand } from './provingHand.ts';

/** An interval that was stated, and what is true of the simulated filter. */
export interface Covered extends Interval {
  readonly truth: number;
}

export interface ProvedJob {
  readonly about: string;
  /** There was something, it is gone, and sensor and pipes tell the truth now. */
  readonly cured: boolean;
  /** There is still too much soot or ash in the filter. */
  readonly blocked: boolean;
  /** What the sensor shows is not what is at its taps, at the end. */
  readonly lies: boolean;
  readonly verdict: DerivedJob['verdict'];
  readonly notShown: readonly string[];
  readonly removed?: Covered;
  readonly restriction?: Covered;
}

/** From so much on a filter is blocked; up to so much it is as a good clean leaves it, g/L. */
const BLOCKED = { sootGPerL: 4, ashGPerL: 40 } as const;
const CURED = { sootGPerL: 2, ashGPerL: 22 } as const;

/** A sensor that is off by more than this share in a hold lies. */
const LIES_SHARE = 0.2;
const LIES_MBAR = 3;

/** What is in the filter, g. */
const stateOf = ({ plant }: BenchVehicle): FilterState => ({
  sootG: plant.filter.sootG.reduce((a, b) => a + b, 0),
  ashG: plant.filter.ashG,
});

/** ΔP between the taps of a sound line with so much in its filter, mbar. */
function trueDrop({ family, scale, plant }: BenchVehicle, state: FilterState, gas: FlowCondition): number {
  const { totalMbar } = valueOf(pressureDrop(family.filter, state, gas));
  return (
    totalMbar + besideFilterMbar(family, scale, gas.exhaustKgPerS, gas.temperatureC, plant.barometerMbar)
  );
}

/** What the sensor shows in a hold against what is at its taps. */
function lying(vehicle: BenchVehicle): boolean {
  const hand = new BenchHand(vehicle);
  hand.keyOn(8);
  const zero = hand.mean('dpfDeltaP', { do: 'key-on' }) ?? 0;
  hand.hold(hand.holdRpm, 20);
  const wish = { do: 'hold', rpm: hand.holdRpm } as const;
  let truth = 0;
  let count = 0;
  const shown = hand.mean('dpfDeltaP', wish, 0.2) ?? 0;
  hand.follow(wish, 3, () => {
    const { high, low } = tapPressures(vehicle.family, vehicle.plant);
    truth += high - low;
    count++;
  });
  truth /= count;
  return Math.abs(shown - zero - truth) > Math.max(LIES_MBAR, LIES_SHARE * truth);
}

type Outcome = 'good' | 'half' | 'nothing';

/** What a treatment leaves of soot and ash. */
function treated(
  d: Dice,
  work: WorkType,
  outcome: Outcome,
  { sootG, ashG }: FilterState,
  volumeL: number,
): FilterState {
  if (outcome === 'nothing') return { sootG: sootG * d.between(0.9, 1), ashG };
  if (outcome === 'half') return { sootG: sootG * d.between(0.5, 0.65), ashG };
  if (work === 'filter-exchanged') return { sootG: 0.05 * volumeL, ashG: 0 };
  return {
    sootG: d.between(0.3, 1.5) * volumeL,
    ashG: work === 'off-vehicle-clean' ? d.between(2, 8) * volumeL : ashG * d.between(0.93, 1),
  };
}

/**
 * Job number `seed` of an endless row at the bench, whose truth is known: blocked or not, treated well, half or not at all, with a
 * sensor, pipe or hose that lies from the start or from the work on, put right or left.
 */
export function provedJob(seed: number): ProvedJob {
  const d = dice(seed * 49_979_687);
  const family = d.pick(BENCH_FAMILIES);
  const volumeL = filterVolumeL(family.filter);
  const ashFull = d.chance(0.2);
  const fault = d.chance(0.45)
    ? d.pick(PATH_FAULTS.filter(({ id }) => id !== 'low-pipe-blocked' || family.dpLowSide === 'pipe'))
    : undefined;
  const falseAlarm = fault !== undefined && d.chance(0.25);
  const inside: FilterState = falseAlarm
    ? { sootG: d.between(0.5, 1.8) * volumeL, ashG: d.between(2, 15) * volumeL }
    : {
        sootG: (ashFull ? d.between(1, 4) : d.between(5, 14)) * volumeL,
        ashG: (ashFull ? d.between(42, 70) : d.between(2, 18)) * volumeL,
      };
  const faults: Fault[] = fault
    ? [{ id: fault.id, severity: d.between(0.35, 1), ...(fault.forms ? { form: d.pick(fault.forms) } : {}) }]
    : [];
  const proveFirst = d.chance(0.6);
  const mends = d.chance(0.6);
  const ambientC = d.between(0, 30);
  const start = { ambientC, engineC: d.between(60, 85), barometerMbar: Math.round(d.between(940, 1030)) };
  const first = new BenchVehicle({ family, seed, faults, start: { ...start, ...inside } });
  const hand = new ProvingHand(first, d);
  // A false alarm is read before the repair: that is what it is known by.
  if (falseAlarm) hand.read('before');
  if (proveFirst) {
    hand.look();
    if (mends) {
      hand.repair(first.faults);
      hand.look();
    }
  }
  if (!falseAlarm) hand.read('before');
  let outcome: Outcome | 'none' = 'none';
  let second = first;
  if (!falseAlarm) {
    const work = ashFull
      ? d.pick(['off-vehicle-clean', 'filter-exchanged'] as const)
      : d.pick(['chemical-clean', 'chemical-clean', 'standing-regeneration', 'off-vehicle-clean'] as const);
    outcome =
      work === 'filter-exchanged' ? 'good' : d.pick(['good', 'good', 'good', 'half', 'nothing'] as const);
    hand.enter({ kind: 'work', work, what: work });
    const left = treated(d, work, outcome, inside, volumeL);
    const leftLoose = d.chance(0.15) ? [{ id: 'dp-hose-off' as const, severity: d.between(0.3, 1) }] : [];
    second = new BenchVehicle({
      family,
      seed,
      faults: [...hand.vehicle.faults.filter(({ id }) => id !== 'dp-hose-off'), ...leftLoose],
      start: { ...start, ...left },
    });
    // Soot that was taken out and not burnt is still counted.
    if (work !== 'standing-regeneration') second.computer.sootG = inside.sootG;
    second.computer.modelSootG = second.computer.sootG;
    hand.visit(second);
  }
  hand.read('after');
  const [stateBefore, stateAfter] = [falseAlarm ? inside : stateOf(first), stateOf(second)];
  const lieAtStart = faults.length > 0 && !(proveFirst && mends);
  hand.prove({ mends });
  const derived = hand.derive();
  const lies = lying(hand.vehicle);
  const [soot, ash] = [stateAfter.sootG / volumeL, stateAfter.ashG / volumeL];
  const blocked = soot >= BLOCKED.sootGPerL || ash >= BLOCKED.ashGPerL;
  const clean = soot <= CURED.sootGPerL && ash <= CURED.ashGPerL;
  const { comparison, verdict, evidence, proof } = derived;
  const gas = comparison?.equalFlow;
  const believable = !lies && !lieAtStart && !falseAlarm;
  const removed = comparison?.removedPercent;
  const left = comparison?.restrictionAfter;
  const alone = family.dpTaps === 'filter' && family.dpLowSide === 'pipe';
  return {
    about: `${seed}: ${family.name}, ${falseAlarm ? 'false alarm' : outcome}, soot ${(inside.sootG / volumeL).toFixed(1)} → ${soot.toFixed(1)}, ash ${ash.toFixed(0)} g/L, ${faults.map(({ id, form, severity }) => `${id} ${form ?? ''} ${severity.toFixed(2)}`).join()}${proveFirst ? ' proved first' : ''}${mends ? ' mends' : ''}${lies ? ' LIES' : ''}, ${hand.how}: ${verdict}`,
    cured:
      clean && !lies && (falseAlarm ? hand.vehicle.faults.length === 0 : outcome === 'good' && !lieAtStart),
    blocked,
    lies,
    verdict,
    notShown: [
      ...evidence
        .filter(({ state }) => state !== 'shown')
        .map(({ id, state, text }) => `${id} ${state}: ${inEnglish(text)}`),
      ...(proof?.verdict === 'proved'
        ? []
        : [...inEnglish(proof?.missing ?? []), ...inEnglish(proof?.reasons ?? [])]),
    ],
    ...(believable && gas && removed
      ? {
          removed: {
            ...removed,
            truth: 100 * (1 - trueDrop(second, stateAfter, gas) / trueDrop(second, stateBefore, gas)),
          },
        }
      : {}),
    ...(believable && gas && left && alone
      ? {
          restriction: {
            ...left,
            truth: trueDrop(second, stateAfter, gas) / trueDrop(second, CLEAN, gas),
          },
        }
      : {}),
  };
}
