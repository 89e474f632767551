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
    why: 'the complaint that brings most vehicles; seldom the only cause',
    needs: 'filter',
  },
  'ash-full': {
    sentence: 'The filter is full of ash',
    prior: 0.12,
    why: 'high mileage, about one in ten',
    needs: 'filter',
  },
  'filter-cracked': {
    sentence: 'The filter is cracked or its core is gone',
    prior: 0.05,
    why: 'seldom, and often without any lamp',
    needs: 'filter',
  },
  'catalyst-restricted': {
    sentence: 'The catalyst before the filter is restricted',
    prior: 0.06,
    why: 'seldom; soot on its face after long idling',
    needs: 'catalyst',
    forms: {
      'between-taps': {
        share: 0.15,
        sentence: 'Between the ΔP taps',
        why: 'on some families the sensor spans catalyst and filter',
      },
      'before-taps': { share: 0.85, sentence: 'Before the ΔP taps', why: 'ΔP does not see it' },
    },
  },
  'downstream-restricted': {
    sentence: 'Restriction after the filter',
    prior: 0.06,
    why: 'seldom; dents, later bricks',
  },
  'dp-sensor-failed': {
    sentence: 'The ΔP sensor has failed',
    prior: 0.1,
    why: 'common, and more often blamed than guilty',
    needs: 'dp-sensor',
    forms: {
      dead: { share: 0.25, sentence: 'No signal', why: 'open circuit' },
      stuck: { share: 0.25, sentence: 'Stuck at one value', why: 'the membrane, or water frozen in it' },
      'zero-off': { share: 0.25, sentence: 'Zero offset', why: 'drift' },
      low: { share: 0.2, sentence: 'Reads low', why: 'a worn element' },
      high: { share: 0.05, sentence: 'Reads high', why: 'a torn membrane, drift' },
    },
  },
  'dp-sensor-wrong': {
    sentence: 'The ΔP sensor is the wrong type',
    prior: 0.05,
    why: 'after repairs elsewhere',
    needs: 'dp-sensor',
  },
  'high-pipe-blocked': {
    sentence: 'The high pipe to the ΔP sensor is blocked',
    prior: 0.09,
    why: 'soot collects at its bend',
    needs: 'dp-sensor',
  },
  'low-pipe-blocked': {
    sentence: 'The low pipe to the ΔP sensor is blocked',
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
    sentence: 'The back-pressure sensor has failed',
    prior: 0.07,
    why: 'heat and soot',
    needs: 'back-pressure-sensor',
    forms: {
      stuck: { share: 0.5, sentence: 'Stuck at one value', why: 'soot in its port' },
      off: { share: 0.5, sentence: 'Offset', why: 'drift' },
    },
  },
  'back-pressure-pipe-blocked': {
    sentence: 'The back-pressure pipe is blocked or broken',
    prior: 0.08,
    why: 'it holds the dirtiest gas in the line',
    needs: 'back-pressure-sensor',
    forms: {
      blocked: { share: 0.55, sentence: 'It is blocked', why: 'soot' },
      broken: { share: 0.45, sentence: 'Cracked or broken', why: 'heat and shaking' },
    },
  },
  'manifold-sensor-failed': {
    sentence: 'The manifold pressure sensor or its pipe is faulty',
    prior: 0.07,
    why: 'oil and EGR soot',
    forms: {
      stuck: { share: 0.34, sentence: 'Stuck at one value', why: 'oil on the element' },
      off: { share: 0.33, sentence: 'Offset', why: 'drift' },
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
    sentence: 'Sensor supply, ground or wiring is faulty',
    prior: 0.07,
    why: 'heat, chafing, water',
    forms: {
      ground: { share: 0.5, sentence: 'Poor ground', why: 'water in a connector' },
      supply: {
        share: 0.5,
        sentence: 'Weak supply',
        why: 'a chafed wire, or another sensor pulling it down',
      },
    },
  },
  'intake-leak': {
    sentence: 'The intake leaks between MAF sensor and compressor',
    prior: 0.08,
    why: 'ducts split unseen',
  },
  'charge-leak': {
    sentence: 'The charge pipes leak after the compressor',
    prior: 0.08,
    why: 'clips and coolers',
  },
  'air-meter-failed': {
    sentence: 'The MAF sensor reads wrong',
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
    sentence: 'The turbo vanes are stuck',
    prior: 0.08,
    why: 'soot, standing',
    needs: 'turbine',
    forms: {
      open: { share: 0.5, sentence: 'They stand open', why: 'soot' },
      shut: { share: 0.5, sentence: 'Nearly shut', why: 'soot' },
    },
  },
  'egr-stuck-open': {
    sentence: 'The EGR valve is stuck open',
    prior: 0.08,
    why: 'soot',
  },
  'egr-stuck-shut': {
    sentence: 'The EGR valve is stuck shut, or its passage is blocked',
    prior: 0.05,
    why: 'soot',
  },
  'egr-cooler-fouled': {
    sentence: 'The EGR cooler is fouled',
    prior: 0.05,
    why: 'soot, slow',
  },
  'injector-over-fuelling': {
    sentence: 'An injector over-delivers',
    prior: 0.09,
    why: 'high distances',
  },
  'dosing-injector-blocked': {
    sentence: 'The fuel doser is blocked',
    prior: 0.1,
    why: 'high distances, carbon',
    needs: 'filter',
  },
  'glow-plugs-failed': {
    sentence: 'Glow plugs or their relay have failed',
    prior: 0.1,
    why: 'common, and ignored because the engine still starts',
  },
  'oil-counter': {
    sentence: 'Oil life is used up, or the oil is diluted',
    prior: 0.08,
    why: 'failed regenerations, missed service',
    forms: {
      diluted: { share: 0.5, sentence: 'Fuel in the oil', why: 'failed regenerations' },
      counter: { share: 0.5, sentence: 'Oil life used up', why: 'missed service, or not reset' },
    },
  },
  'thermostat-stuck-open': {
    sentence: 'The thermostat is stuck open',
    prior: 0.1,
    why: 'common with age',
  },
  'oil-in-exhaust': {
    sentence: 'Oil is entering the exhaust',
    prior: 0.06,
    why: 'turbocharger seals, engine wear',
  },
  'short-trips': {
    sentence: 'Mostly short, slow trips',
    prior: 0.22,
    why: 'use, not a fault: common',
    needs: 'filter',
  },
  'soot-counter-reset': {
    sentence: 'The soot counter was reset without a clean',
    prior: 0.07,
    why: 'after visits elsewhere',
    needs: 'filter',
  },
  'counter-not-reset': {
    sentence: 'The soot counter is too high: not reset after a clean',
    prior: 0.06,
    why: 'after a clean elsewhere, or a wrong pressure that was counted',
    needs: 'filter',
  },
  'fuel-low': {
    sentence: 'Fuel level too low for a regeneration',
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
