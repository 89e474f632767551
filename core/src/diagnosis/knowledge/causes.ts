import { mostly } from '../../checks/index.ts';
import type { PartId } from '../../ledger/index.ts';

interface CauseForm {
  /** Of all that have the cause. */
  readonly share: number;
  readonly why: string;
}

interface CauseEntry {
  /** Chance that it is behind a job about the filter before anything is known, or stands beside what is. */
  readonly prior: number;
  /** Why so often. */
  readonly why: string;
  /** The part that it needs, where not every vehicle has it. */
  readonly needs?: PartId;
  /** Ways in which it comes, which show different things, and never two at once. */
  readonly forms?: Readonly<Record<string, CauseForm>>;
  /** Findings that show it and know nothing of it themselves, and how surely: so that one more cause stands in one place. */
  readonly shownBy?: Readonly<Record<string, number>>;
}

/**
 * Root causes. Their chances are estimates of the trade, on the high side so that nothing is ruled out early; several may be there at
 * once, so they add up to more than one.
 */
export const CAUSES = {
  'soot-loaded': {
    prior: 0.25,
    why: 'the complaint that brings most vehicles; seldom the only cause',
    needs: 'filter',
  },
  'ash-full': {
    prior: 0.12,
    why: 'high mileage, about one in ten',
    needs: 'filter',
  },
  'filter-cracked': {
    prior: 0.05,
    why: 'seldom, and often without any lamp',
    needs: 'filter',
  },
  'catalyst-restricted': {
    prior: 0.06,
    why: 'seldom; soot on its face after long idling',
    needs: 'catalyst',
    forms: {
      'between-taps': {
        share: 0.15,
        why: 'on some families the sensor spans catalyst and filter',
      },
      'before-taps': { share: 0.85, why: 'ΔP does not see it' },
    },
  },
  'downstream-restricted': {
    prior: 0.06,
    why: 'seldom; dents, later bricks',
  },
  'dp-sensor-failed': {
    prior: 0.1,
    why: 'common, and more often blamed than guilty',
    needs: 'dp-sensor',
    forms: {
      dead: { share: 0.25, why: 'open circuit' },
      stuck: { share: 0.25, why: 'the membrane, or water frozen in it' },
      'zero-off': { share: 0.25, why: 'drift' },
      low: { share: 0.2, why: 'a worn element' },
      high: { share: 0.05, why: 'a torn membrane, drift' },
    },
  },
  'dp-sensor-wrong': {
    prior: 0.05,
    why: 'after repairs elsewhere',
    needs: 'dp-sensor',
  },
  'high-pipe-blocked': {
    prior: 0.09,
    why: 'soot collects at its bend',
    needs: 'dp-sensor',
  },
  'low-pipe-blocked': {
    prior: 0.06,
    why: 'cleaner gas: less often than the high one',
    needs: 'low-pipe',
  },
  'dp-hose-off': {
    prior: 0.07,
    why: 'heat and age',
    needs: 'dp-sensor',
  },
  'dp-hoses-crossed': {
    prior: 0.04,
    why: 'after repairs elsewhere',
    needs: 'dp-sensor',
  },
  'back-pressure-sensor-failed': {
    prior: 0.07,
    why: 'heat and soot',
    needs: 'back-pressure-sensor',
    forms: {
      stuck: { share: 0.5, why: 'soot in its port' },
      off: { share: 0.5, why: 'drift' },
    },
  },
  'back-pressure-pipe-blocked': {
    prior: 0.08,
    why: 'it holds the dirtiest gas in the line',
    needs: 'back-pressure-sensor',
    forms: {
      blocked: { share: 0.55, why: 'soot' },
      broken: { share: 0.45, why: 'heat and shaking' },
    },
  },
  'manifold-sensor-failed': {
    prior: 0.07,
    why: 'oil and EGR soot',
    forms: {
      stuck: { share: 0.34, why: 'oil on the element' },
      off: { share: 0.33, why: 'drift' },
      slow: { share: 0.33, why: 'soot and oil' },
    },
  },
  'egt1-failed': {
    prior: 0.06,
    why: 'the hottest place',
    needs: 'egt1',
  },
  'egt2-failed': {
    prior: 0.06,
    why: 'like the others',
    needs: 'egt2',
  },
  'egt3-failed': {
    prior: 0.07,
    why: 'regenerations age it',
    needs: 'egt3',
  },
  'egt4-failed': {
    prior: 0.06,
    why: 'regenerations age it',
    needs: 'egt4',
  },
  'sensor-wiring': {
    prior: 0.07,
    why: 'heat, chafing, water',
    forms: {
      ground: { share: 0.5, why: 'water in a connector' },
      supply: {
        share: 0.5,
        why: 'a chafed wire, or another sensor pulling it down',
      },
    },
  },
  'intake-leak': {
    prior: 0.08,
    why: 'ducts split unseen',
  },
  'charge-leak': {
    prior: 0.08,
    why: 'clips and coolers',
  },
  'air-meter-failed': {
    prior: 0.08,
    why: 'dirt and age',
    forms: {
      low: { share: 0.5, why: 'dirt on the element' },
      high: { share: 0.5, why: 'another housing, or age' },
    },
  },
  'turbocharger-worn': {
    prior: 0.08,
    why: 'high distances, oil',
    needs: 'turbine',
  },
  'vanes-stuck': {
    prior: 0.08,
    why: 'soot, standing',
    needs: 'turbine',
    forms: {
      open: { share: 0.5, why: 'soot' },
      shut: { share: 0.5, why: 'soot' },
    },
  },
  'egr-stuck-open': {
    prior: 0.08,
    why: 'soot',
  },
  'egr-stuck-shut': {
    prior: 0.05,
    why: 'soot',
  },
  'egr-cooler-fouled': {
    prior: 0.05,
    why: 'soot, slow',
  },
  'injector-over-fuelling': {
    prior: 0.09,
    why: 'high distances',
  },
  'dosing-injector-blocked': {
    prior: 0.1,
    why: 'high distances, carbon',
    needs: 'filter',
  },
  'glow-plugs-failed': {
    prior: 0.1,
    why: 'common, and ignored because the engine still starts',
  },
  'oil-counter': {
    prior: 0.08,
    why: 'failed regenerations, missed service',
    forms: {
      diluted: { share: 0.5, why: 'failed regenerations' },
      counter: { share: 0.5, why: 'missed service, or not reset' },
    },
  },
  'thermostat-stuck-open': {
    prior: 0.1,
    why: 'common with age',
  },
  'oil-in-exhaust': {
    prior: 0.06,
    why: 'turbocharger seals, engine wear',
  },
  'short-trips': {
    prior: 0.22,
    why: 'use, not a fault: common',
    needs: 'filter',
  },
  'soot-counter-reset': {
    prior: 0.07,
    why: 'after visits elsewhere',
    needs: 'filter',
    shownBy: { 'soot-disagrees-with-pressure': mostly },
  },
  'counter-not-reset': {
    prior: 0.06,
    why: 'after a clean elsewhere, or a wrong pressure that was counted',
    needs: 'filter',
  },
  'fuel-low': {
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
