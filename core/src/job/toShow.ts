import { say, type Said } from '../words/index.ts';
import type { CheckId } from '../checks/index.ts';
import type { EvidenceId } from '../proof/index.ts';
import type { Stage } from '../ledger/index.ts';

export interface ToShow {
  readonly title: Said;
  readonly why: Said;
  readonly stage: Stage;
  /** The check that shows it, where it is one. */
  readonly check?: CheckId;
}

/** What is still to be shown: what to do for it, why, and where. */
export const TO_SHOW: Readonly<Record<EvidenceId, ToShow>> = {
  before: {
    title: say('job.take-the-before-reading'),
    why: say('job.key-off-idle'),
    stage: 'baseline',
  },
  after: {
    title: say('job.take-the-after-reading'),
    why: say('job.at-the-same-speeds'),
    stage: 'prove',
  },
  'equal-flow': {
    title: say('job.find-out-why'),
    why: say('job.the-reasons-are-listed'),
    stage: 'prove',
  },
  sensor: {
    title: say('job.prove-the-dp-sensor'),
    why: say('job.pump-test-or-a-known'),
    check: 'dp-swap',
    stage: 'checks',
  },
  hoses: {
    title: say('job.recheck-the-hoses'),
    why: say('job.each-on-its-port-whole'),
    check: 'hoses',
    stage: 'checks',
  },
  response: {
    title: say('job.check-sensor-and-pipes-again'),
    why: say('job.does-the-value-return'),
    check: 'pipe-response',
    stage: 'checks',
  },
  repair: {
    title: say('job.check-what-was-repaired'),
    why: say('job.repeat-the-check-that-found'),
    stage: 'checks',
  },
  egt: {
    title: say('job.check-that-the-exhaust-gets'),
    why: say('job.the-temperature-before-the-filter'),
    stage: 'prove',
  },
  soot: {
    title: say('job.watch-the-soot-counter'),
    why: say('job.note-it-before-and-after'),
    stage: 'prove',
  },
  drive: {
    title: say('job.drive'),
    why: say('job.a-lamp-that-is-off'),
    stage: 'prove',
  },
  'no-codes': {
    title: say('job.scan-again-after-the-drive'),
    why: say('job.clear-codes-caused-by-unplugging'),
    stage: 'prove',
  },
  'power-limit': { title: say('job.check-for-full-power'), why: say('job.on-the-drive'), stage: 'prove' },
};
