import type { Vehicle } from '@white-ember/core/contract';

/** Kinds of vehicle that the workshop knows, the one it sees most first; each by its vehicle that came last. */
export function kindsOf(vehicles: readonly Vehicle[]): readonly Vehicle[] {
  const kinds = new Map<string, { readonly like: Vehicle; readonly count: number }>();
  for (const vehicle of vehicles) {
    const key = `${vehicle.family} ${vehicle.model}`;
    kinds.set(key, { like: vehicle, count: (kinds.get(key)?.count ?? 0) + 1 });
  }
  return [...kinds.values()].sort((a, b) => b.count - a.count).map(({ like }) => like);
}
