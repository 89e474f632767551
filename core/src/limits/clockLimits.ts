import type { LimitDefinition } from './limitDefinition.ts';

const usual = (label: string, value: number, reason: string) =>
  ({
    label: `${label}, usual time`,
    unit: 'min',
    value,
    low: 1,
    high: 4320,
    group: 'clock',
    reason,
  }) as const satisfies LimitDefinition;

const apart = (label: string, value: number, reason: string) =>
  ({
    label,
    unit: 'min',
    value,
    low: 0,
    high: 120,
    group: 'clock',
    reason,
  }) as const satisfies LimitDefinition;

/** How long waits are where nothing else is said, and when one counts as cut short or late. */
export const CLOCK_LIMITS = {
  clockSoakMin: usual('Soak off the vehicle', 240, 'Hours to overnight; the gain of each rinse tells.'),
  clockRinseMin: usual('Rinse', 15, 'Until it runs clear.'),
  clockDryingMin: usual(
    'Drying',
    480,
    'Water left in it weighs more than the ash, and cracks the brick in the first regeneration.',
  ),
  clockCoolingMin: usual(
    'Cooling down',
    30,
    'A filter from running warm to the touch; after a regeneration it takes longer.',
  ),
  clockBurnCoolingMin: usual(
    'Revs kept up after a regeneration',
    8,
    'The bed goes from 600 °C to where soot burns no more; the model or the sensor after it tells better.',
  ),
  clockWarmUpMin: usual('Warm-up', 15, 'Coolant warm and the pressure standing.'),
  clockSteamMin: usual('Boiling off', 10, 'Steam and smoke after a wet clean.'),
  clockSiteMin: usual('At another site', 30, 'To where smoke is no nuisance.'),
  clockLateMin: apart('A wait counts as late beyond', 3, 'It takes a while to get to the vehicle.'),
  clockShortMin: apart(
    'A wait counts as cut short by more than',
    1,
    'A minute is not what a dwell depends on.',
  ),
} as const satisfies Record<string, LimitDefinition>;
