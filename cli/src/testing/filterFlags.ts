import type { PRESSURE_DROP_CASES } from '@white-ember/core/testing';

/** A worked case of the pressure drop as flags of the command line. */
export const filterFlags = (c: (typeof PRESSURE_DROP_CASES)[number]): string[] => [
  ...['--diameter-mm', String(c.diameterMm), '--length-mm', String(c.lengthMm), '--cpsi', String(c.cpsi)],
  ...['--wall-mm', String(c.wallMm), '--exhaust-kg-per-s', String(c.exhaustKgPerS)],
  ...['--temperature-c', String(c.temperatureC), '--outlet-pressure-pa', String(c.outletPressurePa)],
];
