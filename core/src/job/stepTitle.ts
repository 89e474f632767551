import { CHECK_LABELS } from '../checks/index.ts';
import { sentenceOf } from '../diagnosis/index.ts';
import type { Step } from '../guide/index.ts';
import type { Reset } from '../ledger/index.ts';
import type { EvidenceId } from '../proof/index.ts';
import { own, withinSentence } from '../text/index.ts';
import { TREATMENT_LABELS } from './entryFigure.ts';
import { TO_SHOW, type ToShow } from './toShow.ts';

/** What shows a piece of evidence, where a step is about one. */
export const toShowOf = (id: string | undefined): ToShow | undefined =>
  id !== undefined && Object.hasOwn(TO_SHOW, id) ? TO_SHOW[id as EvidenceId] : undefined;

const RESET_TITLES: Readonly<Record<Reset, string>> = {
  'adapt-delta-p': 'Learn the ΔP sensor zero',
  'reset-oil': 'Reset the oil life',
  'reset-soot': 'Reset the soot counter',
  'new-filter': 'Register the new filter in the ECU',
  'learned-values': 'Reset learned values',
  'clear-codes': 'Clear the codes',
};

/** What a step is called, on a job and in the list of jobs. */
export function stepTitle(
  { do: kind, id = '' }: { readonly do: Step['do']; readonly id?: string | undefined },
  confirmed = true,
): string {
  switch (kind) {
    case 'scan':
      return 'Scan every module';
    case 'read':
      return 'Read the pressure';
    case 'ask':
      return 'Ask what was seen and done before';
    case 'warm-up':
      return 'Warm it up, then read again';
    case 'check':
      return own<string>(CHECK_LABELS, id) ?? 'Check';
    case 'repair':
      return `${confirmed ? 'Repair' : 'Confirm and repair'}: ${withinSentence(sentenceOf(id))}`;
    case 'treat':
      return own<string>(TREATMENT_LABELS, id) ?? 'Treat the filter';
    case 'wait':
      return 'Wait';
    case 'prove':
      return toShowOf(id)?.title ?? own<string>(RESET_TITLES, id) ?? 'Prove it';
    case 'hand-over':
      return 'Hand over';
  }
}
