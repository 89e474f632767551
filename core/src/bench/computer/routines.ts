import { say, type Said } from '../../words/index.ts';
import type { RoutineId, RoutineState } from '../../link/index.ts';
import type { BenchFamily } from '../families.ts';
import { READINESS, type Computer } from './computer.ts';

export interface RoutineSeen {
  readonly ignition: boolean;
  readonly running: boolean;
  readonly rpm: number;
  readonly kmPerH: number;
  readonly km: number;
  readonly deltaPMbar: number;
}

const refused = (id: RoutineId, text: Said): RoutineState => ({ id, elapsedS: 0, status: 'refused', text });
const done = (id: RoutineId, text: Said): RoutineState => ({ id, elapsedS: 0, status: 'done', text });

/** What the computer answers when a routine is asked for. Only its own conditions: whether it is wise is not its matter. */
export function startRoutine(
  family: BenchFamily,
  computer: Computer,
  id: RoutineId,
  seen: RoutineSeen,
): RoutineState {
  if (!seen.ignition) return refused(id, say('link.ignition-off'));
  const standing = !seen.running && seen.rpm === 0;
  if (
    ['clear-codes', 'reset-soot', 'new-filter', 'adapt-delta-p', 'reset-oil', 'vane-sweep'].includes(id) &&
    !standing
  )
    return refused(id, say('link.only-with-the-engine-off'));
  switch (id) {
    case 'clear-codes':
      computer.codes.clear();
      computer.standing.clear();
      for (const name of READINESS) computer.readiness.set(name, 0);
      computer.regeneration.failures = 0;
      computer.powerLimit = 1;
      return done(id, say('link.codes-cleared'));
    case 'reset-soot':
      computer.sootG = family.resetSootG;
      computer.modelSootG = family.resetSootG;
      computer.pressureSootG = undefined;
      computer.adaptations.sootResetAtKm = seen.km;
      return done(id, say('link.soot-counter-at', { sootG: family.resetSootG }));
    case 'new-filter':
      computer.sootG = family.resetSootG;
      computer.modelSootG = family.resetSootG;
      computer.pressureSootG = undefined;
      computer.ashG = 0;
      computer.adaptations.filterSinceKm = seen.km;
      return done(id, say('link.counters-reset'));
    case 'adapt-delta-p':
      if (Math.abs(seen.deltaPMbar) > 60)
        return refused(id, say('link.too-far-from-zero', { mbar: seen.deltaPMbar }));
      computer.adaptations.deltaPZeroMbar += seen.deltaPMbar;
      computer.adaptations.deltaPLearnedAtKm = seen.km;
      return done(id, say('link.zero-learned', { mbar: computer.adaptations.deltaPZeroMbar }));
    case 'reset-oil':
      computer.oilLifePercent = 100;
      return done(id, say('link.oil-life-full', { percent: 100 }));
    case 'regenerate-standing':
    case 'regenerate-driving': {
      if (!seen.running) return refused(id, say('link.refused-engine-stands'));
      if (id === 'regenerate-standing' && seen.kmPerH > 0.5) return refused(id, say('link.refused-moving'));
      const against = computer.regeneration.inhibitors.filter(
        ({ say: code }) => code !== 'link.vehicle-stands' && code !== 'link.engine-stands',
      );
      if (against.length > 0) return refused(id, say('link.refused-by', { against }));
      computer.regeneration.forced = id === 'regenerate-standing' ? 'standing' : 'driving';
      return { id, elapsedS: 0, status: 'running', text: say('link.heating') };
    }
    case 'vane-sweep':
      return { id, elapsedS: 0, status: 'running', text: say('link.vanes-move') };
    case 'stop': {
      const { regeneration } = computer;
      if (regeneration.forced !== undefined && regeneration.phase !== 'none') {
        // Dosing ends at once; the raised speed stays until the bed has cooled.
        regeneration.phase = 'cooling';
        regeneration.elapsedS = 0;
        return done(id, say('link.dosing-stopped'));
      }
      return done(id, say('link.nothing-was-running'));
    }
  }
}

const SWEEP_S = 8;

/** A second of a running routine. */
export function stepRoutine(computer: Computer, seconds: number): void {
  const { routine, regeneration } = computer;
  if (routine?.status !== 'running') return;
  routine.elapsedS += seconds;
  if (routine.id === 'vane-sweep') {
    if (routine.elapsedS >= SWEEP_S) {
      routine.status = 'done';
      routine.text = say('link.sweep-ended');
    }
    return;
  }
  const { phase, inhibitors } = regeneration;
  routine.text =
    phase === 'wanted'
      ? say('link.blocked-by', { against: inhibitors })
      : say(phase === 'none' ? 'link.ended' : `link.${phase}`);
  if (regeneration.phase === 'none') routine.status = 'done';
}
