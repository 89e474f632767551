import type { Words } from '@white-ember/core/words';

const NO_BREAK = '\u00a0';
/** A figure and what it is counted in; a word after a figure is one more word of its sentence. */
const FIGURE_AND_UNIT =
  /(\d) (?=(?:%|°[CF]|× clean|m?bar|k?Pa|hPa|psi|inHg|inH₂O|g|kg|oz|lb|mg|L|mL|gal|qt|mm|cm|in|m|km|mi|ft|km\/h|mph|rpm|s|min|h|V|mV|N·m|ms|lb·ft|m³\/h|ft³\/min|kW|ppm|Hz)(?![\p{L}\d]))/gu;

/** A text in which no line ends between a figure and its unit. */
export const withoutBreaks = (text: string): string => text.replace(FIGURE_AND_UNIT, `$1${NO_BREAK}`);

/** The same words for a screen, where lines end anywhere. */
export function unbroken(words: Words): Words {
  const joined = Object.entries(words).map(([name, of]) => [
    name,
    typeof of === 'function'
      ? (...args: unknown[]): unknown => {
          const told = (of as (...args: unknown[]) => unknown)(...args);
          return typeof told === 'string' ? withoutBreaks(told) : told;
        }
      : (of as unknown),
  ]);
  return Object.fromEntries(joined) as Words;
}
