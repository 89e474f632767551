import { told } from '../told.ts';
import { filterVolumeL, sootFromPressure } from '@white-ember/core/filter';
import { readGasOptions } from '../gasOptions.ts';
import { orInputError, requiredNumber, type Options } from '../input.ts';
import { print, printJson } from '../output.ts';

export function sootFromPressureCommand(options: Options): void {
  const { geometry, gas, ashG } = readGasOptions(options);
  const estimate = orInputError(
    sootFromPressure({ geometry, gas, ashG, dpMbar: requiredNumber(options, 'dpMbar', '--dp-mbar') }),
  );
  const { sootG, lowG, highG, capped } = estimate;
  if (options['json']) {
    printJson({ sootG, lowG, highG, capped });
    return;
  }
  const perL = sootG / filterVolumeL(geometry);
  print(
    `soot ${sootG.toFixed(1)} g (${lowG.toFixed(1)} to ${highG.toFixed(1)}, 90 %), ${perL.toFixed(1)} g/L`,
    capped ? told('capped-more-than-soot-can-explain') : '',
    estimate.belowClean ? told('below-what-this-filter-shows-clean') : '',
  );
}
