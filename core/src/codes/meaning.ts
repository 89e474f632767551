import { GENERIC, PARAMETERS, type CodeMeaning } from './codeTable.ts';
import { FAILURE_MODES } from './heavyTable.ts';
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
  meaning: 'Not in the tables: see the maker’s data',
};

/** In the order of the standard's digits, which are hexadecimal. */
const within = (code: string, from: string, to: string): boolean =>
  code.startsWith(from.charAt(0)) && code >= from && code <= to;

function ofParameter(read: ReadCode): CodeMeaning & { certainty: Certainty } {
  const parameter = read.spn === undefined ? undefined : PARAMETERS.get(String(read.spn));
  const mode = read.fmi === undefined ? undefined : FAILURE_MODES[read.fmi];
  if (!parameter) {
    return {
      ...NOTHING,
      certainty: mode === undefined ? 'none' : 'by-range',
      meaning: mode === undefined ? NOTHING.meaning : `Parameter not in the tables: ${mode}`,
    };
  }
  const circuit = read.fmi !== undefined && [2, 3, 4, 5, 6, 8, 9, 12, 13, 19, 20, 21].includes(read.fmi);
  return {
    ...parameter,
    // A load that is measured by a broken circuit is no load: then the circuit is the cause.
    role: circuit && parameter.role === 'consequence' ? 'cause' : parameter.role,
    certainty: mode === undefined ? 'by-range' : 'exact',
    meaning: `${parameter.meaning}: ${mode ?? 'failure mode not in the tables'}`,
  };
}

function ofGeneric({ code }: ReadCode): CodeMeaning & { certainty: Certainty } {
  const exact = GENERIC.get(code);
  if (exact) return { ...exact, certainty: 'exact' };
  const family = CODE_RANGES.find(({ from, to }) => within(code, from, to));
  if (family) {
    const { role, holdsRegenerationOff, checks, meaning } = family;
    return {
      role,
      holdsRegenerationOff,
      checks,
      certainty: 'by-range',
      meaning: `${meaning} (by its range)`,
    };
  }
  return { ...NOTHING, certainty: 'none', meaning: 'Maker-specific code: see the maker’s data' };
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
