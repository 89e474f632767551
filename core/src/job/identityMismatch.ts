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
): string | undefined {
  if (
    tool.displacementL !== undefined &&
    vehicle.displacementL !== undefined &&
    Math.abs(tool.displacementL - vehicle.displacementL) > SAME_SIZE_L
  )
    return `It shows ${tool.displacementL} L, the vehicle has ${vehicle.displacementL} L: channels and limits may belong to another engine.`;
  const known = new Set([...wordsOf(vehicle.model), ...wordsOf(vehicle.family)]);
  const seen = wordsOf(tool.vehicle);
  if (seen.length > 0 && known.size > 0 && !seen.some((word) => known.has(word)))
    return `It shows “${tool.vehicle}”, the vehicle is ${vehicle.model} (${vehicle.family}): check the selection in the tool before trusting its values.`;
  return undefined;
}
