import { say, type Said } from '../words/index.ts';
import { judgeCheck, type CheckContext, type CheckJudgement } from '../checks/index.ts';
import { own } from '../text/index.ts';
import { evidenceOfOutcome, KNOWN_CHECKS, causeNow } from '../diagnosis/index.ts';
import {
  entriesOfKind,
  type BodyOf,
  type Entry,
  type EntryOf,
  type PartId,
  type PartState,
} from '../ledger/index.ts';

export interface MadeCheck {
  readonly entry: EntryOf<'check'>;
  readonly judgement: CheckJudgement;
  /** The outcome: as judged now, or as it was called where the check is not known here. */
  readonly outcome: string | undefined;
}

/** What an outcome says that was named without its figures; nothing where the check does not have it. */
function outcomeFindings(
  id: string,
  outcome: string | undefined,
): Readonly<Record<string, boolean>> | undefined {
  const check = KNOWN_CHECKS.find((one) => one.id === id);
  if (!check || outcome === undefined) return undefined;
  const isOne = outcome === check.otherwise || check.outcomes.includes(outcome);
  return isOne ? evidenceOfOutcome(check, outcome) : undefined;
}

/** Parts that a good outcome shows sound. */
const SOUND_BY: Readonly<Record<string, readonly PartId[]>> = {
  'swap-same': ['dp-sensor'],
  'ladder-good': ['dp-sensor'],
  'pipes-open': ['high-pipe', 'low-pipe'],
  'response-quick': ['high-pipe', 'low-pipe'],
  'hoses-good': [],
};

const soundBy = (outcome: string | undefined): Partial<Record<PartId, PartState>> =>
  Object.fromEntries((own(SOUND_BY, outcome ?? '') ?? []).map((part) => [part, 'sound']));

/** The last of each check that was made, judged from its values by the limits of today; the order is that of the work. */
export function checksMade(entries: readonly Entry[], context: CheckContext): MadeCheck[] {
  const last = new Map(entriesOfKind(entries, 'check').map((entry) => [entry.body.check, entry]));
  return [...last.values()].map((entry) => {
    const { check, values, sure, outcome } = entry.body;
    const judgement = judgeCheck(check, values, context, sure === undefined ? {} : { sure });
    const named = Object.keys(values).length === 0 ? outcomeFindings(check, outcome) : undefined;
    if (named)
      return {
        entry,
        judgement: { ...judgement, findings: named, parts: soundBy(outcome) },
        outcome,
      };
    return { entry, judgement, outcome: judgement.outcome ?? outcome };
  });
}

/** All findings that the checks decide. */
export const findingsOfChecks = (checks: readonly MadeCheck[]): Record<string, boolean> =>
  Object.assign({}, ...checks.map(({ judgement }) => judgement.findings)) as Record<string, boolean>;

export interface SaidCause {
  readonly cause: string;
  readonly state: BodyOf<'cause'>['state'];
  readonly why: Said;
  readonly entry: EntryOf<'cause'> | EntryOf<'temporary-repair'>;
  /** It is put right for now only: a temporary repair that is open. */
  readonly forNow?: true;
}

/** Whether it was behind it: found, and by now perhaps put right. */
export const wasFound = ({ state }: SaidCause): boolean => state === 'confirmed' || state === 'put-right';

/**
 * The last word on each cause. A temporary repair that names its cause puts it right for now: what the cause holds off is released,
 * and the repair itself stays open until it is settled.
 */
export function causesSaid(entries: readonly Entry[]): SaidCause[] {
  const last = new Map<string, SaidCause>();
  for (const entry of entries) {
    const { body } = entry;
    if (body.kind === 'cause')
      last.set(causeNow(body.cause), {
        cause: causeNow(body.cause),
        state: body.state,
        why: body.why,
        entry: { ...entry, body },
      });
    else if (body.kind === 'temporary-repair' && body.cause !== undefined && body.cause !== '')
      last.set(causeNow(body.cause), {
        cause: causeNow(body.cause),
        state: 'put-right',
        why: say('job.for', { what: body.what }),
        entry: { ...entry, body },
        forNow: true,
      });
  }
  return [...last.values()];
}
