import type { CautionId, CheckId } from '../checks/index.ts';
import type { CauseId } from '../diagnosis/index.ts';

/** Pages of what there is to learn, in the order in which one builds on another. */
export const TOPIC_IDS = [
  'dp-sensor',
  'equal-flow',
  'restriction',
  'soot-and-ash',
  'pipes',
  'temperatures',
  'inhibitors',
  'drop-to-idle',
  'counter',
  'judging',
] as const;
export type TopicId = (typeof TOPIC_IDS)[number];

interface Links {
  readonly checks: readonly CheckId[];
  readonly causes: readonly CauseId[];
  readonly cautions: readonly CautionId[];
}

/** What on a job each topic explains. */
const LINKS: Readonly<Record<TopicId, Links>> = {
  'dp-sensor': {
    checks: ['dp-zero', 'dp-electrical', 'dp-ladder', 'dp-swap', 'hoses', 'supply', 'absolute-agree'],
    causes: ['dp-sensor-failed', 'dp-sensor-wrong', 'dp-hose-off', 'dp-hoses-crossed', 'sensor-wiring'],
    cautions: [],
  },
  'equal-flow': { checks: ['air-mass'], causes: [], cautions: [] },
  restriction: {
    checks: ['gauge', 'sections'],
    causes: ['catalyst-restricted', 'downstream-restricted', 'filter-cracked'],
    cautions: [],
  },
  'soot-and-ash': {
    checks: ['filter-look', 'use-history', 'tailpipe'],
    causes: ['soot-loaded', 'ash-full', 'short-trips', 'oil-in-exhaust'],
    cautions: ['hot'],
  },
  pipes: {
    checks: ['pipe-response', 'pipe-pump', 'single-piece', 'running-comparison'],
    causes: ['high-pipe-blocked', 'low-pipe-blocked', 'back-pressure-pipe-blocked'],
    cautions: ['air'],
  },
  temperatures: {
    checks: ['egt-position', 'egt-cold-soak', 'egt-resistance'],
    causes: ['egt1-failed', 'egt2-failed', 'egt3-failed', 'egt4-failed'],
    cautions: [],
  },
  inhibitors: {
    checks: ['oil', 'thermostat', 'glow', 'fuel-level', 'dosing-injector', 'egr'],
    causes: [
      'oil-counter',
      'thermostat-stuck-open',
      'glow-plugs-failed',
      'fuel-low',
      'dosing-injector-blocked',
      'egr-stuck-open',
      'egr-stuck-shut',
    ],
    cautions: [],
  },
  'drop-to-idle': { checks: [], causes: [], cautions: ['burn'] },
  counter: {
    checks: ['counter'],
    causes: ['soot-counter-reset', 'counter-not-reset'],
    cautions: [],
  },
  judging: { checks: [], causes: [], cautions: [] },
};

/** The topic that explains a check, a cause or a caution of a job; nothing where none does. A code is explained by the checks it calls for. */
export const topicOf = (what: 'checks' | 'causes' | 'cautions', id: string): TopicId | undefined =>
  TOPIC_IDS.find((topic) => (LINKS[topic][what] as readonly string[]).includes(id));

/** Checks that belong to a topic, in their order. */
export const checksOf = (topic: TopicId): readonly CheckId[] => LINKS[topic].checks;
