import { told } from '../told.ts';
import { inEnglish } from '@white-ember/core/words';
import { checkScenario, judgeBurn, simulateBurn } from '@white-ember/core/burn';
import { orInputError, readJson, readLimits, type Options } from '../input.ts';
import { print, printJson, table } from '../output.ts';

/** What a regeneration would do to a filter: soot left, how hot and where, and the heat that went where. */
export function burn(file: string, options: Options): void {
  const limits = readLimits(options['limits']);
  const scenario = orInputError(checkScenario(readJson(file, told('burn-scenario'))), file);
  const run = orInputError(simulateBurn(scenario, limits), file);
  const { verdict, reasons } = inEnglish(judgeBurn(run, scenario.filter.material, limits));
  const { sootLeftG, peakBedC, peakAtS, peakAtMm, maxGradientCPerCm, durationS, energy, series } = run;
  if (options['json']) {
    const { timeS, sootG, inletC, outletC, peakC } = series;
    printJson({
      sootLeftG,
      peakBedC,
      peakAtS,
      peakAtMm,
      maxGradientCPerCm,
      durationS,
      energy,
      series: { timeS, sootG, inletC, outletC, peakC },
      verdict,
      reasons,
    });
    return;
  }
  const kJ = (name: string, joule: number): string[] => [name, (joule / 1000).toFixed(1), 'kJ'];
  print(
    table([
      [told('soot-left'), sootLeftG.toFixed(2), 'g'],
      [told('hottest-in-the-bed'), peakBedC.toFixed(0), '°C'],
      ['  after', peakAtS.toFixed(0), 's'],
      [told('behind-the-face'), peakAtMm.toFixed(0), 'mm'],
      [told('steepest-along-it'), maxGradientCPerCm.toFixed(0), '°C/cm'],
      [told('most-of-the-soot-burns-in'), durationS.toFixed(0), 's'],
      kJ(told('heat-with-the-gas-in'), energy.inJ),
      kJ(told('of-the-soot'), energy.reactionJ),
      kJ(told('with-the-gas-out'), energy.outJ),
      kJ(told('kept-in-the-bed'), energy.storedJ),
      kJ(told('lost-through-the-can'), energy.lossJ),
      ['  unaccounted', (100 * energy.residualFraction).toFixed(4), '%'],
    ]),
  );
  print(
    { clean: 'clean', 'soot-left': told('soot-is-left'), 'too-hot': told('too-hot') }[verdict],
    ...reasons.map((text) => `  ${text}`),
  );
}
