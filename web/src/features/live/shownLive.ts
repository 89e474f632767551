import type { LinkChannel } from '@white-ember/core/link';
import { chosenUnit, type UnitChoice } from '@white-ember/core/words';
import { fromBase, unitLabel } from '@white-ember/core/quantities';
import { CHANNEL_ROLES } from '@white-ember/core/readings';
import { fixed } from '../../ui/format.ts';

/** The value of a channel in the person's unit, no finer than the module gives it. */
export function shownLive(
  { role, status, decimals }: Pick<LinkChannel, 'role' | 'status' | 'decimals'>,
  base: number,
  units: UnitChoice,
): { figure: string; unit: string } {
  if (status === 'volts') return { figure: fixed(base, 2), unit: 'V' };
  const { unit, quantity } = CHANNEL_ROLES[role];
  if (quantity === 'fraction') return { figure: fixed(base, decimals), unit: '' };
  const own = chosenUnit(unit, units);
  const value = fromBase(base, own);
  const digits =
    quantity === 'pressure' ? (Math.abs(value) < 100 ? (Math.abs(value) < 10 ? 2 : 1) : 0) : decimals;
  return { figure: fixed(value, digits), unit: unitLabel(own) };
}
