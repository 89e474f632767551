export const LAMPS: readonly (readonly [id: string, label: string])[] = [
  ['filter', 'Filter lamp'],
  ['engine', 'Engine lamp'],
  ['glow', 'Glow lamp flashes'],
  ['oil', 'Oil or service'],
  ['exhaust-fluid', 'Exhaust fluid'],
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
