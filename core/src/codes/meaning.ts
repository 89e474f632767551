import { named, say } from '../words/index.ts';
import type { CodeMeaning } from './codeLine.ts';
import { GENERIC, PARAMETERS } from './codeTable.ts';
import { CODE_RANGES } from './ranges.ts';
import { readCode, type ReadCode } from './readCode.ts';

/** `exact`: this very code is known; `by-range`: only what its range is about; `none`: nothing is known. */
export type Certainty = 'exact' | 'by-range' | 'none';

export interface KnownCode extends ReadCode, CodeMeaning {
  readonly certainty: Certainty;
}

const NOTHING: CodeMeaning = {
  role: 'unknown',
  holdsRegenerationOff: false,
  checks: [],
  meaning: say('codes.not-in-the-tables'),
};

/** In the order of the standard's digits, which are hexadecimal. */
const within = (code: string, from: string, to: string): boolean =>
  code.startsWith(from.charAt(0)) && code >= from && code <= to;

/** Failure modes that the standard has words for; the others are kept for later. */
const MODES: ReadonlySet<number> = new Set([...Array.from({ length: 22 }, (_, mode) => mode), 31]);
/** Those that say that the circuit is wrong. */
const CIRCUIT_MODES: ReadonlySet<number> = new Set([2, 3, 4, 5, 6, 8, 9, 12, 13, 19, 20, 21]);

function ofParameter({ spn, fmi }: ReadCode): CodeMeaning & { certainty: Certainty } {
  const parameter = spn === undefined ? undefined : PARAMETERS.get(`spn${spn}`);
  const mode = fmi !== undefined && MODES.has(fmi) ? named('failureModes', `fmi${fmi}`) : undefined;
  if (!parameter) {
    return mode === undefined
      ? { ...NOTHING, certainty: 'none' }
      : { ...NOTHING, certainty: 'by-range', meaning: say('codes.parameter-not-in-the-tables', { mode }) };
  }
  const circuit = fmi !== undefined && CIRCUIT_MODES.has(fmi);
  return {
    ...parameter,
    // A load that is measured by a broken circuit is no load: then the circuit is the cause.
    role: circuit && parameter.role === 'consequence' ? 'cause' : parameter.role,
    certainty: mode === undefined ? 'by-range' : 'exact',
    meaning: say('codes.parameter-and-mode', {
      parameter: parameter.meaning,
      mode: mode ?? say('codes.mode-not-in-the-tables'),
    }),
  };
}

function ofGeneric({ code }: ReadCode): CodeMeaning & { certainty: Certainty } {
  const exact = GENERIC.get(code);
  if (exact) return { ...exact, certainty: 'exact' };
  const family = CODE_RANGES.find(({ from, to }) => within(code, from, to));
  if (family) {
    const { role, holdsRegenerationOff, checks, span } = family;
    return {
      role,
      holdsRegenerationOff,
      checks,
      certainty: 'by-range',
      meaning: say('codes.by-its-range', { range: named('codeRanges', span) }),
    };
  }
  return { ...NOTHING, certainty: 'none', meaning: say('codes.maker-specific') };
}

/** Reads a code and says what is known of it; nothing is invented where the tables are silent. */
export function codeMeaning(text: string): KnownCode {
  const read = readCode(text);
  if (read.notation === 'spn-fmi') return { ...read, ...ofParameter(read) };
  if (read.notation === 'j2012' || read.notation === 'hexadecimal') return { ...read, ...ofGeneric(read) };
  // A name says what it is about, and never just which code of those it is.
  if (read.notation === 'name') return { ...read, ...ofGeneric(read), certainty: 'by-range' };
  return { ...read, ...NOTHING, certainty: 'none' };
}
