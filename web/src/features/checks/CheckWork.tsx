import * as wording from '@white-ember/core/words/screens/checks';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import { useSpoken } from '../../data/words.ts';
import { Say } from '../../ui/Say.tsx';
import { useMemo, useState } from 'react';
import { lastHold } from '@white-ember/core/job';
import { serverNow } from '../../data/serverClock.ts';
import { useWatch } from 'react-hook-form';
import { Link } from 'react-router';
import {
  judgeCheck,
  type CautionId,
  type CheckCard,
  type CheckContext,
  type CheckId,
  type CheckValues,
} from '@white-ember/core/checks';
import { checkHeldOff, KNOWN_CHECKS } from '@white-ember/core/diagnosis';
import { useAppSelector } from '../../data/store.ts';
import { Button } from '../../ui/Button.tsx';
import { CautionCard } from '../../ui/CautionCard.tsx';
import { LearnLink } from '../../ui/LearnLink.tsx';
import { Notice } from '../../ui/Notice.tsx';
import type { Diagnosis } from '@white-ember/core/diagnosis';
import { CorrectingNotice } from '../../job/CorrectingNotice.tsx';
import { useAddEntry } from '../../job/useAddEntry.ts';
import { useCaution } from '../../job/useCaution.ts';
import { useCorrecting } from '../../job/useCorrecting.ts';
import { useTypedForm } from '../../job/useTypedForm.ts';
import type { UnitChoice } from '@white-ember/core/words';
import type { OpenJob } from '../../job/useJob.ts';
import { useSessionOf } from '../live/openSession.ts';
import { CheckField } from './CheckField.tsx';
import { Judgement } from './Judgement.tsx';
import { LadderPlot } from './LadderPlot.tsx';
import { emptyCheck, readTyped, typedFrom, type TypedCheck } from './typedCheck.ts';
import { WhatIfList } from './WhatIfList.tsx';

interface CheckWorkProps {
  readonly open: OpenJob;
  readonly card: CheckCard;
  readonly context: CheckContext;
  readonly diagnosis: Diagnosis | undefined;
  readonly canEnter: boolean;
  readonly onBack: () => void;
  readonly onEntered: (decided: boolean) => void;
}

/** A guided check: what it takes, what can hurt, the steps, the entry, and what it says while it is typed. */
export function CheckWork({ open, card, context, diagnosis, canEnter, onBack, onEntered }: CheckWorkProps) {
  const words = useWords();
  const { id, needs } = card;
  const known = KNOWN_CHECKS.find((one) => one.id === id);
  const held = checkHeldOff(id, diagnosis?.evidence ?? {});
  return (
    <article className="grid gap-4" aria-label={words.name('checkNames', id)}>
      <header>
        <Button weight="quiet" className="-ml-4" onClick={onBack}>
          {wording.allChecks}
        </Button>
        <h2 className="text-2xl">{words.name('checkNames', id)}</h2>
        <p className="text-ink2">
          {[
            ...(known ? [common.min(known.minutes)] : []),
            needs.length === 0
              ? wording.needsNothing
              : wording.needs(needs.map((kit) => words.name('kit', kit)).join(', ')),
          ].join(' · ')}
        </p>
        <div className="flex flex-wrap gap-x-6">
          <OtherWay open={open} check={id} />
          <LearnLink what="checks" id={id} />
        </div>
      </header>
      {held ? (
        <Notice title={common.notYet} tone="alarm">
          <Say it={held} />
        </Notice>
      ) : null}
      {card.cautions.map((caution) => (
        <StepCaution key={caution} open={open} caution={caution} act={`check ${id}`} />
      ))}
      <CheckEntry
        open={open}
        card={card}
        context={context}
        canEnter={canEnter && !held}
        onEntered={onEntered}
      />
      <WhatIfList open={open} check={id} />
    </article>
  );
}

/** Not everybody has a known-good sensor along, nor a pump. */
const OTHER_WAYS: Readonly<Record<string, CheckId>> = { 'dp-swap': 'dp-ladder', 'dp-ladder': 'dp-swap' };

function OtherWay({ open, check }: { open: OpenJob; check: string }) {
  const words = useWords();
  const other = OTHER_WAYS[check];
  if (other === undefined) return null;
  return (
    <Link
      to={`/jobs/${open.job.id}?stage=checks&check=${other}`}
      className="underline underline-offset-4 min-h-11 inline-flex items-center"
    >
      {wording.instead(words.name('checkNames', other))}
    </Link>
  );
}

function Steps({ card: { steps, harm } }: { card: CheckCard }) {
  return (
    <div className="grid gap-3">
      <ol className="list-decimal pl-6 grid gap-1">
        {steps.map((step, i) => (
          <li key={i}>
            <Say it={step} />
          </li>
        ))}
      </ol>
      {harm ? (
        <p className="border-l-8 border-ink pl-3">
          <b>{wording.canHarm}</b> <Say it={harm} />
        </p>
      ) : null}
    </div>
  );
}

function StepCaution({ open, caution, act }: { open: OpenJob; caution: CautionId; act: string }) {
  const { acknowledged, acknowledge } = useCaution(open, caution, act);
  return <CautionCard id={caution} acknowledged={acknowledged} onAcknowledge={acknowledge} />;
}

/** What of a check the last reading says already, if that was a moment ago; fixed while the check is open. */
function useAsRead(open: OpenJob, card: CheckCard, shown: UnitChoice): { typed: TypedCheck; atMs?: number } {
  const [hold] = useState(() =>
    card.asRead ? lastHold(open.derived.entries, serverNow(), open.limits) : undefined,
  );
  return useMemo(
    () =>
      hold && card.asRead
        ? { typed: typedFrom(card, { values: card.asRead(hold) }, shown), atMs: hold.atMs }
        : { typed: emptyCheck(card, shown) },
    [card, hold, shown],
  );
}

function CheckEntry({
  open,
  card,
  context,
  canEnter,
  onEntered,
}: Omit<CheckWorkProps, 'diagnosis' | 'onBack'>) {
  const words = useWords();
  const spokenFields = useSpoken(card.fields);
  const shown = useAppSelector((state) => state.preferences.units);
  const session = useSessionOf(open.job.id);
  const addEntry = useAddEntry(open.job.id);
  const correcting = useCorrecting(open, 'check', ({ body }) => body.check === card.id);
  const asRead = useAsRead(open, card, shown);
  const { form, done, supersedes } = useTypedForm({
    draft: `check ${card.id} ${open.job.id}`,
    empty: asRead.typed,
    correcting,
    valuesOf: (body) => typedFrom(card, body, shown),
  });
  const typed = useWatch({ control: form.control }) as ReturnType<typeof emptyCheck>;
  const [problem, setProblem] = useState<string>();
  const [working, setWorking] = useState(false);
  const { values, problems } = readTyped(card, typed, shown);
  const judgement = judgeCheck(card.id, values, context, { sure: typed.sure });
  const nothing =
    Object.keys(values).length === 0 ||
    JSON.stringify([typed.single, typed.rows]) === JSON.stringify([asRead.typed.single, asRead.typed.rows]);
  const save = async (values: CheckValues): Promise<void> => {
    const { outcome } = judgeCheck(card.id, values, context, { sure: typed.sure });
    const wrong = await addEntry(
      {
        kind: 'check',
        check: card.id,
        values: values as Record<string, number | string | (number | null)[][]>,
        ...(typed.sure ? { sure: true } : {}),
        ...(outcome === undefined ? {} : { outcome }),
        ...(typed.note === '' ? {} : { note: typed.note }),
      },
      supersedes,
    );
    setProblem(wrong ? Object.values(wrong)[0] : undefined);
    if (wrong) return;
    done();
    onEntered(outcome !== undefined);
  };
  const submit = form.handleSubmit(async () => {
    if (Object.keys(problems).length > 0) return;
    if (nothing) setProblem(wording.nothingIsEnteredYet);
    else await save(values);
  });
  const onBench = async (): Promise<void> => {
    if (!session) return;
    setWorking(true);
    const answer = await session.answerCheck(card.id);
    setWorking(false);
    if (answer.ok) form.reset(typedFrom(card, { values: answer.values }, shown));
    setProblem(answer.ok ? undefined : answer.why);
  };
  return (
    <form onSubmit={(event) => void submit(event)} className="grid gap-4 xl:grid-cols-[1.1fr_1fr]" noValidate>
      <div className="grid gap-4 content-start min-w-0">
        <Steps card={card} />
        <CorrectingNotice correcting={correcting} />
        {session && canEnter ? (
          <Button onClick={() => void onBench()} disabled={working}>
            {working ? wording.onTheSimulatedVehicle : wording.runThisCheckOnTheSimulatedVehicle}
          </Button>
        ) : null}
        {canEnter && card.asItShouldBe && nothing ? (
          <Button
            weight="main"
            className="justify-self-start"
            onClick={() => void save(card.asItShouldBe?.values ?? {})}
          >
            {words.say(card.asItShouldBe.label)}
          </Button>
        ) : null}
        {canEnter && asRead.atMs !== undefined ? (
          <p className="text-sm text-ink2">{wording.asReadAt(words.clock(asRead.atMs))}</p>
        ) : null}
        {canEnter
          ? spokenFields.map((field) => (
              <CheckField
                key={field.id}
                field={field}
                control={form.control}
                shown={shown}
                session={session}
                problem={problems[field.id]}
              />
            ))
          : null}
      </div>
      <div className="grid gap-4 content-start min-w-0 xl:sticky xl:top-0 self-start">
        <h3 className="text-xl border-b-2 border-ink">{wording.whatItSays}</h3>
        {nothing ? (
          <p className="text-ink2">{wording.nothingIsEnteredYetTitle}</p>
        ) : (
          <Judgement judgement={judgement} shown={shown} />
        )}
        {card.id === 'dp-ladder' ? (
          <LadderPlot values={values} limits={open.limits} unit={shown.pressure} />
        ) : null}
        {canEnter ? (
          <>
            {judgement.questions.length > 0 || typed.sure ? (
              <label className="flex items-center gap-3 min-h-11">
                <input
                  type="checkbox"
                  className="size-6 accent-[var(--ember-button)]"
                  {...form.register('sure')}
                />
                {wording.measuredAgainConfirmed}
              </label>
            ) : null}
            <label className="grid gap-1">
              <span className="font-head font-semibold">{common.note}</span>
              <input className="input-box" {...form.register('note')} />
            </label>
            {problem ? <p className="text-ember-text font-bold">✕ {problem}</p> : null}
            <Button type="submit" weight="main">
              {wording.saveThisCheck}
            </Button>
          </>
        ) : null}
      </div>
    </form>
  );
}
