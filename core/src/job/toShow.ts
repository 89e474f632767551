import type { CheckId } from '../checks/index.ts';
import type { EvidenceId } from '../proof/index.ts';
import type { Stage } from './stages.ts';

export interface ToShow {
  readonly title: string;
  readonly why: string;
  readonly stage: Stage;
  /** The check that shows it, where it is one. */
  readonly check?: CheckId;
}

/** What is still to be shown: what to do for it, why, and where. */
export const TO_SHOW: Readonly<Record<EvidenceId, ToShow>> = {
  before: {
    title: 'Take the before reading',
    why: 'Key off, idle and a hold; without it nothing can be proved later.',
    stage: 'baseline',
  },
  after: {
    title: 'Take the after reading',
    why: 'At the same speeds as before, warm, on the plateau.',
    stage: 'prove',
  },
  'equal-flow': {
    title: 'Look at why it is not proved',
    why: 'The reasons stand beside the verdict.',
    stage: 'prove',
  },
  sensor: {
    title: 'Prove the ΔP sensor',
    why: 'Pump ladder or a known-good one: a sensor that lies looks like a cure.',
    stage: 'checks',
  },
  hoses: {
    title: 'Recheck the hoses',
    why: 'Each on its port, whole, clipped: they were off for the work.',
    check: 'hoses',
    stage: 'checks',
  },
  response: {
    title: 'Check sensor and pipes again',
    why: 'Does the value come back at once, does the pipe let go?',
    check: 'pipe-response',
    stage: 'checks',
  },
  repair: {
    title: 'Check what was repaired',
    why: 'The check that found it, made again: good now?',
    stage: 'checks',
  },
  egt: {
    title: 'See whether the exhaust gets hot',
    why: 'The temperature before the filter in the hold, or the hottest on the drive.',
    stage: 'prove',
  },
  soot: {
    title: 'Watch the soot counter on the drive',
    why: 'When you set out and when you are back: it falls, or stays low.',
    stage: 'prove',
  },
  drive: {
    title: 'Drive it',
    why: 'A light that is off is no proof; soot and codes show on the road.',
    stage: 'prove',
  },
  'no-codes': {
    title: 'Scan again after the drive',
    why: 'Codes made by unplugging parts are cleared first.',
    stage: 'prove',
  },
  'power-limit': { title: 'See whether full power is back', why: 'On the drive.', stage: 'prove' },
};
