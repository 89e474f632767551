import type { FindingEntry } from './finding.ts';
import { LINE_OUTCOMES } from './lineOutcomes.ts';
import { SENSOR_OUTCOMES } from './sensorOutcomes.ts';

/** What a check finds. Its card (`core/checks`) says which outcomes it has, in their order, how it is made and what it takes. */
export const OUTCOMES: Readonly<
  Record<keyof typeof SENSOR_OUTCOMES | keyof typeof LINE_OUTCOMES, FindingEntry>
> = {
  ...SENSOR_OUTCOMES,
  ...LINE_OUTCOMES,
};
