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
    title: 'Find out why it is not proved',
    why: 'The reasons are listed with the verdict.',
    stage: 'prove',
  },
  sensor: {
    title: 'Prove the ΔP sensor',
    why: 'Pump test or a known-good sensor: a faulty sensor can make a failed clean look successful.',
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
    why: 'Does the value return at once, does the pipe vent?',
    check: 'pipe-response',
    stage: 'checks',
  },
  repair: {
    title: 'Check what was repaired',
    why: 'Repeat the check that found it: good now?',
    stage: 'checks',
  },
  egt: {
    title: 'Check that the exhaust gets hot',
    why: 'The temperature before the filter in the hold, or the hottest on the drive.',
    stage: 'prove',
  },
  soot: {
    title: 'Watch the soot counter on the drive',
    why: 'Note it before and after the drive: it should fall or stay low.',
    stage: 'prove',
  },
  drive: {
    title: 'Drive it',
    why: 'A lamp that is off proves nothing; soot and codes show on the road.',
    stage: 'prove',
  },
  'no-codes': {
    title: 'Scan again after the drive',
    why: 'Clear codes caused by unplugging first.',
    stage: 'prove',
  },
  'power-limit': { title: 'Check for full power', why: 'On the drive.', stage: 'prove' },
};
