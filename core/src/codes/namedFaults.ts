/**
 * Names of faults as tools write them without a number, by the words that carry the meaning; the first that fits stands. Each is
 * read as the code that says the same in our one notation.
 */
const NAMES: readonly (readonly [words: RegExp, code: string])[] = [
  [/differential|particul\w* filter.*pressure|dpf.*pressure|Δp|delta.?p/i, 'P2453'],
  [/(soot|particul\w*|dpf|filter).*(load|level|full|block|clog|restrict|accumul)|soot (too )?high/i, 'P2463'],
  [/(filter|dpf).*efficien/i, 'P2002'],
  [/(exhaust )?back.?pressure|pressure before (the )?turb/i, 'P0471'],
  [/oil.*(dilut|quality|degrad|life|level|counter|chang)|(dilut).*oil/i, 'P252C'],
  [/glow|pre-?heat/i, 'P0380'],
  [/coolant.*(below|low|cool|thermostat)|thermostat/i, 'P0128'],
  [/(exhaust gas )?recirculation|egr/i, 'P0404'],
  [/air (mass|flow)|mass air|maf/i, 'P0101'],
  [/(boost|charge).*(low|under|insufficient)|under.?boost/i, 'P0299'],
  [/(boost|charge).*(high|over)|over.?boost/i, 'P0234'],
  [/(manifold|boost|charge).*(sensor|pressure)/i, 'P0106'],
  [/vane|turbo\w* (control|actuator|geometry)/i, 'P2563'],
  [/regenerat\w*.*(not|incomplete|fail|abort)|incomplete regenerat/i, 'P2458'],
  [/(5 ?v|reference|supply).*(volt|sensor)?/i, 'P0641'],
  [/(exhaust gas )?temp\w*.*(1\b|before (the )?turb|pre.?turb)/i, 'P0545'],
  [/(exhaust gas )?temp\w*.*(2\b|before (the )?cat|oxid)/i, 'P2032'],
  [/(exhaust gas )?temp\w*.*(3\b|before (the )?(filter|dpf|particul)|pre.?dpf)/i, 'P242A'],
  [/(exhaust gas )?temp\w*.*(4\b|(behind|after) (the )?(filter|dpf|particul)|post.?dpf)/i, 'P2470'],
];

/** The code that a named fault says, or nothing where the name is not known or is a number itself. */
export const namedFault = (text: string): string | undefined =>
  /[a-z]{3,}/i.test(text) && !/^spn/i.test(text.trim())
    ? NAMES.find(([words]) => words.test(text))?.[1]
    : undefined;
