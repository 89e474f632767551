/** What it takes to put a cause right: minutes of work, and parts in the workshop’s money. */
export interface RepairCost {
  readonly minutes: number;
  readonly parts: number;
}

/** Starting values, usual times and prices of an independent workshop; a pipe is cheap, an exchanged turbocharger is not. */
export const REPAIR_COSTS: Readonly<Record<string, RepairCost>> = {
  'catalyst-restricted': { minutes: 180, parts: 400 },
  'downstream-restricted': { minutes: 90, parts: 120 },
  'dp-sensor-failed': { minutes: 30, parts: 90 },
  'dp-sensor-wrong': { minutes: 30, parts: 90 },
  'high-pipe-blocked': { minutes: 20, parts: 5 },
  'low-pipe-blocked': { minutes: 20, parts: 5 },
  'dp-hose-off': { minutes: 20, parts: 10 },
  'dp-hoses-crossed': { minutes: 10, parts: 0 },
  'back-pressure-sensor-failed': { minutes: 30, parts: 110 },
  'back-pressure-pipe-blocked': { minutes: 20, parts: 5 },
  'manifold-sensor-failed': { minutes: 30, parts: 70 },
  'egt1-failed': { minutes: 45, parts: 95 },
  'egt2-failed': { minutes: 45, parts: 95 },
  'egt3-failed': { minutes: 45, parts: 95 },
  'egt4-failed': { minutes: 45, parts: 95 },
  'sensor-wiring': { minutes: 60, parts: 15 },
  'intake-leak': { minutes: 30, parts: 60 },
  'charge-leak': { minutes: 40, parts: 60 },
  'air-meter-failed': { minutes: 20, parts: 120 },
  'turbocharger-worn': { minutes: 300, parts: 900 },
  'vanes-stuck': { minutes: 180, parts: 60 },
  'egr-stuck-open': { minutes: 120, parts: 260 },
  'egr-stuck-shut': { minutes: 120, parts: 260 },
  'egr-cooler-fouled': { minutes: 150, parts: 200 },
  'injector-over-fuelling': { minutes: 90, parts: 280 },
  'dosing-injector-blocked': { minutes: 60, parts: 20 },
  'glow-plugs-failed': { minutes: 90, parts: 120 },
  'oil-counter': { minutes: 40, parts: 60 },
  'thermostat-stuck-open': { minutes: 60, parts: 70 },
  'oil-in-exhaust': { minutes: 300, parts: 900 },
};

/** What is told or set right in some minutes, not repaired; said of the wrong vehicle it costs little more than the words. */
export const TOLD_MINUTES: Readonly<Record<string, number>> = {
  'short-trips': 10,
  'soot-counter-reset': 5,
  'counter-not-reset': 5,
  'fuel-low': 5,
};

/** A word to the driver that was not needed: little more than the minutes of it. */
export const SAID_WRONGLY = 15;

/** They fill a filter and do nothing else: who has no soot to complain of loses nothing by them. */
export const ONLY_FILLS: ReadonlySet<string> = new Set(['short-trips', 'fuel-low']);

/** What a cause that is left comes to: somebody comes back, and the filter fills again. */
export const LEFT_IN = 250;
/** What a cause does beyond that while it is left: an engine or a filter that is lost, a filter that is changed for a reading. */
export const HARM: Readonly<Record<string, number>> = {
  'oil-in-exhaust': 1200,
  'turbocharger-worn': 600,
  'injector-over-fuelling': 500,
  'oil-counter': 500,
  'dp-sensor-failed': 150,
  'dp-sensor-wrong': 150,
  'high-pipe-blocked': 150,
  'low-pipe-blocked': 150,
  'dp-hose-off': 150,
  'dp-hoses-crossed': 150,
};

/** A filter treated, or a part changed, for nothing: the good name beside the work. */
export const FOR_NOTHING = 150;

/** What is done to the filter, not repaired: these are treated, set back, or told. */
export const NOT_REPAIRED: ReadonlySet<string> = new Set([
  'soot-loaded',
  'ash-full',
  'filter-cracked',
  'short-trips',
  'soot-counter-reset',
  'counter-not-reset',
  'fuel-low',
]);

/** Nothing to repair, but a look shows it and the person who looks sets it right: looked for like what is repaired. */
export const SEEN_AND_SET_RIGHT: ReadonlySet<string> = new Set(['fuel-low']);
