import type { Said } from '../words/index.ts';
/** One limit by which the application judges, or figure that it assumes. */
export interface LimitDefinition {
  readonly label: Said;
  /** In which it is held; ¤ stands for the workshop’s currency; a message where it is no unit but words. */
  readonly unit: Said;
  /** Degrees between two temperatures. */
  readonly difference?: true;
  readonly value: number;
  /** Range in which an edited value is accepted. */
  readonly low: number;
  readonly high: number;
  readonly group:
    | 'pressure'
    | 'proof'
    | 'outlook'
    | 'treatment'
    | 'choice'
    | 'burn'
    | 'run'
    | 'clean'
    | 'price'
    | 'clock'
    | 'sensor'
    | 'check'
    | 'judgement'
    | 'readiness'
    | 'assumption';
  readonly reason: Said;
}
