import { say, type Said } from '../words/index.ts';
import { CHECK_IDS } from '../checks/index.ts';
import { sentenceOf } from '../diagnosis/index.ts';
import type { Step } from '../guide/index.ts';
import { type Reset, TREATMENTS } from '../ledger/index.ts';
import type { EvidenceId } from '../proof/index.ts';
import { own } from '../text/index.ts';
import { TO_SHOW, type ToShow } from './toShow.ts';

/** What shows a piece of evidence, where a step is about one. */
export const toShowOf = (id: string | undefined): ToShow | undefined =>
  id !== undefined && Object.hasOwn(TO_SHOW, id) ? TO_SHOW[id as EvidenceId] : undefined;

const RESET_TITLES: Readonly<Record<Reset, Said>> = {
  'adapt-delta-p': say('job.learn-the-dp-sensor-zero'),
  'reset-oil': say('job.reset-the-oil-life'),
  'reset-soot': say('job.reset-the-soot-counter'),
  'new-filter': say('job.register-the-new-filter'),
  'learned-values': say('job.reset-learned-values'),
  'clear-codes': say('job.clear-the-codes'),
};

const WAIT_TITLES: Readonly<Record<string, Said>> = {
  burn: say('job.watch-the-regeneration'),
  choice: say('job.ask-for-the-choice'),
  part: say('job.fit-the-part'),
};

/** What a step is called, on a job and in the list of jobs. */
export function stepTitle(
  { do: kind, id = '' }: { readonly do: Step['do']; readonly id?: string | undefined },
  confirmed = true,
): Said {
  switch (kind) {
    case 'scan':
      return say('job.scan-every-module');
    case 'read':
      return say('job.read-the-pressure');
    case 'ask':
      return say('job.ask-what-was-seen');
    case 'warm-up':
      return say('job.warm-it-up-then-read');
    case 'check': {
      const check = CHECK_IDS.find((one) => one === id);
      return check === undefined ? say('job.check') : say(`checkNames.${check}`);
    }
    case 'repair':
      return confirmed
        ? say('job.repair-cause', { cause: sentenceOf(id) })
        : say('job.confirm-and-repair', { cause: sentenceOf(id) });
    case 'treat': {
      if (id === 'refit') return say('job.refit-the-parts');
      const treatment = TREATMENTS.find((one) => one === id);
      return treatment === undefined ? say('job.treat-the-filter') : say(`treatments.${treatment}`);
    }
    case 'wait':
      return own<Said>(WAIT_TITLES, id) ?? say('job.wait');
    case 'prove':
      return toShowOf(id)?.title ?? own<Said>(RESET_TITLES, id) ?? say('job.prove');
    case 'hand-over':
      return say('job.hand-over');
  }
}
