import { say, type Message } from '../../words/index.ts';
import { filterVolumeL } from '../../filter/index.ts';
import type { BenchFamily } from '../families.ts';
import { anyActive, type Computer } from './computer.ts';
import { codeAsWritten } from './notation.ts';

export interface RegenSeen {
  readonly running: boolean;
  readonly km: number;
  readonly kmPerH: number;
  readonly rpm: number;
  readonly coolantC: number;
  readonly fuelPercent: number;
  readonly egt3C: number;
  readonly oilFuelPercent: number;
}

/** Codes with which the computer does not trust itself to burn. */
export const INHIBITING_CODES = [
  'P2453',
  'P2454',
  'P2455',
  'P2002',
  'P0471',
  'P0472',
  'P0473',
  'P0106',
  'P0107',
  'P0108',
  'P0101',
  'P0102',
  'P0299',
  'P0404',
  'P0545',
  'P0546',
  'P2032',
  'P2033',
  'P242C',
  'P242D',
  'P2470',
  'P2471',
  'P2080',
  'P242B',
  'P246F',
  'P0380',
  'P242F',
  'P0128',
] as const;

export const sootStartG = (family: BenchFamily): number =>
  family.regenStartGPerL * filterVolumeL(family.filter);
export const sootRefuseG = (family: BenchFamily): number =>
  family.regenRefuseGPerL * filterVolumeL(family.filter);

const LONGEST_S = 35 * 60;
const SHORTEST_S = 240;

/** Below these, or above, the computer of the simulated vehicles holds a regeneration off. */
const COOLANT_FROM_C = 70;
const FUEL_FROM_PERCENT = 12;
const OIL_FUEL_MOST_PERCENT = 8;

/** What holds a regeneration off now; none where it may run. */
export function inhibitors(family: BenchFamily, computer: Computer, seen: RegenSeen): Message[] {
  const code = anyActive(computer, INHIBITING_CODES);
  const { forced } = computer.regeneration;
  const held: Message[] = [];
  if (code !== undefined) held.push(say('link.code-is-active', { code: codeAsWritten(family, code) }));
  if (seen.coolantC < COOLANT_FROM_C)
    held.push(say('link.coolant-is-cold', { celsius: seen.coolantC, fromC: COOLANT_FROM_C }));
  if (seen.fuelPercent < FUEL_FROM_PERCENT)
    held.push(say('link.fuel-is-low', { percent: seen.fuelPercent, from: FUEL_FROM_PERCENT }));
  if (computer.oilLifePercent <= 0) held.push(say('link.oil-life-is-over'));
  if (seen.oilFuelPercent > OIL_FUEL_MOST_PERCENT)
    held.push(say('link.fuel-in-the-oil', { percent: seen.oilFuelPercent, most: OIL_FUEL_MOST_PERCENT }));
  const mostG = sootRefuseG(family);
  if (computer.sootG > mostG) held.push(say('link.soot-is-counted', { sootG: computer.sootG, mostG }));
  if (!seen.running) held.push(say('link.engine-stands'));
  if (seen.running && forced === undefined && seen.kmPerH < 25) held.push(say('link.vehicle-stands'));
  return held;
}

/** A second of the regeneration's logic. */
export function stepRegeneration(
  family: BenchFamily,
  computer: Computer,
  seen: RegenSeen,
  seconds: number,
): void {
  const { regeneration } = computer;
  regeneration.inhibitors = inhibitors(family, computer, seen);
  const held = regeneration.inhibitors.length > 0;
  const running = regeneration.phase === 'heating' || regeneration.phase === 'burning';
  if (!running) {
    if (regeneration.phase === 'cooling') {
      regeneration.elapsedS += seconds;
      if (regeneration.elapsedS > 90) endForced(computer);
      return;
    }
    const wanted = regeneration.forced !== undefined || computer.sootG > sootStartG(family);
    regeneration.phase = !wanted ? 'none' : held ? 'wanted' : 'heating';
    if (regeneration.phase === 'heating') {
      regeneration.elapsedS = 0;
      regeneration.dosingTrim = 0;
    }
    return;
  }
  regeneration.elapsedS += seconds;
  if (regeneration.phase === 'heating' && seen.egt3C > 500) regeneration.phase = 'burning';
  const done = computer.sootG < 0.2 * sootStartG(family) && regeneration.elapsedS > SHORTEST_S;
  const stopped = regeneration.inhibitors.some(({ say: code }) => code !== 'link.vehicle-stands');
  if (!done && !stopped && regeneration.elapsedS < LONGEST_S) return;
  if (done) {
    regeneration.failures = 0;
    regeneration.distances.push(seen.km - regeneration.lastKm);
    if (regeneration.distances.length > 6) regeneration.distances.shift();
    regeneration.lastKm = seen.km;
  } else regeneration.failures += 1;
  // Flow is kept up until the bed has cooled: to drop to idle now is the dangerous case.
  regeneration.phase = regeneration.forced === undefined ? 'none' : 'cooling';
  regeneration.elapsedS = 0;
}

function endForced(computer: Computer): void {
  computer.regeneration.phase = 'none';
  computer.regeneration.forced = undefined;
}
