import * as wording from '@white-ember/core/words/screens/diagnosis';
import { useWords } from '../../data/words.ts';
import type { Said } from '@white-ember/core/words';
import { Say } from '../../ui/Say.tsx';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { confirmation, revsHeldOff, formSentence, sentenceOf } from '@white-ember/core/diagnosis';
import { caseOfJob, toldCauses } from '@white-ember/core/job';
import type { Diagnosis } from '@white-ember/core/diagnosis';
import { Button } from '../../ui/Button.tsx';
import { LearnLink } from '../../ui/LearnLink.tsx';
import { useAddEntry } from '../../job/useAddEntry.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { useDiagnosis } from './useDiagnosis.ts';

/** Reasons of each that are shown. */
const SHOWN = 3;
/** What is as likely as not is confirmed by one tap; what is less likely with its reasons in sight. */
const AT_HAND_PERCENT = 50;
/** A reason that shifts the odds by less than a tenth is none. */
const LEAST_WEIGHT = 0.1;

/** What is likely behind it, each with what speaks for and against, and how it hangs together. */
export function LikelyCauses({ open, canWork }: { open: OpenJob; canWork: boolean }) {
  const words = useWords();
  const diagnosis = useDiagnosis(open);
  const addEntry = useAddEntry(open.job.id);
  if (!diagnosis) return <LikelyAtFirst open={open} />;
  const likely = toldCauses(diagnosis, open.limits);
  const [best] = diagnosis.explanations;
  return (
    <section>
      <h2 className="text-lg mb-1">{wording.mostLikelyOnArrival}</h2>
      <ul aria-label={wording.likelyCauses} className="grid gap-1">
        {likely.map((cause) => (
          <Likely
            key={cause.id}
            cause={cause}
            evidence={diagnosis.evidence}
            onConfirm={
              canWork && !open.derived.causes.some((said) => said.cause === cause.id)
                ? () =>
                    void addEntry({
                      kind: 'cause',
                      cause: cause.id,
                      state: 'confirmed',
                      why: confirmation(diagnosis, cause.id),
                    })
                : undefined
            }
          />
        ))}
      </ul>
      {likely.length === 0 ? <p className="text-ink2">{wording.nothingStandsOutYet}</p> : null}
      {best && best.roots.length > 0 && 100 * best.probability >= open.limits.explainedPercent ? (
        <p className="text-[15px] mt-2 border-l-8 border-ink pl-2">
          {wording.oneExplanationHoldsFrom(
            Math.round(100 * best.probability),
            words.number(open.limits.explainedPercent),
            best.roots.map((root) => words.within(sentenceOf(root))).join('; '),
          )}
        </p>
      ) : null}
      <PutRight open={open} heldOff={revsHeldOff(diagnosis.evidence)} />
      {diagnosis.chains.map((chain) => (
        <p key={chain} className="text-[15px] mt-2">
          {chain}.
        </p>
      ))}
      {diagnosis.posterior.unexplained.length > 0 ? (
        <p className="text-[15px] mt-2">
          {wording.doesNotFit(
            diagnosis.posterior.unexplained
              .map(
                ({ finding }) =>
                  `${diagnosis.evidence[finding] === true ? '' : wording.not}${words.say(sentenceOf(finding))}`,
              )
              .join('; '),
          )}
        </p>
      ) : null}
    </section>
  );
}

/** What was likely at the last entry, as the server had it: there at once, without the reasons that follow. */
export function LikelyAtFirst({ open: { job, sealed } }: { open: OpenJob }) {
  const causes = job.advice?.causes;
  if (sealed || !causes || causes.length === 0) return null;
  return (
    <section>
      <h2 className="text-lg mb-1">{wording.mostLikelyOnArrival}</h2>
      <ul aria-label={wording.likelyCauses} className="grid gap-1">
        {causes.map(({ id, form, probability }) => {
          const percent = Math.round(100 * probability);
          return (
            <li key={id}>
              <details>
                <LikelyHead id={id} form={form} percent={percent} />
              </details>
              {percent >= AT_HAND_PERCENT ? <div className="h-14 mb-2" /> : null}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** What was put right, and that it is worth reading again: it may have hidden something else. */
function PutRight({ open, heldOff }: { open: OpenJob; heldOff: Said | undefined }) {
  const words = useWords();
  const { putRight } = useMemo(
    () => caseOfJob(open.derived, open.limits, open.vehicle.fitted),
    [open.derived, open.limits, open.vehicle.fitted],
  );
  if (putRight.length === 0) return null;
  return (
    <div className="text-[15px] mt-2">
      <p>
        {wording.repaired}{' '}
        {putRight.map(({ cause }, i) => (
          <span key={cause}>
            {i > 0 ? '; ' : ''}
            <s>{words.say(sentenceOf(cause))}</s>
          </span>
        ))}
        .
      </p>
      {putRight.every(({ readAgain }) => readAgain) ? null : heldOff !== undefined ? (
        <p className="border-l-8 border-ink pl-2">
          {wording.notReadAgainYet} <Say it={heldOff} />
        </p>
      ) : (
        <Link
          to={`/jobs/${open.job.id}?stage=baseline`}
          className="underline decoration-2 underline-offset-4 min-h-11 inline-flex items-center"
        >
          {wording.repeatCodesAndBaselineItMayHave}
        </Link>
      )}
    </div>
  );
}

function Likely({
  cause: { id, probability, form, reasons },
  evidence,
  onConfirm,
}: {
  cause: Diagnosis['posterior']['causes'][number];
  evidence: Diagnosis['evidence'];
  /** Absent where it was said before, or nothing can be entered. */
  onConfirm: (() => void) | undefined;
}) {
  const words = useWords();
  const percent = Math.round(100 * probability);
  const confirm = onConfirm ? (
    <Button className="mb-2" onClick={onConfirm}>
      {wording.confirmThisCause}
    </Button>
  ) : null;
  return (
    <li>
      <details>
        <LikelyHead id={id} form={form} percent={percent} />
        <ul className="text-sm leading-snug grid gap-1 pb-2">
          {reasons
            .filter(({ weight }) => Math.abs(weight) >= LEAST_WEIGHT)
            .slice(0, SHOWN)
            .map(({ finding, weight }) => (
              <li key={finding}>
                {weight > 0 ? wording.forIt : wording.againstIt}:{' '}
                {evidence[finding] === true ? '' : wording.notSeen}
                {words.say(sentenceOf(finding))}
              </li>
            ))}
        </ul>
        <LearnLink what="causes" id={id} />
        {percent < AT_HAND_PERCENT ? confirm : null}
      </details>
      {percent >= AT_HAND_PERCENT ? confirm : null}
    </li>
  );
}

/** Name, form and chance. */
function LikelyHead({ id, form, percent }: { id: string; form: string | undefined; percent: number }) {
  const words = useWords();
  return (
    <summary className="min-h-11 py-1 cursor-pointer list-none">
      <span className="flex justify-between gap-3 text-[15px] leading-snug">
        <span>
          {words.say(sentenceOf(id))}
          {form === undefined ? null : (
            <span className="block text-sm text-ink2">{words.say(formSentence(id, form) ?? '')}</span>
          )}
        </span>
        <span className="figure-text whitespace-nowrap">{percent} %</span>
      </span>
      <span aria-hidden className="block h-2 bg-rule mt-1">
        <span className="block h-2 bg-ink" style={{ width: `${percent}%` }} />
      </span>
    </summary>
  );
}
