import { isMessage, say, type Said } from '../words/message.ts';

/**
 * Expected failures are values. A failure says what is wrong (`code`), where (`field`), with which value, and what
 * would have been right (`requirement`); the sentence for people is made from that by {@link describeFailure}.
 */
export interface Failure {
  readonly code:
    | 'not-a-number'
    | 'out-of-range'
    | 'unknown-unit'
    | 'unreadable'
    | 'not-enough-data'
    | 'impossible';
  readonly field: Said;
  readonly requirement: Said;
  readonly value?: string | number;
}

export type Result<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly failure: Failure };

export const success = <T>(value: T): Result<T> => ({ ok: true, value });

export const failed = (failure: Failure): { ok: false; failure: Failure } => ({ ok: false, failure });

/** One plain sentence: field, what it must be, what it was. */
export const describeFailure = ({ field, requirement, value }: Failure): Said =>
  // What is in words already needs none: a failure of a file has been told by its reader.
  isMessage(field) || isMessage(requirement)
    ? say('failures.not-so', { field, requirement, value })
    : `${field} ${requirement}${value === undefined ? '' : ` (it is ${String(value)})`}`;

/** Turns a result into its value where a failure would be a fault of the program, not of the person's input. */
export function valueOf<T>(result: Result<T>): T {
  if (!result.ok) throw new RangeError(JSON.stringify(result.failure));
  return result.value;
}

/** A check of one number against a closed range; the one policy for impossible numbers in core. */
export function outOfRange(
  field: string,
  value: number,
  low: number,
  high: number,
  unit: string,
): Failure | undefined {
  if (!Number.isFinite(value)) {
    return {
      code: 'not-a-number',
      field,
      requirement: say('failures.a-finite-number'),
      value: String(value),
    };
  }
  if (value < low || value > high) {
    return {
      code: 'out-of-range',
      field,
      requirement: say('failures.between', { low, high, unit }),
      value,
    };
  }
  return undefined;
}

export const firstFailure = (...checks: (Failure | undefined)[]): Failure | undefined =>
  checks.find((check) => check !== undefined);
