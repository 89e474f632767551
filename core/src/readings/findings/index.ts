import { ABSOLUTE_PRESSURE } from './absolutePressure.ts';
import { AIR_METER } from './airMeter.ts';
import { DIFFERENTIAL_PRESSURE } from './differentialPressure.ts';
import type { Detector, Finding, FindingContext } from './finding.ts';
import { TEMPERATURES } from './temperatures.ts';

export { SENSOR_UNPROVEN } from './sensorAtRest.ts';
export type { Finding, FindingContext, FindingLevel } from './finding.ts';

/** All detectors; a new finding is a function and a line in its family. */
const DETECTORS: readonly Detector[] = [
  ...DIFFERENTIAL_PRESSURE,
  ...ABSOLUTE_PRESSURE,
  ...AIR_METER,
  ...TEMPERATURES,
];

/** Everything that a log shows, by the limits given. What it cannot show is not reported either way. */
export const findFaults = (context: FindingContext): Finding[] =>
  DETECTORS.flatMap((detect) => detect(context));
