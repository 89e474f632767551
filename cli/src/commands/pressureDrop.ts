import { told } from '../told.ts';
import { pressureDrop, restrictionRatio } from '@white-ember/core/filter';
import { readGasOptions } from '../gasOptions.ts';
import { optionalNumber, orInputError, type Options } from '../input.ts';
import { print, printJson, table } from '../output.ts';

export function pressureDropCommand(options: Options): void {
  const { geometry, gas, ashG } = readGasOptions(options);
  const sootG = optionalNumber(options, 'sootG', '--soot-g') ?? 0;
  const drop = orInputError(pressureDrop(geometry, { sootG, ashG }, gas));
  const { totalMbar, wallMbar, cakeMbar, channelMbar, inertialMbar, layerUm, flowM3PerH } = drop;
  // Without flow there is no ratio to speak of: the field is absent then.
  const restriction = restrictionRatio(geometry, gas, totalMbar);
  if (options['json']) {
    printJson({
      totalMbar,
      wallMbar,
      cakeMbar,
      channelMbar,
      inertialMbar,
      layerUm,
      flowM3PerH,
      ...(restriction.ok ? { restrictionRatio: restriction.value.ratio } : {}),
    });
    return;
  }
  const mbar = (name: string, value: number): string[] => [name, value.toFixed(2), 'mbar'];
  print(
    table([
      mbar(told('pressure-drop'), totalMbar),
      mbar('  wall', wallMbar),
      mbar(told('soot-and-ash-layer'), cakeMbar),
      mbar('  channels', channelMbar),
      mbar(told('in-and-outlet'), inertialMbar),
      [told('soot-layer'), layerUm.toFixed(1), 'µm'],
      [told('exhaust-flow'), flowM3PerH.toFixed(1), 'm³/h'],
      ...(restriction.ok ? [[told('restriction-ratio'), restriction.value.ratio.toFixed(2), '× clean']] : []),
    ]),
  );
}
