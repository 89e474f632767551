import { say, type Said } from '../words/index.ts';
/** Engine sizes that round to the same name differ by less. */
const SAME_SIZE_L = 0.11;

const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^a-z0-9.]+/)
    .filter((word) => word.length > 1);

/**
 * Whether a scan tool took the vehicle for another one: by its engine size, or by not one word in common with the vehicle and its
 * engine family. Channels, limits and routines of another model may then be shown.
 */
export function identityMismatch(
  tool: { readonly vehicle: string; readonly displacementL?: number | undefined },
  vehicle: { readonly model: string; readonly family: string; readonly displacementL?: number | undefined },
): Said | undefined {
  if (
    tool.displacementL !== undefined &&
    vehicle.displacementL !== undefined &&
    Math.abs(tool.displacementL - vehicle.displacementL) > SAME_SIZE_L
  )
    return say('job.it-shows-l-the-vehicle', {
      displacementL: tool.displacementL,
      displacementL2: vehicle.displacementL,
    });
  const known = new Set([...wordsOf(vehicle.model), ...wordsOf(vehicle.family)]);
  const seen = wordsOf(tool.vehicle);
  if (seen.length > 0 && known.size > 0 && !seen.some((word) => known.has(word)))
    return say('job.it-shows-the-vehicle', {
      vehicle: tool.vehicle,
      model: vehicle.model,
      family: vehicle.family,
    });
  return undefined;
}
