import { told } from './told.ts';
import { filterGeometrySchema, type FilterGeometry, type GasState } from '@white-ember/core/filter';
import { InputError } from './InputError.ts';
import { optionalNumber, requiredNumber, type Options } from './input.ts';

/** Filter size and gas of the two filter commands, as flags name them. */
export function readGasOptions(options: Options): { geometry: FilterGeometry; gas: GasState; ashG: number } {
  const parsed = filterGeometrySchema.safeParse({
    diameterMm: requiredNumber(options, 'diameterMm', '--diameter-mm'),
    lengthMm: requiredNumber(options, 'lengthMm', '--length-mm'),
    cpsi: requiredNumber(options, 'cpsi', '--cpsi'),
    wallMm: requiredNumber(options, 'wallMm', '--wall-mm'),
  });
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    throw new InputError(
      told('fault-it-is', {
        right: issue?.message ?? told('the-filter-size-is-not-right'),
        path: options[String(issue?.path[0])] ?? '',
      }),
    );
  }
  const outletPressurePa = optionalNumber(options, 'outletPressurePa', '--outlet-pressure-pa');
  return {
    geometry: parsed.data,
    gas: {
      exhaustKgPerS: requiredNumber(options, 'exhaustKgPerS', '--exhaust-kg-per-s'),
      temperatureC: requiredNumber(options, 'temperatureC', '--temperature-c'),
      ...(outletPressurePa === undefined ? {} : { outletPressurePa }),
    },
    ashG: optionalNumber(options, 'ashG', '--ash-g') ?? 0,
  };
}
