import type { FreezeFrame } from '../../link/index.ts';
import { AIR_GAS_CONSTANT, clamp, kelvin } from '../../quantities/index.ts';
import type { ChannelRole } from '../../readings/index.ts';
import { oilFuelPercent } from '../benchOptions.ts';
import type { BenchFamily } from '../families.ts';
import { volumetricEfficiency } from '../vehicle/airPath.ts';
import type { Commands, Plant } from '../vehicle/plant.ts';
import { besideFilterMbar } from '../vehicle/pressures.ts';
import type { Scale } from '../vehicle/scale.ts';
import type { VoltSensor } from '../vehicle/sensors.ts';
import type { Wear } from '../vehicle/wear.ts';
import type { Computer } from './computer.ts';
import { boostTarget, MOST_FUEL } from './control.ts';
import { countSoot } from './load.ts';
import { stepRegeneration } from './regeneration.ts';
import { watch } from './watchMonitors.ts';

/** What the computer of a vehicle goes by. */
interface Seen {
  readonly family: BenchFamily;
  readonly scale: Scale;
  readonly plant: Plant;
  readonly computer: Computer;
  readonly commands: Commands;
  readonly wear: Wear;
  readonly volts: (sensor: VoltSensor) => number;
}

/** A second of the computer: it counts soot, minds the regeneration and watches its sensors. */
export function computerSecond(
  vehicle: Seen,
  sensed: (role: ChannelRole) => number | undefined,
  freezeFrame: () => FreezeFrame,
): void {
  const { plant, computer, family, scale, commands, wear } = vehicle;
  const volts = (sensor: VoltSensor): number => vehicle.volts(sensor);
  const deltaPMbar = sensed('dpfDeltaP') ?? 0;
  const airGPerS = sensed('massAirFlow') ?? 0;
  const egt3C = sensed('egt3');
  const egt4C = sensed('egt4');
  const filterC = clamp(filterTemperature(egt3C, egt4C), 20, 1000);
  const manifoldMbar = sensed('manifoldPressure') ?? plant.barometerMbar;
  const flow = Math.max(0, airGPerS + plant.engine.fuelGPerS) / 1000;
  const filterDeltaPMbar = deltaPMbar - besideFilterMbar(family, scale, flow, filterC, plant.barometerMbar);
  const trusted = !['P2453', 'P2454', 'P2455'].some((code) => computer.codes.get(code)?.present === true);
  countSoot(
    family,
    computer,
    {
      running: plant.engine.running,
      airGPerS,
      fuelGPerS: plant.engine.fuelGPerS,
      dosedGPerS: commands.dosingGPerS,
      coolantC: plant.coolantC,
      egrPercent: sensed('egrPosition') ?? 0,
      filterC,
      deltaPMbar: filterDeltaPMbar,
      barometerMbar: plant.barometerMbar,
      pressureTrusted: trusted,
    },
    1,
  );
  stepRegeneration(
    family,
    computer,
    {
      running: plant.engine.running,
      km: plant.road.km,
      kmPerH: plant.road.kmPerH,
      rpm: plant.engine.rpm,
      coolantC: plant.coolantC,
      fuelPercent: (100 * plant.fuelL) / family.tankL,
      egt3C: filterC,
      oilFuelPercent: oilFuelPercent(plant),
    },
    1,
  );
  const loadShare = plant.engine.running ? commands.fuelMgPerLCycle / MOST_FUEL : 0;
  const density = (manifoldMbar * 100) / (AIR_GAS_CONSTANT * kelvin(plant.air.manifoldC));
  watch(
    {
      family,
      computer,
      keyOnS: computer.keyOnS,
      running: plant.engine.running,
      sinceStartS: computer.sinceStartS,
      rpm: plant.engine.rpm,
      flowShare: airGPerS / 1000 / scale.ratedKgPerS,
      airGPerS,
      expectedAirGPerS:
        (volumetricEfficiency(family, scale, plant.engine.rpm) *
          family.displacementL *
          plant.engine.rpm *
          density) /
        120,
      fuelGPerS: plant.engine.fuelGPerS,
      loadShare,
      deltaPMbar,
      filterDeltaPMbar,
      volts: {
        dpfDeltaP: volts('dpfDeltaP'),
        manifoldPressure: volts('manifoldPressure'),
        ...(family.backPressureSensor ? { exhaustBackPressure: volts('exhaustBackPressure') } : {}),
      },
      backPressureMbar: sensed('exhaustBackPressure'),
      manifoldMbar,
      barometerMbar: plant.barometerMbar,
      boostTargetMbar: boostTarget(family, plant.engine.rpm, loadShare),
      egtC: [sensed('egt1'), sensed('egt2'), egt3C, egt4C],
      coolantC: plant.coolantC,
      egrPercent: sensed('egrPosition') ?? 0,
      egrCommandPercent: 100 * commands.egr,
      glowFault: !commands.glow
        ? 'none'
        : wear.glowRelayDead
          ? 'relay'
          : wear.glowPlugsDead > 0
            ? wear.glowPlugsDead
            : 'none',
      filterC,
      km: plant.road.km,
    },
    freezeFrame,
    1,
  );
}

/** What is kept beside a code at the moment at which it comes. */
export function frozen(
  atS: number,
  km: number,
  read: (role: ChannelRole) => number | undefined,
): FreezeFrame {
  const roles: ChannelRole[] = [
    'engineSpeed',
    'vehicleSpeed',
    'coolantTemp',
    'massAirFlow',
    'manifoldPressure',
    'dpfDeltaP',
    'egt3',
    'sootMass',
    'batteryVoltage',
  ];
  return {
    atS,
    km,
    values: Object.fromEntries(
      roles.flatMap((role) => {
        const value = read(role);
        return value === undefined ? [] : [[role, value]];
      }),
    ),
  };
}

const believable = (celsius: number | undefined): number | undefined =>
  celsius === undefined || celsius < -35 || celsius > 950 ? undefined : celsius;

/** Taken for the filter where no sensor of it is to be believed, °C. */
export const ASSUMED_FILTER_C = 200;

/** The middle of before and after the filter, as far as either is to be believed. */
function filterTemperature(beforeC: number | undefined, afterC: number | undefined): number {
  const [before, after] = [believable(beforeC), believable(afterC)];
  if (before !== undefined && after !== undefined) return (before + after) / 2;
  return before ?? after ?? ASSUMED_FILTER_C;
}
