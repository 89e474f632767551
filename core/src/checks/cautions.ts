import { say, type Said } from '../words/index.ts';
export interface Caution {
  readonly id: string;
  readonly title: Said;
  readonly text: Said;
}

/** Stand at the step that can hurt and are acknowledged by each person: once per act, that of a running engine once per visit. */
export const CAUTIONS = {
  'running-engine': {
    id: 'running-engine',
    title: say('cautions.engine-running'),
    text: say('cautions.neutral-or-park-brake'),
  },
  chemicals: {
    id: 'chemicals',
    title: say('cautions.cleaning-fluid'),
    text: say('cautions.filter-cold-to-the-touch'),
  },
  burn: {
    id: 'burn',
    title: 'Regeneration',
    text: say('cautions.not-on-an-over-full'),
  },
  air: {
    id: 'air',
    title: say('cautions.compressed-air'),
    text: say('cautions.goggles-sensor-off-before-you'),
  },
  hot: {
    id: 'hot',
    title: say('cautions.hot-and-dusty-parts'),
    text: say('cautions.exhaust-parts-cold-before-you'),
  },
  fuel: {
    id: 'fuel',
    title: say('cautions.fuel-lines'),
    text: say('cautions.no-open-flame-no-sparks'),
  },
  turning: {
    id: 'turning',
    title: say('cautions.hand-at-the-engine'),
    text: say('cautions.engine-off-and-key-out'),
  },
  sensor: {
    id: 'sensor',
    title: say('cautions.sensor-under-the-pump'),
    text: say('cautions.engine-off-hose-off'),
  },
} as const satisfies Record<string, Caution>;

export type CautionId = keyof typeof CAUTIONS;
