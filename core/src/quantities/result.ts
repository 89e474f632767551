/** A text, or a code with its figures that the room of words knows how to put. */
export type Told =
  | string
  | {
      readonly say: string;
      readonly of?: Readonly<Record<string, unknown>> | undefined;
      readonly text?: string | undefined;
    };

/**
 * Expected failures are values. A failure says what is wrong (`code`), where (`field`), with which value, and what
 * would have been right (`requirement`); the sentence for people is made from that by `describeFailure`.
 */
export interface Failure {
  readonly code:
    | 'not-a-number'
    | 'out-of-range'
    | 'unknown-unit'
    | 'unreadable'
    | 'not-enough-data'
    | 'impossible';
  readonly field: Told;
  readonly requirement: Told;
  readonly value?: string | number;
}

export type Result<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly failure: Failure };

export const success = <T>(value: T): Result<T> => ({ ok: true, value });

export const failed = (failure: Failure): { ok: false; failure: Failure } => ({ ok: false, failure });

/** Turns a result into its value where a failure would be a fault of the program, not of the person's input. */
export function valueOf<T>(result: Result<T>): T {
  if (!result.ok) throw new RangeError(JSON.stringify(result.failure));
  return result.value;
}

/** A check of one number against a closed range; the one policy for impossible numbers in core. */
export function outOfRange(
  field: Failure['field'],
  value: number,
  low: number,
  high: number,
  unit: string,
): Failure | undefined {
  if (!Number.isFinite(value)) {
    return {
      code: 'not-a-number',
      field,
      requirement: { say: 'failures.a-finite-number' },
      value: String(value),
    };
  }
  if (value < low || value > high) {
    return {
      code: 'out-of-range',
      field,
      requirement: { say: 'failures.between', of: { low, high, unit } },
      value,
    };
  }
  return undefined;
}

export const firstFailure = (...checks: (Failure | undefined)[]): Failure | undefined =>
  checks.find((check) => check !== undefined);
