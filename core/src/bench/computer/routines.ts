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

const refused = (id: RoutineId, text: string): RoutineState => ({ id, elapsedS: 0, status: 'refused', text });
const done = (id: RoutineId, text: string): RoutineState => ({ id, elapsedS: 0, status: 'done', text });

/** What the computer answers when a routine is asked for. Only its own conditions: whether it is wise is not its matter. */
export function startRoutine(
  family: BenchFamily,
  computer: Computer,
  id: RoutineId,
  seen: RoutineSeen,
): RoutineState {
  if (!seen.ignition) return refused(id, 'No answer: the ignition is off.');
  const standing = !seen.running && seen.rpm === 0;
  if (
    ['clear-codes', 'reset-soot', 'new-filter', 'adapt-delta-p', 'reset-oil', 'vane-sweep'].includes(id) &&
    !standing
  )
    return refused(id, 'Refused: only with the engine off and the ignition on.');
  switch (id) {
    case 'clear-codes':
      computer.codes.clear();
      computer.standing.clear();
      for (const name of READINESS) computer.readiness.set(name, 0);
      computer.regeneration.failures = 0;
      computer.powerLimit = 1;
      return done(id, 'Codes cleared; self-tests restart.');
    case 'reset-soot':
      computer.sootG = family.resetSootG;
      computer.modelSootG = family.resetSootG;
      computer.pressureSootG = undefined;
      computer.adaptations.sootResetAtKm = seen.km;
      return done(id, `Soot counter at ${family.resetSootG} g. Nothing in the filter has changed.`);
    case 'new-filter':
      computer.sootG = family.resetSootG;
      computer.modelSootG = family.resetSootG;
      computer.pressureSootG = undefined;
      computer.ashG = 0;
      computer.adaptations.filterSinceKm = seen.km;
      return done(id, 'Soot and ash counters reset; the filter counts as new from this distance.');
    case 'adapt-delta-p':
      if (Math.abs(seen.deltaPMbar) > 60)
        return refused(
          id,
          `Refused: ${seen.deltaPMbar.toFixed(0)} mbar at rest is too far from 0 to be learned.`,
        );
      computer.adaptations.deltaPZeroMbar += seen.deltaPMbar;
      computer.adaptations.deltaPLearnedAtKm = seen.km;
      return done(
        id,
        `Zero learned: ${computer.adaptations.deltaPZeroMbar.toFixed(1)} mbar is subtracted from now on.`,
      );
    case 'reset-oil':
      computer.oilLifePercent = 100;
      return done(id, 'Oil life at 100 %.');
    case 'regenerate-standing':
    case 'regenerate-driving': {
      if (!seen.running) return refused(id, 'Refused: the engine is not running.');
      if (id === 'regenerate-standing' && seen.kmPerH > 0.5)
        return refused(id, 'Refused: the vehicle is moving.');
      const against = computer.regeneration.inhibitors.filter(
        (text) => !text.startsWith('the vehicle') && !text.startsWith('the engine'),
      );
      if (against.length > 0) return refused(id, `Refused: ${against.join('; ')}.`);
      computer.regeneration.forced = id === 'regenerate-standing' ? 'standing' : 'driving';
      return { id, elapsedS: 0, status: 'running', text: 'Heating.' };
    }
    case 'vane-sweep':
      return { id, elapsedS: 0, status: 'running', text: 'Vanes move between their stops.' };
    case 'stop': {
      const { regeneration } = computer;
      if (regeneration.forced !== undefined && regeneration.phase !== 'none') {
        // Dosing ends at once; the raised speed stays until the bed has cooled.
        regeneration.phase = 'cooling';
        regeneration.elapsedS = 0;
        return done(id, 'Dosing stopped; revs kept up until the filter has cooled.');
      }
      return done(id, 'Nothing was running.');
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
      routine.text = 'Sweep ended.';
    }
    return;
  }
  const words = {
    none: 'Ended.',
    wanted: 'Blocked',
    heating: 'Heating.',
    burning: 'Burning.',
    cooling: 'Cooling; revs kept up.',
  };
  routine.text =
    regeneration.phase === 'wanted'
      ? `${words.wanted}: ${regeneration.inhibitors.join('; ')}.`
      : words[regeneration.phase];
  if (regeneration.phase === 'none') routine.status = 'done';
}
