import { pressureDrop, filterVolumeL } from '../../filter/index.ts';
import type { ChannelRole } from '../../readings/index.ts';
import type { BenchFamily } from '../families.ts';
import { CIRCUIT_HIGH_V, CIRCUIT_LOW_V } from '../vehicle/sensors.ts';
import type { Computer } from './computer.ts';
import { sootRefuseG } from './regeneration.ts';

/** What the self-tests look at, each second. Absent where a sensor is not fitted. */
export interface Watched {
  readonly family: BenchFamily;
  readonly computer: Computer;
  readonly keyOnS: number;
  readonly running: boolean;
  /** Since this start of the engine. */
  readonly sinceStartS: number;
  readonly rpm: number;
  /** Share of the rated flow that the engine breathes. */
  readonly flowShare: number;
  readonly airGPerS: number;
  readonly expectedAirGPerS: number;
  readonly fuelGPerS: number;
  readonly loadShare: number;
  readonly deltaPMbar: number;
  /** Less what lies between the taps beside the filter. */
  readonly filterDeltaPMbar: number;
  readonly volts: Readonly<Partial<Record<ChannelRole, number>>>;
  readonly backPressureMbar: number | undefined;
  readonly manifoldMbar: number;
  readonly barometerMbar: number;
  readonly boostTargetMbar: number;
  readonly egtC: readonly (number | undefined)[];
  readonly coolantC: number;
  readonly egrPercent: number;
  readonly egrCommandPercent: number;
  readonly glowFault: 'none' | 'relay' | number;
  readonly filterC: number;
  readonly km: number;
}

export interface Monitor {
  readonly code: string;
  /** The condition must stand so long before the code is pending; twice as long before it is confirmed. */
  readonly forS: number;
  readonly when: (seen: Watched) => boolean;
  /** Which self-test it belongs to. */
  readonly test: string;
  /** Volts, or a temperature that no element gives: every computer tests that. */
  readonly circuit?: true;
  /** Share of full power that is left while it is active. */
  readonly power?: number;
}

const circuit = (role: ChannelRole, low: string, high: string, power?: number): Monitor[] => [
  {
    code: low,
    forS: 3,
    test: 'exhaust sensors',
    circuit: true,
    when: ({ volts }) => (volts[role] ?? 1) < CIRCUIT_LOW_V,
    ...(power === undefined ? {} : { power }),
  },
  {
    code: high,
    forS: 3,
    test: 'exhaust sensors',
    circuit: true,
    when: ({ volts }) => (volts[role] ?? 1) > CIRCUIT_HIGH_V,
    ...(power === undefined ? {} : { power }),
  },
];

const egtCircuit = (index: number, low: string, high: string): Monitor[] => [
  {
    code: low,
    forS: 4,
    test: 'exhaust sensors',
    circuit: true,
    when: ({ egtC }) => (egtC[index] ?? 20) < -35,
  },
  {
    code: high,
    forS: 4,
    test: 'exhaust sensors',
    circuit: true,
    when: ({ egtC }) => (egtC[index] ?? 20) > 950,
  },
];

/** The mean of the other EGTs that show a believable value. */
function othersC({ egtC }: Watched, index: number): number | undefined {
  const others = egtC.filter(
    (value, i): value is number => i !== index && value !== undefined && value > -35 && value < 950,
  );
  return others.length < 2 ? undefined : others.reduce((a, b) => a + b, 0) / others.length;
}

const egtRange = (index: number, code: string, apartC = 130): Monitor => ({
  code,
  forS: 45,
  test: 'exhaust sensors',
  when: (seen) => {
    const own = seen.egtC[index];
    const others = othersC(seen, index);
    return (
      own !== undefined &&
      others !== undefined &&
      own > -35 &&
      own < 950 &&
      seen.flowShare > 0.5 &&
      seen.loadShare < 0.2 &&
      // Still hot from a drive or a regeneration the line is in no order that could be judged.
      Math.max(own, others) < 350 &&
      Math.abs(own - others) > apartC
    );
  },
});

/** ΔP of the clean filter at what flows now, mbar. */
function cleanMbar({ family, airGPerS, fuelGPerS, filterC, barometerMbar }: Watched): number {
  const drop = pressureDrop(
    family.filter,
    { sootG: 0, ashG: 0 },
    {
      exhaustKgPerS: Math.max(0, airGPerS + fuelGPerS) / 1000,
      temperatureC: filterC,
      outletPressurePa: barometerMbar * 100,
    },
  );
  return drop.ok ? drop.value.totalMbar : 0;
}

const off = (value: number | undefined, reference: number): number =>
  value === undefined ? 0 : Math.abs(value - reference) / reference;

const keyOnEngineOff = (seen: Watched): boolean => !seen.running && seen.rpm === 0 && seen.keyOnS > 2;

/**
 * The computer's self-tests with the generic codes (SAE J2012) that they set, in the words of conditions. Not those of
 * any maker: what each watches, and how long, is made for the bench.
 */
export const MONITORS: readonly Monitor[] = [
  ...circuit('dpfDeltaP', 'P2454', 'P2455', 0.75),
  ...circuit('exhaustBackPressure', 'P0472', 'P0473'),
  ...circuit('manifoldPressure', 'P0107', 'P0108', 0.6),
  {
    code: 'P2453',
    forS: 4,
    test: 'filter',
    when: (seen) =>
      (keyOnEngineOff(seen) && Math.abs(seen.deltaPMbar) > 35) ||
      (seen.running &&
        seen.flowShare > 0.6 &&
        seen.loadShare < 0.4 &&
        seen.filterDeltaPMbar < 0.12 * cleanMbar(seen)),
  },
  {
    code: 'P2463',
    forS: 20,
    test: 'filter',
    power: 0.6,
    when: ({ computer, family }) => computer.sootG > 0.9 * sootRefuseG(family),
  },
  {
    code: 'P242F',
    forS: 30,
    test: 'filter',
    power: 0.75,
    when: ({ computer, family }) => computer.ashG > 55 * filterVolumeL(family.filter),
  },
  {
    code: 'P2002',
    forS: 40,
    test: 'filter',
    when: (seen) =>
      seen.running &&
      seen.flowShare > 0.6 &&
      seen.loadShare < 0.4 &&
      seen.filterDeltaPMbar >= 0.12 * cleanMbar(seen) &&
      seen.filterDeltaPMbar < 0.55 * cleanMbar(seen),
  },
  {
    code: 'P2458',
    forS: 1,
    test: 'filter',
    when: ({ computer }) => computer.regeneration.failures >= 2,
  },
  {
    code: 'P0471',
    forS: 4,
    test: 'exhaust sensors',
    when: (seen) =>
      seen.backPressureMbar !== undefined &&
      ((keyOnEngineOff(seen) && off(seen.backPressureMbar, seen.barometerMbar) > 0.12) ||
        (seen.running && seen.flowShare > 0.75 && seen.backPressureMbar - seen.barometerMbar < 25)),
  },
  {
    code: 'P0106',
    // A large turbocharger takes its time.
    forS: 8,
    test: 'boost',
    power: 0.75,
    when: (seen) =>
      (keyOnEngineOff(seen) && off(seen.manifoldMbar, seen.barometerMbar) > 0.12) ||
      (seen.running &&
        seen.loadShare > 0.6 &&
        seen.flowShare > 1 &&
        seen.manifoldMbar < seen.barometerMbar + 40),
  },
  {
    code: 'P0299',
    forS: 5,
    test: 'boost',
    power: 0.6,
    when: (seen) =>
      // Cold exhaust gas drives a large turbocharger little.
      seen.coolantC > 55 &&
      seen.rpm > 0.42 * seen.family.governedRpm &&
      seen.boostTargetMbar > 500 &&
      seen.manifoldMbar - seen.barometerMbar < 0.55 * seen.boostTargetMbar,
  },
  {
    code: 'P0234',
    forS: 4,
    test: 'boost',
    power: 0.6,
    when: (seen) =>
      seen.running && seen.manifoldMbar - seen.barometerMbar - Math.max(seen.boostTargetMbar, 350) > 330,
  },
  {
    code: 'P0102',
    forS: 3,
    test: 'egr',
    circuit: true,
    when: (seen) => seen.running && seen.airGPerS < 0.1 * seen.expectedAirGPerS,
  },
  {
    code: 'P0101',
    forS: 10,
    test: 'egr',
    when: (seen) =>
      seen.running &&
      seen.flowShare > 0.5 &&
      seen.egrPercent < 5 &&
      seen.airGPerS >= 0.1 * seen.expectedAirGPerS &&
      (seen.airGPerS < 0.7 * seen.expectedAirGPerS || seen.airGPerS > 1.35 * seen.expectedAirGPerS),
  },
  {
    code: 'P0404',
    forS: 6,
    test: 'egr',
    when: (seen) => seen.running && seen.egrPercent - seen.egrCommandPercent > 12,
  },
  ...egtCircuit(0, 'P0545', 'P0546'),
  ...egtCircuit(1, 'P2032', 'P2033'),
  ...egtCircuit(2, 'P242C', 'P242D'),
  ...egtCircuit(3, 'P2470', 'P2471'),
  // Before the turbo it is hotter than the rest of the line, the more the larger the engine.
  egtRange(0, 'P2080', 190),
  egtRange(2, 'P242B'),
  egtRange(3, 'P246F'),
  {
    code: 'P0128',
    forS: 60,
    test: 'egr',
    when: ({ sinceStartS, coolantC, family }) =>
      sinceStartS > 700 + 110 * family.displacementL && coolantC < 68,
  },
  {
    code: 'P0380',
    forS: 1,
    test: 'glow plugs',
    circuit: true,
    when: ({ glowFault }) => glowFault === 'relay',
  },
  ...[1, 2, 3, 4, 5, 6].map((cylinder): Monitor => ({
    code: `P067${cylinder}`,
    forS: 1,
    test: 'glow plugs',
    circuit: true,
    when: ({ glowFault }) => typeof glowFault === 'number' && glowFault >= cylinder,
  })),
];
