import * as wording from '@white-ember/core/words/screens/intake';
export const LAMPS: readonly (readonly [id: string, label: string])[] = [
  ['filter', wording.filterLamp],
  ['engine', wording.engineLamp],
  ['glow', wording.glowLampFlashes],
  ['oil', wording.oilOrService],
  ['exhaust-fluid', wording.exhaustFluid],
];

const KIT_KEY = 'white-ember kit';

/** What was on the van last time: it seldom changes from job to job. */
export function usualKit(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KIT_KEY) ?? '[]');
    return Array.isArray(kept)
      ? kept.filter((id): id is string => typeof id === 'string' && id !== 'cold-engine')
      : [];
  } catch {
    return [];
  }
}
export const keepKit = (kit: readonly string[]): void => localStorage.setItem(KIT_KEY, JSON.stringify(kit));
