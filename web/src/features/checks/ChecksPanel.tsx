import * as wording from '@white-ember/core/words/screens/checks';
import { useWords } from '../../data/words.ts';
import { Say } from '../../ui/Say.tsx';
import { vehicleFactsOf } from '@white-ember/core/job';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { cardOf, CHECK_CARDS, type CheckContext, type CheckId } from '@white-ember/core/checks';
import type { MadeCheck } from '@white-ember/core/job';
import { type PartId } from '@white-ember/core/ledger';
import { sootRoom } from '@white-ember/core/treatment';
import { StateMark } from '../../ui/StateMark.tsx';
import { useDiagnosis, useJudgement } from '../diagnosis/useDiagnosis.ts';
import type { OpenJob } from '../../job/useJob.ts';
import type { StageProps } from '../../job/stageProps.ts';
import { CheckRow } from './CheckRow.tsx';
import { CheckWork } from './CheckWork.tsx';
import { outcomeWords } from './outcomeWords.ts';
import { PartForm } from './PartForm.tsx';
import { SubstitutionForm } from './SubstitutionForm.tsx';

/** What checks are judged by on this job. */
function useCheckContext({ derived, vehicle, limits }: OpenJob): CheckContext {
  const facts = vehicleFactsOf(vehicle);
  const soot = sootRoom(derived.before?.body, facts.geometry, { limits, ...facts }, vehicle.fitted);
  return { limits, ...facts, ...(soot ? { sootByPressureG: soot } : {}) };
}

/** Guided checks: the one worth the next minutes first, those of a part when it was tapped, and what was found. */
export function ChecksPanel({
  open,
  canEnter,
  part,
  onStage,
  onLead,
}: StageProps & { part: PartId | undefined }) {
  const words = useWords();
  const [params, setParams] = useSearchParams();
  const context = useCheckContext(open);
  const diagnosis = useDiagnosis(open);
  const judgement = useJudgement(open);
  const correcting = open.derived.checks.find(({ entry }) => entry.id === params.get('correct'));
  const card = cardOf(correcting?.entry.body.check ?? params.get('check') ?? '');
  const choose = (check: string | undefined): void =>
    setParams((old) => {
      const next = new URLSearchParams(old);
      next.delete('correct');
      if (check) next.set('check', check);
      else next.delete('check');
      return next;
    });
  if (card)
    return (
      <CheckWork
        key={`${card.id} ${correcting?.entry.id ?? ''}`}
        open={open}
        card={card}
        context={context}
        diagnosis={diagnosis}
        canEnter={canEnter}
        onBack={() => choose(undefined)}
        onEntered={(decided) => {
          // What decided nothing is measured again, or by another check: that is the person's to say.
          if (decided) onLead();
          choose(undefined);
        }}
      />
    );
  const made = new Map(open.derived.checks.map((one) => [one.entry.body.check, one]));
  // The one that is next for the whole job stands first here, too.
  const steps = judgement ? [judgement.next, ...judgement.then] : [];
  const best = steps.find((step) => step?.do === 'check')?.id;
  const ranked = (diagnosis?.next ?? []).toSorted(
    (a, b) => Number(b.check === best) - Number(a.check === best),
  );
  const about = (id: CheckId): boolean => !part || (cardOf(id)?.about.includes(part) ?? false);
  const unranked = CHECK_CARDS.filter(({ id }) => !ranked.some(({ check }) => check === id));
  const rows = [
    ...ranked.flatMap((proposed) => {
      const its = cardOf(proposed.check);
      return its && about(its.id) ? [{ card: its, proposed }] : [];
    }),
    ...unranked.filter(({ id }) => about(id)).map((its) => ({ card: its, proposed: undefined })),
  ];
  return (
    <div className="grid gap-6 xl:grid-cols-[1.25fr_1fr]">
      <section className="grid gap-3 content-start">
        <h2 className="text-2xl">{part ? wording.checks(words.name('parts', part)) : wording.checksTitle}</h2>
        {part ? (
          <button
            className="underline underline-offset-4 min-h-11 text-left"
            onClick={() => onStage('checks')}
          >
            {wording.allParts}
          </button>
        ) : (
          <p className="text-ink2">
            {ranked.length > 0
              ? wording.rankedByWhatTheyWouldSettlePer
              : wording.codesAReadingOrTheIntakeWill}
          </p>
        )}
        <ul className="border-t-2 border-ink" aria-label={wording.checksToDo}>
          {rows.map(({ card: its, proposed }, i) => (
            <CheckRow
              key={its.id}
              card={its}
              proposed={proposed}
              made={made.get(its.id)}
              first={i === 0 && proposed !== undefined && proposed.check === best}
              most={Math.max(0, ...ranked.map(({ bitsPerMinute }) => bitsPerMinute))}
              onChoose={() => choose(its.id)}
            />
          ))}
        </ul>
      </section>
      <section className="grid gap-4 content-start">
        <MadeChecks checks={open.derived.checks} onChoose={choose} />
        <PartStates open={open} part={part} onPart={(id) => onStage('checks', id)} />
        {canEnter ? (
          <>
            <Folded title={wording.recordAFindingAtAPart} start={params.has('correct')}>
              <PartForm open={open} part={part} />
            </Folded>
            <Folded title={wording.knownGoodPartFitted}>
              <SubstitutionForm open={open} part={part} />
            </Folded>
          </>
        ) : null}
      </section>
    </div>
  );
}

function Folded({
  title,
  start = false,
  children,
}: {
  title: string;
  start?: boolean;
  children: React.ReactNode;
}) {
  const [shown, setShown] = useState(start);
  return (
    <details
      className="border-2 border-rule bg-card"
      open={shown}
      onToggle={(event) => setShown(event.currentTarget.open)}
    >
      <summary className="font-head font-semibold min-h-12 px-3 content-center">{title}</summary>
      <div className="p-3 pt-0">{children}</div>
    </details>
  );
}

function MadeChecks({
  checks,
  onChoose,
}: {
  checks: readonly MadeCheck[];
  onChoose: (check: string) => void;
}) {
  const words = useWords();
  if (checks.length === 0) return null;
  return (
    <div>
      <h2 className="text-2xl mb-2">{wording.foundByChecks}</h2>
      <ul className="border-t-2 border-ink" aria-label={wording.foundByChecks}>
        {[...checks].reverse().map(({ entry, outcome, judgement }) => {
          const known = cardOf(entry.body.check);
          return (
            <li key={entry.id} className="border-b-2 border-rule py-2">
              <button
                className="text-left w-full min-h-11"
                onClick={() => onChoose(entry.body.check)}
                disabled={!known}
              >
                <span className="text-sm text-ink2 block">
                  {known ? words.name('checkNames', known.id) : entry.body.check}
                  {known ? '' : wording.unknownCheckKeptOnRecordNotUsed}
                </span>
                <span className="font-head font-semibold text-lg">
                  {outcome === undefined ? wording.notDecidedTitle : words.say(outcomeWords(outcome))}
                </span>
                <span className="block text-[15px]">
                  <Say it={judgement.questions[0]?.text ?? judgement.sentences[0] ?? entry.body.note ?? ''} />
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}

function PartStates({
  open: { vehicle, derived },
  part,
  onPart,
}: {
  open: OpenJob;
  part: PartId | undefined;
  onPart: (part: PartId) => void;
}) {
  const words = useWords();
  return (
    <div>
      <h2 className="text-2xl mb-2">{wording.alongTheLine}</h2>
      <ul className="border-t-2 border-ink">
        {vehicle.fitted.map((id) => {
          const status = derived.parts.get(id);
          return (
            <li key={id} className={`border-b-2 border-rule ${id === part ? 'bg-card' : ''}`}>
              <button
                className="flex gap-3 min-h-11 items-center text-left w-full"
                onClick={() => onPart(id)}
              >
                <StateMark state={status?.state ?? 'not-looked-at'} />
                <span className="font-bold w-44 shrink-0">{words.name('parts', id)}</span>
                <span className="text-sm text-ink2">
                  {status ? `${words.name('partStates', status.state)}: ${status.why}` : wording.notLookedAt}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
