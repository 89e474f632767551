import type { Failure } from '../quantities/index.ts';
import { isMessage, say, type Said } from './message.ts';

/** One plain sentence: field, what it must be, what it was. */
export const describeFailure = ({ field, requirement, value }: Failure): Said =>
  // What is in words already needs none: a failure of a file has been told by its reader.
  isMessage(field) || isMessage(requirement)
    ? say('failures.not-so', { field, requirement, value })
    : `${field} ${requirement}${value === undefined ? '' : ` (it is ${String(value)})`}`;
