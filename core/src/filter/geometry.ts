import { say } from '../words/index.ts';
import { z } from 'zod';
import { figure } from '../fields/index.ts';
import { failed, success, type Result } from '../quantities/index.ts';

export const FILTER_MATERIALS = ['cordierite', 'silicon-carbide', 'aluminium-titanate', 'unknown'] as const;
export type FilterMaterial = (typeof FILTER_MATERIALS)[number];

/** Size of a wall-flow filter as it stands on its label or is measured on the can. */
export const filterGeometrySchema = z.object({
  diameterMm: figure('diameter', 50, 500, 'mm'),
  lengthMm: figure('length', 50, 600, 'mm'),
  cpsi: figure('cells', 50, 600, 'per square inch'),
  wallMm: figure('wall', 0.1, 0.8, 'mm'),
});
export type FilterGeometry = z.infer<typeof filterGeometrySchema>;

/** The same in SI units, with what follows from it. */
export interface FilterCells {
  /** Channel width a, m. */
  readonly channelM: number;
  /** Wall thickness w_s, m. */
  readonly wallM: number;
  /** Channel length L, m. */
  readonly lengthM: number;
  /** Filter volume V, m³. */
  readonly volumeM3: number;
  /** Inlet channels N: half of the cells, as every second one is plugged in front. */
  readonly inletChannels: number;
}

/** Beyond this load the layer model is not trusted, and hardly any filter is met with more. */
export const SOOT_CAP_G_PER_L = 20;

const INCH_MM = 25.4;

/** Litres of brick. Worked value: 144 × 152 mm → 2.475 L. */
export const filterVolumeL = ({ diameterMm, lengthMm }: FilterGeometry): number =>
  ((Math.PI / 4) * diameterMm ** 2 * lengthMm) / 1e6;

/**
 * Channel width, number and volume from diameter, length, cell density and wall of a round brick with square cells.
 * @returns a failure when a value lies outside what is built (see the schema) or the walls leave no channel
 */
export function filterCells(geometry: FilterGeometry): Result<FilterCells> {
  const parsed = filterGeometrySchema.safeParse(geometry);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    const field = String(issue?.path[0] ?? 'filter');
    return failed({
      code: 'out-of-range',
      field,
      requirement: say('failures.no-filter-size', { why: issue?.message ?? '' }),
      value: String(geometry[field as keyof FilterGeometry]),
    });
  }
  const { diameterMm, lengthMm, cpsi, wallMm } = parsed.data;
  const pitchMm = INCH_MM / Math.sqrt(cpsi);
  const channelMm = pitchMm - wallMm;
  if (channelMm < 0.3) {
    return failed({
      code: 'impossible',
      field: 'wallMm',
      requirement: say('failures.leaves-no-channel', { cpsi, pitchMm }),
      value: wallMm,
    });
  }
  const areaIn2 = ((Math.PI / 4) * diameterMm ** 2) / INCH_MM ** 2;
  return success({
    channelM: channelMm / 1000,
    wallM: wallMm / 1000,
    lengthM: lengthMm / 1000,
    volumeM3: filterVolumeL(parsed.data) / 1000,
    inletChannels: (cpsi * areaIn2) / 2,
  });
}
