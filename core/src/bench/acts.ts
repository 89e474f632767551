import { say, type Said } from '../words/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import type { BenchVehicle } from './benchVehicle.ts';
import type { FaultId } from './faults.ts';
import { loosen } from './vehicle/exhaustLine.ts';
import { FILTER_CELLS, totalSootG } from './vehicle/plant.ts';
import type { EgtNumber } from './vehicle/wear.ts';

export type PressurePort = 'dp-high' | 'dp-low' | 'back-pressure' | 'manifold';
export type PipeName = 'high' | 'low' | 'back-pressure';
export type PlugName =
  | 'dpfDeltaP'
  | 'exhaustBackPressure'
  | 'manifoldPressure'
  | 'massAirFlow'
  | `egt${EgtNumber}`;
export type JointName = 'before-catalyst' | 'before-filter' | 'after-filter';

/** What a person does with their hands at the vehicle. */
export type Act =
  | { readonly do: 'unplug' | 'plug' | 'swap-sensor'; readonly sensor: PlugName }
  /** Hand pump at a sensor's port, its hose off, mbar above the air; undefined takes it off again. */
  | { readonly do: 'pump'; readonly port: PressurePort; readonly mbar: number | undefined }
  /** Hand pump at the free end of a pipe: sets the pressure in it; an open one loses it at once. */
  | { readonly do: 'pump-pipe'; readonly pipe: PipeName; readonly mbar: number }
  | { readonly do: 'soak-pipe' | 'rod-pipe' | 'blow-pipe' | 'replace-pipe'; readonly pipe: PipeName }
  | { readonly do: 'right-hoses' | 'seal-duct' | 'seal-charge-pipe' }
  | {
      readonly do: 'inject-fluid';
      readonly grams: number;
      readonly by: 'high-pipe' | 'sensor-port' | 'before-turbine';
    }
  | { readonly do: 'open-joint'; readonly joint: JointName | undefined }
  /** Stands with the engine off for so many hours: all of it comes near the air outside. */
  | { readonly do: 'stand'; readonly hours: number }
  | { readonly do: 'change-oil' | 'change-glow-plugs' | 'refuel' }
  | { readonly do: 'take-filter-off' | 'back-flush' | 'dry-filter' | 'refit-filter' | 'exchange-filter' }
  | { readonly do: 'repair'; readonly fault: FaultId };

export interface ActResult {
  readonly done: boolean;
  /** What the person sees, or why it cannot be done. */
  readonly text: Said;
  /** Grams on the scale, where it was weighed. */
  readonly grams?: number;
}

const done = (text: Said): ActResult => ({ done: true, text });
const cannot = (text: Said): ActResult => ({ done: false, text });

/** Weight of a dry, empty brick in its can, g per litre: mat, can and ceramic. */
const EMPTY_G_PER_L = {
  'silicon-carbide': 1450,
  cordierite: 1050,
  'aluminium-titanate': 1200,
  unknown: 1200,
} as const;
const TOUCHABLE_C = 50;

const PIPE_FAULTS: Readonly<Record<PipeName, FaultId>> = {
  high: 'high-pipe-blocked',
  low: 'low-pipe-blocked',
  'back-pressure': 'back-pressure-pipe-blocked',
};

const SENSOR_FAULTS: Readonly<Record<PlugName, readonly FaultId[]>> = {
  dpfDeltaP: ['dp-sensor-failed', 'dp-sensor-wrong'],
  exhaustBackPressure: ['back-pressure-sensor-failed'],
  manifoldPressure: ['manifold-sensor-failed'],
  massAirFlow: ['air-meter-failed'],
  egt1: ['egt1-failed'],
  egt2: ['egt2-failed'],
  egt3: ['egt3-failed'],
  egt4: ['egt4-failed'],
};

const without = (vehicle: BenchVehicle, ids: readonly FaultId[]): void => {
  vehicle.faults = vehicle.faults.filter(({ id }) => !ids.includes(id));
  vehicle.refreshWear();
};

/** Leaves a share of a fault's severity. */
function lessen(vehicle: BenchVehicle, id: FaultId, share: number): void {
  vehicle.faults = vehicle.faults.map((fault) =>
    fault.id === id ? { ...fault, severity: fault.severity * share } : fault,
  );
  vehicle.refreshWear();
}

const severityOf = (vehicle: BenchVehicle, id: FaultId): number =>
  vehicle.faults.find((fault) => fault.id === id)?.severity ?? 0;

/** Does one act; what it cannot do it refuses with the reason and changes nothing. */
export function perform(vehicle: BenchVehicle, act: Act): ActResult {
  const { plant, family, unplugged } = vehicle;
  const { running } = plant.engine;
  switch (act.do) {
    case 'unplug':
      unplugged.add(act.sensor);
      return done(say('bench.plug-off'));
    case 'plug':
      unplugged.delete(act.sensor);
      return done(say('bench.plug-on'));
    case 'swap-sensor':
      if (running) return cannot(say('bench.stop-the-engine-first'));
      unplugged.delete(act.sensor);
      without(vehicle, SENSOR_FAULTS[act.sensor]);
      return done(say('bench.a-known-good-sensor-is-in'));
    case 'pump':
      if (running) return cannot(say('bench.stop-the-engine-first-your-hand'));
      if (act.mbar === undefined) takePumpOff(vehicle, act.port);
      else vehicle.pumped.set(act.port, act.mbar);
      return done(
        act.mbar === undefined
          ? say('bench.pump-off-hose-on')
          : say('bench.mbar-at-the-port', { mbar: act.mbar }),
      );
    case 'pump-pipe':
      return pumpPipe(vehicle, act.pipe, act.mbar);
    case 'soak-pipe':
    case 'rod-pipe':
    case 'blow-pipe':
    case 'replace-pipe':
      return clearPipe(vehicle, act.do, act.pipe);
    case 'right-hoses':
      without(vehicle, ['dp-hoses-crossed', 'dp-hose-off']);
      return done(say('bench.hoses-correctly-fitted'));
    case 'seal-duct':
      without(vehicle, ['intake-leak']);
      return done(say('bench.the-duct-is-taped-a-temporary'));
    case 'seal-charge-pipe':
      without(vehicle, ['charge-leak']);
      return done(say('bench.the-charge-pipe-is-tight'));
    case 'inject-fluid':
      return inject(vehicle, act.grams, act.by);
    case 'open-joint':
      vehicle.openJoint = act.joint;
      return done(
        act.joint === undefined
          ? say('bench.the-line-is-closed')
          : say('bench.the-line-is-open', { joint: act.joint.replace('-', ' the ') }),
      );
    case 'stand':
      if (running) return cannot(say('bench.stop-the-engine-first'));
      stand(vehicle, act.hours);
      return done(say('bench.parked-only-h', { hours: act.hours }));
    case 'change-oil':
      plant.oil.fuelG = 0;
      plant.oil.kmSinceChange = 0;
      plant.oil.litres = family.oilL;
      return done(say('bench.fresh-oil-to-the-mark-the'));
    case 'change-glow-plugs':
      without(vehicle, ['glow-plugs-failed']);
      return done(say('bench.new-plugs-and-relay'));
    case 'refuel':
      plant.fuelL = family.tankL;
      return done(say('bench.tank-full'));
    case 'take-filter-off':
    case 'back-flush':
    case 'dry-filter':
    case 'refit-filter':
    case 'exchange-filter':
      return offVehicle(vehicle, act.do);
    case 'repair':
      without(vehicle, [act.fault]);
      return done('Repaired.');
  }
}

/** Hours in which the block, and the exhaust, lose all but 1/e of what they are hotter than the air. */
const BLOCK_H = 1.3;
const EXHAUST_H = 0.35;

function stand({ plant, family }: BenchVehicle, hours: number): void {
  const { ambientC, exhaust, pipes, barometerMbar } = plant;
  const cooled = (celsius: number, overH: number): number =>
    ambientC + (celsius - ambientC) * Math.exp(-hours / overH);
  plant.coolantC = cooled(plant.coolantC, BLOCK_H);
  plant.oilC = cooled(plant.oilC, BLOCK_H);
  plant.air.manifoldC = cooled(plant.air.manifoldC, BLOCK_H);
  plant.air.compressorC = cooled(plant.air.compressorC, EXHAUST_H);
  for (const key of ['portC', 'tailC', 'manifoldSolidC', 'turbineSolidC', 'pipeSolidC'] as const)
    exhaust[key] = cooled(exhaust[key], EXHAUST_H);
  for (const list of [exhaust.gasC, exhaust.catalystC, exhaust.filterC, plant.egtC])
    list.forEach((celsius, i) => {
      list[i] = cooled(celsius, EXHAUST_H);
    });
  // Fluid in it goes on to loosen while it stands, as far as the bed is cold by then.
  loosen(plant.filter, { ...exhaust, gPerS: 0 }, filterVolumeL(family.filter), hours * 3600);
  Object.assign(pipes, { high: 0, low: 0, backPressure: 0, manifold: barometerMbar });
  plant.timeS += hours * 3600;
}

/** The port stands open for a moment before its hose is on again. */
function takePumpOff(vehicle: BenchVehicle, port: PressurePort): void {
  const { pipes, barometerMbar } = vehicle.plant;
  vehicle.pumped.delete(port);
  if (port === 'dp-high') pipes.high = 0;
  else if (port === 'dp-low') pipes.low = 0;
  else if (port === 'back-pressure') pipes.backPressure = 0;
  else pipes.manifold = barometerMbar;
}

function pumpPipe(vehicle: BenchVehicle, pipe: PipeName, mbar: number): ActResult {
  if (vehicle.plant.engine.running) return cannot(say('bench.stop-the-engine-first'));
  const { pipes } = vehicle.plant;
  if (pipe === 'high') pipes.high = mbar;
  else if (pipe === 'low') pipes.low = mbar;
  else pipes.backPressure = mbar;
  return done(say('bench.mbar-pumped-into-the-pipe-watch', { mbar }));
}

/** Soaking and rodding leave little, blowing alone half; a hard, shut pipe wants soaking before the rod goes through. */
function clearPipe(
  vehicle: BenchVehicle,
  how: 'soak-pipe' | 'rod-pipe' | 'blow-pipe' | 'replace-pipe',
  pipe: PipeName,
): ActResult {
  if (vehicle.plant.engine.running) return cannot(say('bench.stop-the-engine-first-gas-comes'));
  const id = PIPE_FAULTS[pipe];
  if (how === 'replace-pipe') {
    without(vehicle, [id]);
    return done(say('bench.a-new-pipe'));
  }
  const severity = severityOf(vehicle, id);
  if (how === 'soak-pipe') {
    lessen(vehicle, id, 0.8);
    vehicle.soaked.add(pipe);
    return done(
      severity > 0.95 ? say('bench.the-cleaner-stays-in-the-pipe') : say('bench.the-cleaner-drains-slowly'),
    );
  }
  if (how === 'rod-pipe') {
    if (severity > 0.95 && !vehicle.soaked.has(pipe)) return cannot(say('bench.the-cable-stops-at-the-bend'));
    lessen(vehicle, id, 0.1);
    return done(say('bench.the-cable-goes-through'));
  }
  const sensor = pipe === 'back-pressure' ? 'exhaustBackPressure' : 'dpfDeltaP';
  if (!vehicle.unplugged.has(sensor) && pipe !== 'back-pressure') {
    // Compressed air into a connected sensor is the end of it.
    vehicle.faults = [...vehicle.faults, { id: 'dp-sensor-failed', severity: 1, form: 'stuck' }];
    vehicle.refreshWear();
    return done(say('bench.blown-with-the-sensor-on-its'));
  }
  lessen(vehicle, id, severity > 0.95 ? 0.97 : 0.5);
  return done(severity > 0.95 ? say('bench.hardly-any-air-passes') : say('bench.soot-comes-out-then-air'));
}

function inject(
  vehicle: BenchVehicle,
  grams: number,
  by: 'high-pipe' | 'sensor-port' | 'before-turbine',
): ActResult {
  const { plant } = vehicle;
  if (vehicle.filterOff) return cannot(say('bench.the-filter-is-off'));
  if (by === 'high-pipe' && vehicle.wear.highPipeOpen < 0.15)
    return cannot(say('bench.nothing-passes-the-high-pipe'));
  const arrives = grams * (by === 'before-turbine' ? 0.55 : by === 'high-pipe' ? 0.9 : 0.95);
  let boiled = 0;
  for (let i = 0; i < FILTER_CELLS; i++) {
    const hot = (plant.exhaust.filterC[i] as number) - 100;
    if (hot > 0) boiled += Math.min(arrives / FILTER_CELLS, hot * 0.3);
    // A litre of cold fluid takes the heat of a warm brick with it.
    plant.exhaust.filterC[i] =
      (plant.exhaust.filterC[i] as number) -
      ((plant.exhaust.filterC[i] as number) - plant.ambientC) * Math.min(0.8, arrives / 1500);
  }
  plant.filter.wetG += Math.max(0, arrives - boiled);
  return done(
    boiled > 20
      ? say('bench.it-boils-off-on-contact-the')
      : say('bench.g-reach-the-filter', { grams: arrives }),
  );
}

function offVehicle(
  vehicle: BenchVehicle,
  step: 'take-filter-off' | 'back-flush' | 'dry-filter' | 'refit-filter' | 'exchange-filter',
): ActResult {
  const { plant, family } = vehicle;
  const { filter, exhaust } = plant;
  const volumeL = filterVolumeL(family.filter);
  if (step === 'take-filter-off') {
    if (plant.engine.running) return cannot(say('bench.stop-the-engine-first'));
    if ((exhaust.filterC[2] as number) > TOUCHABLE_C)
      return cannot(say('bench.the-filter-is-at-c-wait', { filterC: exhaust.filterC[2] as number }));
    vehicle.filterOff = true;
    return weighed(vehicle, say('bench.the-filter-is-off'));
  }
  if (!vehicle.filterOff) return cannot(say('bench.the-filter-is-on-the-vehicle'));
  switch (step) {
    case 'back-flush':
      filter.ashG *= 0.18;
      filter.oilG *= 0.4;
      filter.shutShare *= 0.15;
      filter.sootG.fill((0.06 * totalSootG(filter)) / FILTER_CELLS);
      filter.wetG = 260 * volumeL;
      return weighed(vehicle, say('bench.back-flushed-until-the-water-ran'));
    case 'dry-filter':
      filter.wetG = 0;
      return weighed(vehicle, 'Dry.');
    case 'refit-filter':
      vehicle.filterOff = false;
      return done('Refitted.');
    case 'exchange-filter':
      filter.ashG = 0;
      filter.oilG = 0;
      filter.shutShare = 0;
      filter.melted = 0;
      filter.wetG = 0;
      filter.sootG.fill(0);
      without(vehicle, ['filter-cracked']);
      vehicle.filterOff = false;
      return done(say('bench.replacement-filter-fitted'));
  }
}

function weighed(vehicle: BenchVehicle, text: Said): ActResult {
  const { filter } = vehicle.plant;
  const { family } = vehicle;
  const empty = EMPTY_G_PER_L[family.filter.material] * filterVolumeL(family.filter);
  const grams = Math.round(empty + totalSootG(filter) + filter.ashG + filter.oilG + filter.wetG);
  return { done: true, text: say('bench.it-weighs-kg', { what: text, kg: grams / 1000 }), grams };
}
