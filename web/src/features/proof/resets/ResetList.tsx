import * as wording from '@white-ember/core/words/screens/proof';
import { useWords } from '../../../data/words.ts';
import type { Spoken } from '@white-ember/core/words';
import { Link } from 'react-router';
import type { ResetStep } from '@white-ember/core/proof';
import { StateMark } from '../../../ui/StateMark.tsx';
import { RESETS_PLACE } from '../../../job/places.ts';
import type { OpenJob } from '../../../job/useJob.ts';
import { HeldOff } from './HeldOff.tsx';
import { ResetForm } from './ResetForm.tsx';
import { useResets } from './useResets.ts';

/** What is set back on this job and nothing else, in its order, each with what it would hide and what stood there before. */
export function ResetList({ open, canEnter }: { open: OpenJob; canEnter: boolean }) {
  const words = useWords();
  const { steps, forecasting } = useResets(open);
  const due = steps.filter(({ need }) => need === 'due');
  const done = steps.filter(({ need }) => need === 'done');
  const rest = steps.filter(({ need }) => need === 'not-due');
  return (
    <section id={RESETS_PLACE} aria-label={wording.resets} className="grid gap-3">
      <h3 className="text-xl border-b-2 border-ink">{wording.resetsInThisOrder}</h3>
      {due.length === 0 ? <p className="text-[15px]">{wording.noResetsDue}</p> : null}
      <ol className="grid gap-4">
        {due.map((step, i) => (
          <li key={step.reset}>
            <Due open={open} step={step} first={i === 0} canEnter={canEnter} forecasting={forecasting} />
          </li>
        ))}
      </ol>
      {done.map((step) => (
        <p key={step.reset} className="flex gap-2 text-[15px]">
          <StateMark state="sound" size={18} />
          <span>
            <b>{words.name('resets', step.reset)}.</b> {step.worth}
          </span>
        </p>
      ))}
      <details>
        <summary className="min-h-11 content-center font-head font-semibold">
          {wording.noReset(rest.length)}
        </summary>
        <ul className="grid gap-2">
          {rest.map((step) => (
            <li key={step.reset} className="border-t-2 border-rule pt-2">
              <Due open={open} step={step} first={false} canEnter={canEnter} forecasting={forecasting} />
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}

function Due({
  open,
  step,
  first,
  canEnter,
  forecasting,
}: {
  open: OpenJob;
  step: Spoken<ResetStep>;
  first: boolean;
  canEnter: boolean;
  forecasting: boolean;
}) {
  const words = useWords();
  const { reset, why, held, warnings, how, need } = step;
  return (
    <details open={first} className={need === 'due' ? 'border-2 border-ink p-3 bg-card' : ''}>
      <summary className="min-h-11 content-center">
        <span className="font-head font-semibold text-lg">{words.name('resets', reset)}</span>
        <span className="block text-[15px] text-ink2">{why}</span>
      </summary>
      <DueStep
        held={held}
        warnings={warnings}
        how={how}
        canEnter={canEnter}
        open={open}
        step={step}
        forecasting={forecasting}
      />
    </details>
  );
}

/** What is done, and what holds it back. */
function DueStep({
  held,
  warnings,
  how,
  canEnter,
  open,
  step,
  forecasting,
}: {
  held: readonly string[];
  warnings: readonly string[];
  how: readonly string[];
  canEnter: boolean;
  open: OpenJob;
  step: ReturnType<typeof useResets>['steps'][number];
  forecasting: boolean;
}) {
  return (
    <div className="grid gap-2 pt-2">
      <HeldOff held={held} warnings={warnings} />
      <ol className="list-decimal pl-6 text-[15px] grid gap-1">
        {how.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ol>
      {canEnter && held.length > 0 ? (
        <details>
          <summary className="min-h-11 content-center underline underline-offset-4">
            {wording.doneAnywayWithAnotherTool}
          </summary>
          <ResetForm open={open} step={step} />
        </details>
      ) : null}
      {canEnter && held.length === 0 && !forecasting ? <ByHandOrLink open={open} step={step} /> : null}
    </div>
  );
}

/** The reset with another tool or by the scan link. */
function ByHandOrLink({
  open,
  step,
}: {
  open: OpenJob;
  step: ReturnType<typeof useResets>['steps'][number];
}) {
  return (
    <>
      <ResetForm open={open} step={step} />
      <Link to={`/jobs/${open.job.id}/live`} className="underline underline-offset-4 min-h-11 content-center">
        {wording.doItByTheScanLinkIt}
      </Link>
    </>
  );
}
