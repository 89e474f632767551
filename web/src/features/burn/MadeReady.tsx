import * as wording from '@white-ember/core/words/screens/burn';
import { useWords } from '../../data/words.ts';
import { Say } from '../../ui/Say.tsx';
import { useState } from 'react';
import type { Treatment } from '@white-ember/core/ledger';
import {
  READY_FIGURES,
  READY_FOR,
  READY_QUESTIONS,
  readinessOf,
  type Readiness,
  type ReadyFigure,
} from '@white-ember/core/treatment';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { useAppSelector } from '../../data/store.ts';
import { figure, unitOf, type FieldKind } from '../../form/kinds.ts';
import { StateMark } from '../../ui/StateMark.tsx';
import { useNow } from '../../ui/useNow.ts';
import { useCaution } from '../../job/useCaution.ts';
import { CautionCard } from '../../ui/CautionCard.tsx';
import type { CautionId } from '@white-ember/core/checks';
import { useAddEntry } from '../../job/useAddEntry.ts';
import type { OpenJob } from '../../job/useJob.ts';

/** Whether everything stands ready for a treatment of this job, now. */
export function useReadiness(open: OpenJob, treatment: Treatment, filterUpToC?: number): Readiness {
  const now = useNow(30_000);
  return readinessOf(
    treatment,
    {
      derived: open.derived,
      limits: open.limits,
      ...(filterUpToC === undefined ? {} : { filterUpToC }),
    },
    now,
  );
}

interface ActCaution {
  readonly id: CautionId;
  readonly act: string;
}

/** What is asked before a treatment begins: the site, the vehicle, who is there. Answered once, and anew after a while. */
export function MadeReady({
  open,
  treatment,
  readiness,
  live = {},
  caution,
}: {
  open: OpenJob;
  treatment: Treatment;
  readiness: Readiness;
  /** Figures that a channel gives now. */
  live?: Partial<Record<ReadyFigure, number>>;
  /** What can hurt in it, read with the answers. */
  caution?: ActCaution;
}) {
  const { questions, figures, helper: asksHelper } = READY_FOR[treatment];
  const { held, missing, entry } = readiness;
  const [again, setAgain] = useState(false);
  if (held.length === 0 && missing.length === 0 && entry && !again)
    return (
      <p className="flex flex-wrap items-center gap-x-3">
        <StateMark state="sound" />
        <span className="font-head font-semibold">{wording.ready}</span>
        <span className="text-ink2">
          {wording.answersBy(
            questions.length + figures.length,
            entry.authorName,
            entry.body.helper ? wording.withIt(entry.body.helper) : '',
          )}
        </span>
        <Button weight="quiet" onClick={() => setAgain(true)}>
          {wording.answerAgain}
        </Button>
      </p>
    );
  return (
    <Questions
      // Answers that hold no more are asked again from the start.
      key={entry?.id ?? 'first'}
      open={open}
      treatment={treatment}
      readiness={readiness}
      asksHelper={asksHelper}
      live={live}
      caution={caution}
      onDone={() => setAgain(false)}
    />
  );
}

const isFigure = (id: string): id is ReadyFigure => Object.hasOwn(READY_FIGURES, id);
const kindOf = (id: ReadyFigure): FieldKind => figure(READY_FIGURES[id].unit);

function Questions({
  open,
  treatment,
  readiness: { held, entry, missing },
  asksHelper,
  live,
  caution,
  onDone,
}: {
  open: OpenJob;
  treatment: Treatment;
  readiness: Readiness;
  asksHelper: boolean;
  live: Partial<Record<ReadyFigure, number>>;
  caution: ActCaution | undefined;
  onDone: () => void;
}) {
  const words = useWords();
  const units = useAppSelector((state) => state.preferences.units);
  const addEntry = useAddEntry(open.job.id);
  const { acknowledged, acknowledge } = useCaution(open, caution?.id, caution?.act ?? '');
  const { questions, figures } = READY_FOR[treatment];
  // What was answered well a moment ago is not asked for again; what held it off is.
  const fresh = missing.length === 0;
  const [answers, setAnswers] = useState<Record<string, boolean>>(() =>
    fresh
      ? Object.fromEntries(
          Object.entries(entry?.body.answers ?? {}).filter(
            (pair): pair is [string, boolean] => pair[1] === true,
          ),
        )
      : {},
  );
  const [typed, setTyped] = useState<Record<string, string>>(() =>
    fresh
      ? Object.fromEntries(
          Object.entries(entry?.body.answers ?? {}).flatMap(([id, value]) =>
            typeof value === 'number' && isFigure(id) ? [[id, String(kindOf(id).write(value, units))]] : [],
          ),
        )
      : {},
  );
  const [helper, setHelper] = useState(entry?.body.helper ?? '');
  const [problems, setProblems] = useState<Record<string, string>>({});
  const shownFigure = (id: ReadyFigure): string => {
    const now = live[id];
    return typed[id] ?? (now === undefined ? '' : String(kindOf(id).write(Math.round(now), units)));
  };
  // Nothing burns in a cold clean: what is asked of the site may be said in one touch, before any of it was answered.
  const allYes = treatment === 'chemical' && questions.every((id) => answers[id] === undefined);
  const submit = async (): Promise<void> => {
    const wrong: Record<string, string> = {};
    const said = allYes ? Object.fromEntries(questions.map((id) => [id, true])) : answers;
    for (const id of questions) if (said[id] === undefined) wrong[id] = wording.yesOrNo;
    const numbers: Record<string, number> = {};
    for (const id of figures) {
      const value = kindOf(id).read(shownFigure(id), units);
      if (typeof value !== 'number' || Number.isNaN(value))
        wrong[id] = wording.enterANumber(words.say(READY_FIGURES[id].label));
      else numbers[id] = value;
    }
    if (asksHelper && helper.trim() === '') wrong['helper'] = wording.whoIsTheSecondPerson;
    setProblems(wrong);
    if (Object.keys(wrong).length > 0) return;
    const refused = await addEntry({
      kind: 'made-ready',
      treatment,
      answers: { ...said, ...numbers },
      ...(helper.trim() ? { helper: helper.trim() } : {}),
    });
    setProblems(refused ?? {});
    if (refused) return;
    if (!acknowledged) acknowledge();
    onDone();
  };
  return (
    <section aria-label={wording.beforeItBegins} className="grid gap-3 border-2 border-ink bg-card p-3">
      <h3 className="text-xl">{wording.beforeItBegins}</h3>
      {held.map(({ id, text }) => (
        <p key={id} className="border-l-8 border-ember pl-3 font-bold">
          <Say it={text} />
        </p>
      ))}
      <div className="grid">
        {questions.map((id) => (
          <div
            key={id}
            className="grid grid-cols-[1fr_auto] gap-3 items-center border-b-2 border-rule py-1.5"
            role="group"
            aria-label={words.say(READY_QUESTIONS[id].label)}
          >
            <span className="leading-snug">
              <Say it={READY_QUESTIONS[id].label} />
              {problems[id] ? (
                <span className="block text-sm text-ember-text font-bold">✕ {problems[id]}</span>
              ) : null}
            </span>
            <span className="flex">
              {([true, false] as const).map((yes) => (
                <button
                  key={String(yes)}
                  type="button"
                  aria-pressed={answers[id] === yes}
                  onClick={() => setAnswers((old) => ({ ...old, [id]: yes }))}
                  className="min-h-12 min-w-14 px-3 font-head font-semibold border-2 border-ink aria-pressed:bg-ink aria-pressed:text-paper not-first:-ml-0.5"
                >
                  {yes ? wording.yes : wording.no}
                </button>
              ))}
            </span>
          </div>
        ))}
      </div>
      <div className="grid sm:grid-cols-2 gap-3">
        {figures.map((id) => (
          <Field
            key={id}
            label={words.say(READY_FIGURES[id].label)}
            unit={unitOf(kindOf(id), units) ?? ''}
            hint={words.say(READY_FIGURES[id].hint)}
            error={problems[id]}
          >
            <input
              className="input-box"
              inputMode="decimal"
              value={shownFigure(id)}
              onChange={(event) => setTyped((old) => ({ ...old, [id]: event.target.value }))}
            />
          </Field>
        ))}
        {asksHelper ? (
          <Field label={wording.theSecondPerson} hint={wording.oneDrivesOneReads} error={problems['helper']}>
            <input className="input-box" value={helper} onChange={(event) => setHelper(event.target.value)} />
          </Field>
        ) : null}
      </div>
      {caution && !acknowledged ? <CautionCard id={caution.id} acknowledged={false} /> : null}
      <Button className="justify-self-start" onClick={() => void submit()}>
        {allYes
          ? wording.yesToBothEnter(acknowledged)
          : acknowledged
            ? wording.enterTheAnswers
            : wording.readEnterTheAnswers}
      </Button>
    </section>
  );
}
