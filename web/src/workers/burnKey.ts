import type { Limits } from '@white-ember/core/limits';
import type { JobBurn } from '@white-ember/core/treatment';

/** By which the model’s answer on a burn is kept: all that it depends on. */
export const burnKey = ({ plan, displacementL }: JobBurn, limits: Limits): string =>
  JSON.stringify([plan, displacementL, limits]);
