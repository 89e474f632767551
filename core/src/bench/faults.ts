import { clamp } from '../quantities/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import type { BenchFamily } from './families.ts';
import type { Plant } from './vehicle/plant.ts';
import type { Computer } from './computer/computer.ts';
import { newWear, type EgtNumber, type Wear } from './vehicle/wear.ts';

/** Every cause that the bench can have, by the names that the diagnosis uses. */
export const FAULT_IDS = [
  'soot-loaded',
  'ash-full',
  'filter-cracked',
  'catalyst-restricted',
  'downstream-restricted',
  'dp-sensor-failed',
  'dp-sensor-wrong',
  'high-pipe-blocked',
  'low-pipe-blocked',
  'dp-hose-off',
  'dp-hoses-crossed',
  'back-pressure-sensor-failed',
  'back-pressure-pipe-blocked',
  'manifold-sensor-failed',
  'egt1-failed',
  'egt2-failed',
  'egt3-failed',
  'egt4-failed',
  'sensor-wiring',
  'intake-leak',
  'charge-leak',
  'air-meter-failed',
  'turbocharger-worn',
  'vanes-stuck',
  'egr-stuck-open',
  'egr-cooler-fouled',
  'injector-over-fuelling',
  'dosing-injector-blocked',
  'glow-plugs-failed',
  'oil-counter',
  'thermostat-stuck-open',
  'oil-in-exhaust',
  'short-trips',
  'soot-counter-reset',
  'counter-not-reset',
  'fuel-low',
] as const;
export type FaultId = (typeof FAULT_IDS)[number];

export interface Fault {
  readonly id: FaultId;
  /** 0 nothing … 1 as bad as it gets. */
  readonly severity: number;
  /** Which of its forms, where it has several; the first where it is not said. */
  readonly form?: string;
  /** Comes on after so much running time, and takes so long to come on fully, s. Absent: there from the beginning. */
  readonly startS?: number;
  readonly rampS?: number;
}

interface FaultDefinition {
  readonly forms?: readonly string[];
  /** What it does while it is there, at this severity. */
  readonly wears?: (wear: Wear, severity: number, form: string, family: BenchFamily) => void;
  /** What it has done before the job began. */
  readonly began?: (plant: Plant, computer: Computer, severity: number, family: BenchFamily) => void;
}

const fill = (plant: Plant, grams: number): void => {
  plant.filter.sootG.fill(grams / plant.filter.sootG.length);
};

const egt = (number: EgtNumber): FaultDefinition => ({
  forms: ['open', 'stuck', 'reads-high-cold'],
  wears: (wear, severity, form) => {
    const its = wear.egt[number - 1];
    if (!its) return;
    if (form === 'open') its.open = severity > 0.3;
    else if (form === 'stuck') its.stuckAt = severity > 0.3 ? 60 + 130 * severity : undefined;
    else its.coldOffset = 60 * severity;
  },
});

/** What each fault does to the vehicle. Severities are scaled so that 0.7 and more shows in a guided baseline. */
export const FAULTS: Readonly<Record<FaultId, FaultDefinition>> = {
  'soot-loaded': {
    wears: () => undefined,
    began: (plant, computer, severity, family) => {
      const volumeL = filterVolumeL(family.filter);
      fill(plant, (4 + 17 * severity) * volumeL);
      // Soot that has closed whole channels at the face.
      plant.filter.shutShare = Math.max(plant.filter.shutShare, 0.62 * severity);
      computer.sootG = (4 + 15 * severity) * volumeL;
      computer.modelSootG = computer.sootG;
    },
  },
  'ash-full': {
    began: (plant, computer, severity, family) => {
      const volumeL = filterVolumeL(family.filter);
      plant.filter.ashG = (20 + 62 * severity) * volumeL;
      computer.ashG = (15 + 42 * severity) * volumeL;
    },
  },
  'filter-cracked': {
    wears: (wear, severity) => {
      wear.filterBypass = 0.97 * Math.sqrt(severity);
    },
  },
  'catalyst-restricted': {
    wears: (wear, severity) => {
      wear.catalystResistance = 1 + 45 * severity;
    },
  },
  'downstream-restricted': {
    wears: (wear, severity) => {
      wear.downstreamResistance = 1 + 14 * severity;
    },
  },
  'dp-sensor-failed': {
    forms: ['dead', 'stuck', 'zero-off', 'low'],
    wears: (wear, severity, form) => {
      if (form === 'dead') wear.deltaP.open = severity > 0.3;
      else if (form === 'stuck') wear.deltaP.stuckAt = severity > 0.3 ? 40 + 260 * severity : undefined;
      else if (form === 'zero-off') wear.deltaP.offset = 28 * severity;
      else wear.deltaP.gain = 1 - 0.97 * Math.sqrt(severity);
    },
  },
  'dp-sensor-wrong': {
    wears: (wear, severity) => {
      wear.deltaP.gain = 1 - 0.75 * severity;
    },
  },
  'high-pipe-blocked': {
    wears: (wear, severity) => {
      wear.highPipeOpen = 1 - severity;
    },
  },
  'low-pipe-blocked': {
    wears: (wear, severity) => {
      wear.lowPipeOpen = 1 - severity;
    },
  },
  'dp-hose-off': {
    wears: (wear, severity) => {
      wear.highHoseLeak = severity;
    },
  },
  'dp-hoses-crossed': {
    wears: (wear) => {
      wear.hosesCrossed = true;
    },
  },
  'back-pressure-sensor-failed': {
    forms: ['stuck', 'off'],
    wears: (wear, severity, form) => {
      if (form === 'stuck') wear.backPressure.stuckAt = severity > 0.3 ? 1000 : undefined;
      else wear.backPressure.offset = 280 * severity;
    },
  },
  'back-pressure-pipe-blocked': {
    forms: ['blocked', 'broken'],
    wears: (wear, severity, form) => {
      if (form === 'blocked') wear.backPressurePipeOpen = 1 - severity;
      else wear.backPressurePipeLeak = severity;
    },
  },
  'manifold-sensor-failed': {
    forms: ['stuck', 'off', 'slow'],
    wears: (wear, severity, form) => {
      if (form === 'stuck') wear.manifold.stuckAt = severity > 0.3 ? 1012 : undefined;
      else if (form === 'off') wear.manifold.offset = -260 * severity;
      // Below a fifth of its bore a pipe is felt to be slow.
      else wear.manifoldPipeOpen = 1 / (1 + 11 * severity * severity);
    },
  },
  'egt1-failed': egt(1),
  'egt2-failed': egt(2),
  'egt3-failed': egt(3),
  'egt4-failed': egt(4),
  'sensor-wiring': {
    forms: ['ground', 'supply'],
    wears: (wear, severity, form) => {
      if (form === 'ground') wear.groundOhm = 28 * severity;
      else wear.supplyV = 5 - 1.2 * severity;
    },
  },
  'intake-leak': {
    wears: (wear, severity) => {
      wear.unmeteredShare = 0.55 * severity;
    },
  },
  'charge-leak': {
    wears: (wear, severity) => {
      wear.chargeLeak = 1.1 * severity;
    },
  },
  'air-meter-failed': {
    forms: ['low', 'high'],
    wears: (wear, severity, form) => {
      wear.airMeter.gain = form === 'low' ? 1 - 0.6 * severity : 1 + 0.8 * severity;
    },
  },
  'turbocharger-worn': {
    wears: (wear, severity) => {
      wear.turboEfficiency = 1 - 0.8 * severity;
    },
  },
  'vanes-stuck': {
    forms: ['open', 'shut'],
    wears: (wear, severity, form) => {
      wear.vanesStuckAt = severity < 0.3 ? undefined : form === 'open' ? 0 : 0.75 + 0.25 * severity;
    },
  },
  'egr-stuck-open': {
    wears: (wear, severity) => {
      wear.egrOpenAtLeast = severity;
    },
  },
  'egr-cooler-fouled': {
    wears: (wear, severity) => {
      wear.egrCoolerFouled = severity;
    },
  },
  'injector-over-fuelling': {
    wears: (wear, severity) => {
      wear.overFuelling = 0.5 * severity;
    },
  },
  'dosing-injector-blocked': {
    wears: (wear, severity) => {
      wear.dosingOpen = 1 - 0.95 * severity;
    },
  },
  'glow-plugs-failed': {
    forms: ['plugs', 'relay'],
    wears: (wear, severity, form, family) => {
      if (form === 'relay') wear.glowRelayDead = severity > 0.3;
      else wear.glowPlugsDead = Math.max(1, Math.round(severity * family.cylinders));
    },
  },
  'oil-counter': {
    forms: ['counter', 'diluted'],
    began: (plant, computer, severity, family) => {
      plant.oil.kmSinceChange = 20_000 * (0.6 + 0.6 * severity);
      computer.oilLifePercent = Math.max(0, 30 - 40 * severity);
      plant.oil.fuelG = 0.14 * severity * family.oilL * 870;
    },
  },
  'thermostat-stuck-open': {
    wears: (wear, severity) => {
      wear.thermostatOpen = severity;
    },
  },
  'oil-in-exhaust': {
    wears: (wear, severity) => {
      wear.oilIntoExhaustGPerS = 0.02 * severity;
    },
    began: (plant, _computer, severity) => {
      plant.filter.oilG = 40 * severity;
    },
  },
  'short-trips': {
    began: (plant, computer, severity, family) => {
      const grams = (3 + 9 * severity) * filterVolumeL(family.filter);
      fill(
        plant,
        Math.max(
          grams,
          plant.filter.sootG.reduce((a, b) => a + b, 0),
        ),
      );
      computer.sootG = Math.max(computer.sootG, grams * 0.95);
      computer.modelSootG = computer.sootG;
    },
  },
  'soot-counter-reset': {
    began: (plant, computer) => {
      computer.sootG = 0;
      computer.modelSootG = 0;
      computer.adaptations.sootResetAtKm = plant.road.km - 1;
    },
  },
  'counter-not-reset': {
    began: (plant, computer, severity, family) => {
      fill(plant, 1.5 * filterVolumeL(family.filter));
      plant.filter.shutShare = 0;
      computer.sootG = (6 + 10 * severity) * filterVolumeL(family.filter);
      computer.modelSootG = computer.sootG;
    },
  },
  'fuel-low': {
    began: (plant, _computer, severity, family) => {
      plant.fuelL = family.tankL * (0.14 - 0.1 * severity);
    },
  },
};

/** How bad a fault is after so much running time. */
export const severityAt = ({ severity, startS, rampS }: Fault, runningS: number): number =>
  startS === undefined
    ? severity
    : severity * clamp(rampS ? (runningS - startS) / rampS : runningS >= startS ? 1 : 0, 0, 1);

/** The state of wear that a set of faults has brought about by now. */
export function wearAt(faults: readonly Fault[], runningS: number, family: BenchFamily): Wear {
  const wear = newWear();
  for (const fault of faults) {
    const { wears, forms } = FAULTS[fault.id];
    const severity = severityAt(fault, runningS);
    if (severity > 0) wears?.(wear, severity, fault.form ?? forms?.[0] ?? '', family);
  }
  return wear;
}
