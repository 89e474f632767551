import type { PartId } from '../../ledger/index.ts';

interface CauseForm {
  /** Of all that have the cause. */
  readonly share: number;
  readonly sentence: string;
  readonly why: string;
}

interface CauseEntry {
  readonly sentence: string;
  /** Chance that it is behind a job about the filter before anything is known, or stands beside what is. */
  readonly prior: number;
  /** Why so often. */
  readonly why: string;
  /** The part that it needs, where not every vehicle has it. */
  readonly needs?: PartId;
  /** Ways in which it comes, which show different things, and never two at once. */
  readonly forms?: Readonly<Record<string, CauseForm>>;
}

/**
 * Root causes. Their chances are estimates of the trade, on the high side so that nothing is ruled out early; several may be there at
 * once, so they add up to more than one.
 */
export const CAUSES = {
  'soot-loaded': {
    sentence: 'The filter is full of soot',
    prior: 0.25,
    why: 'the complaint that brings most vehicles; seldom the root alone',
    needs: 'filter',
  },
  'ash-full': {
    sentence: 'The filter is full of ash',
    prior: 0.12,
    why: 'high distances, one in ten of those that come',
    needs: 'filter',
  },
  'filter-cracked': {
    sentence: 'The filter is cracked or its core is gone',
    prior: 0.05,
    why: 'seldom, and often without any lamp',
    needs: 'filter',
  },
  'catalyst-restricted': {
    sentence: 'The catalyst ahead of the filter is restricted',
    prior: 0.06,
    why: 'seldom; soot on its face after long idling',
    needs: 'catalyst',
    forms: {
      'between-taps': {
        share: 0.15,
        sentence: 'It lies between the taps of ΔP',
        why: 'on some families the sensor spans catalyst and filter',
      },
      'before-taps': { share: 0.85, sentence: 'It lies ahead of the taps of ΔP', why: 'ΔP does not see it' },
    },
  },
  'downstream-restricted': {
    sentence: 'Something behind the filter is restricted',
    prior: 0.06,
    why: 'seldom; dents, later bricks',
  },
  'dp-sensor-failed': {
    sentence: 'The ΔP sensor has failed',
    prior: 0.1,
    why: 'common, and more often blamed than guilty',
    needs: 'dp-sensor',
    forms: {
      dead: { share: 0.25, sentence: 'It gives no signal', why: 'open circuit' },
      stuck: { share: 0.25, sentence: 'It stands at one value', why: 'the membrane, or water frozen in it' },
      'zero-off': { share: 0.25, sentence: 'Its zero is off', why: 'drift' },
      low: { share: 0.2, sentence: 'It shows less than there is', why: 'a worn element' },
      high: { share: 0.05, sentence: 'It shows more than there is', why: 'a torn membrane, drift' },
    },
  },
  'dp-sensor-wrong': {
    sentence: 'The ΔP sensor is of another range or kind',
    prior: 0.05,
    why: 'after repairs elsewhere',
    needs: 'dp-sensor',
  },
  'high-pipe-blocked': {
    sentence: 'The pipe ahead of the filter to the ΔP sensor is blocked',
    prior: 0.09,
    why: 'soot collects at its bend',
    needs: 'dp-sensor',
  },
  'low-pipe-blocked': {
    sentence: 'The pipe behind the filter to the ΔP sensor is blocked',
    prior: 0.06,
    why: 'cleaner gas: less often than the high one',
    needs: 'low-pipe',
  },
  'dp-hose-off': {
    sentence: 'A hose of the ΔP sensor is split or off',
    prior: 0.07,
    why: 'heat and age',
    needs: 'dp-sensor',
  },
  'dp-hoses-crossed': {
    sentence: 'The hoses of the ΔP sensor are crossed',
    prior: 0.04,
    why: 'after repairs elsewhere',
    needs: 'dp-sensor',
  },
  'back-pressure-sensor-failed': {
    sentence: 'The pressure sensor before the turbine has failed',
    prior: 0.07,
    why: 'heat and soot',
    needs: 'back-pressure-sensor',
    forms: {
      stuck: { share: 0.5, sentence: 'It stands at one value', why: 'soot in its port' },
      off: { share: 0.5, sentence: 'It is off by an amount', why: 'drift' },
    },
  },
  'back-pressure-pipe-blocked': {
    sentence: 'The pipe of the pressure sensor before the turbine is blocked or broken',
    prior: 0.08,
    why: 'the dirtiest gas of the line stands in it',
    needs: 'back-pressure-sensor',
    forms: {
      blocked: { share: 0.55, sentence: 'It is blocked', why: 'soot' },
      broken: { share: 0.45, sentence: 'It is cracked or broken', why: 'heat and shaking' },
    },
  },
  'manifold-sensor-failed': {
    sentence: 'The manifold pressure sensor or its pipe',
    prior: 0.07,
    why: 'oil and soot of the recirculation',
    forms: {
      stuck: { share: 0.34, sentence: 'It stands at one value', why: 'oil on the element' },
      off: { share: 0.33, sentence: 'It is off by an amount', why: 'drift' },
      slow: { share: 0.33, sentence: 'Its pipe or port is clogged', why: 'soot and oil' },
    },
  },
  'egt1-failed': {
    sentence: 'EGT 1 has failed',
    prior: 0.06,
    why: 'the hottest place',
    needs: 'egt1',
  },
  'egt2-failed': {
    sentence: 'EGT 2 has failed',
    prior: 0.06,
    why: 'like the others',
    needs: 'egt2',
  },
  'egt3-failed': {
    sentence: 'EGT 3 has failed',
    prior: 0.07,
    why: 'regenerations age it',
    needs: 'egt3',
  },
  'egt4-failed': {
    sentence: 'EGT 4 has failed',
    prior: 0.06,
    why: 'regenerations age it',
    needs: 'egt4',
  },
  'sensor-wiring': {
    sentence: 'Supply, ground or wiring of the sensors',
    prior: 0.07,
    why: 'heat, chafing, water',
    forms: {
      ground: { share: 0.5, sentence: 'Its ground is poor', why: 'water in a connector' },
      supply: {
        share: 0.5,
        sentence: 'Its supply is weak',
        why: 'a chafed wire, another sensor that pulls it down',
      },
    },
  },
  'intake-leak': {
    sentence: 'The intake leaks between air meter and compressor',
    prior: 0.08,
    why: 'ducts split unseen',
  },
  'charge-leak': {
    sentence: 'The charge pipes leak behind the compressor',
    prior: 0.08,
    why: 'clips and coolers',
  },
  'air-meter-failed': {
    sentence: 'The air meter reads wrong',
    prior: 0.08,
    why: 'dirt and age',
    forms: {
      low: { share: 0.5, sentence: 'It reads low', why: 'dirt on the element' },
      high: { share: 0.5, sentence: 'It reads high', why: 'another housing, or age' },
    },
  },
  'turbocharger-worn': {
    sentence: 'The turbocharger is worn',
    prior: 0.08,
    why: 'high distances, oil',
    needs: 'turbine',
  },
  'vanes-stuck': {
    sentence: 'The turbine’s vanes are stuck',
    prior: 0.08,
    why: 'soot, standing',
    needs: 'turbine',
    forms: {
      open: { share: 0.5, sentence: 'They stand open', why: 'soot' },
      shut: { share: 0.5, sentence: 'They stand nearly shut', why: 'soot' },
    },
  },
  'egr-stuck-open': {
    sentence: 'The recirculation valve is stuck open',
    prior: 0.08,
    why: 'soot',
  },
  'egr-stuck-shut': {
    sentence: 'The recirculation valve is stuck shut, or its way is blocked',
    prior: 0.05,
    why: 'soot',
  },
  'egr-cooler-fouled': {
    sentence: 'The recirculation cooler is fouled',
    prior: 0.05,
    why: 'soot, slow',
  },
  'injector-over-fuelling': {
    sentence: 'An injector gives too much',
    prior: 0.09,
    why: 'high distances',
  },
  'dosing-injector-blocked': {
    sentence: 'Fuel does not come into the exhaust as it should',
    prior: 0.1,
    why: 'high distances, carbon',
    needs: 'filter',
  },
  'glow-plugs-failed': {
    sentence: 'Glow plugs or their relay',
    prior: 0.1,
    why: 'common, and left alone because it starts all the same',
  },
  'oil-counter': {
    sentence: 'The oil counter is at zero, or the oil is diluted',
    prior: 0.08,
    why: 'failed regenerations, missed service',
    forms: {
      diluted: { share: 0.5, sentence: 'There is fuel in the oil', why: 'failed regenerations' },
      counter: { share: 0.5, sentence: 'The counter stands at zero', why: 'missed service, or not set back' },
    },
  },
  'thermostat-stuck-open': {
    sentence: 'The thermostat is stuck open',
    prior: 0.1,
    why: 'common with age',
  },
  'oil-in-exhaust': {
    sentence: 'Oil comes into the exhaust',
    prior: 0.06,
    why: 'turbocharger seals, engine wear',
  },
  'short-trips': {
    sentence: 'It is driven too short and too slowly',
    prior: 0.22,
    why: 'use, not a fault: common',
    needs: 'filter',
  },
  'soot-counter-reset': {
    sentence: 'The soot counter was set back without a clean',
    prior: 0.07,
    why: 'after visits elsewhere',
    needs: 'filter',
  },
  'counter-not-reset': {
    sentence: 'The soot counter stands too high, not set back after a clean',
    prior: 0.06,
    why: 'after a clean elsewhere, or a wrong pressure that was counted',
    needs: 'filter',
  },
  'fuel-low': {
    sentence: 'The tank is too empty for a regeneration',
    prior: 0.06,
    why: 'seldom by itself',
    needs: 'filter',
  },
} as const satisfies Readonly<Record<string, CauseEntry>>;

export type CauseId = keyof typeof CAUSES;

type FormsOf<C extends CauseId> = (typeof CAUSES)[C] extends { readonly forms: infer F }
  ? `${C}:${keyof F & string}`
  : never;
/** A cause, or one of its forms. */
export type CauseRef = CauseId | { [C in CauseId]: FormsOf<C> }[CauseId];
