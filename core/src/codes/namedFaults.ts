/**
 * Names of faults as tools write them without a number, by the words that carry the meaning; the first that fits stands. Each is
 * read as the code that says the same in our one notation.
 */
const NAMES: readonly (readonly [words: RegExp, code: string, circuit?: string])[] = [
  [/(soot|particul\w*|dpf|filter).*(load|full|block|clog|restrict|accumul)|soot (too )?high/i, 'P2463'],
  [/differential|particul\w* filter.*pressure|dpf.*pressure|Δp|delta.?p/i, 'P2453', 'P2454'],
  [/(filter|dpf).*efficien/i, 'P2002'],
  [/(filter|dpf).*\bash\b|\bash\b.*(load|full|filter)/i, 'P242F'],
  [/back.?pressure|exhaust(?! gas (recirc|temp)).*pressure|pressure before (the )?turb/i, 'P0471', 'P0472'],
  [/oil.*level.*(high|over)/i, 'P252F'],
  [/oil.*(dilut|quality|degrad|life|level|counter|chang)|(dilut).*oil/i, 'P252C'],
  [/glow|pre-?heat/i, 'P0380'],
  [/coolant.*(circuit|open|short|volt|sensor)/i, 'P0117'],
  [/coolant.*(below|low|cool|thermostat)|thermostat/i, 'P0128'],
  [/egr.*cool|recirculation.*cool/i, 'P2457'],
  [/(recirculation|egr).*(insufficient|too (low|little)|low)/i, 'P0401'],
  [/(recirculation|egr).*(excess|too (high|much)|high)/i, 'P0402'],
  [/recirculation|\begr\b/i, 'P0404', 'P0403'],
  [/air (mass|flow)|mass air|\bmaf\b/i, 'P0101', 'P0102'],
  [/(boost|charge).*(low|under|insufficient)|under.?boost/i, 'P0299'],
  [/(boost|charge).*(high|over)|over.?boost/i, 'P0234'],
  [/(manifold|boost|charge).*(sensor|pressure)/i, 'P0106', 'P0107'],
  [/vane|turbo\w* (control|actuator|geometry)/i, 'P2563'],
  [/regenerat\w*.*(not|incomplete|fail|abort)|incomplete regenerat/i, 'P2458'],
  [/regenerat\w*.*(often|frequen)/i, 'P2459'],
  [/(exhaust gas )?temp\w*.*(1\b|before (the )?turb|pre.?turb)/i, 'P0545'],
  [/(exhaust gas )?temp\w*.*(2\b|before (the )?cat|oxid)/i, 'P2032'],
  [/(exhaust gas )?temp\w*.*(3\b|before (the )?(filter|dpf|particul)|pre.?dpf)/i, 'P242A'],
  [/(exhaust gas )?temp\w*.*(4\b|(behind|after) (the )?(filter|dpf|particul)|post.?dpf)/i, 'P2470'],
  [/(5 ?v|reference|sensor supply)/i, 'P0641'],
];

/** The fault is in the wire or the sensor’s signal, not in what is sensed. */
const CIRCUIT = /circuit|open\b|short|volt|signal|interrupt|wiring/i;

/** The code that a named fault says, or nothing where the name is not known or is a number itself. */
export function namedFault(text: string): string | undefined {
  if (!/[a-z]{3,}/i.test(text) || /^spn/i.test(text.trim())) return undefined;
  const found = NAMES.find(([words]) => words.test(text));
  if (!found) return undefined;
  const [, code, circuit] = found;
  return circuit !== undefined && CIRCUIT.test(text) && !/implaus|plausib|fit/i.test(text) ? circuit : code;
}
