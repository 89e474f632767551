import * as wording from '@white-ember/core/words/screens/treatment';
import * as common from '@white-ember/core/words/screens/common';
import { type JobBurn } from '@white-ember/core/treatment';
import { atMost } from '../../ui/format.ts';
import { useWords } from '../../data/words.ts';
import type { Said } from '@white-ember/core/words';
import { Say } from '../../ui/Say.tsx';
import { useState } from 'react';
import type { Treatment } from '@white-ember/core/ledger';
import { type OfferedTreatment } from '@white-ember/core/job';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { StateMark } from '../../ui/StateMark.tsx';
import { BurnPlanner } from '../burn/BurnPlanner.tsx';
import { useTreatments } from '../burn/useTreatments.ts';
import { useAddEntry } from '../../job/useAddEntry.ts';
import type { OpenJob } from '../../job/useJob.ts';

/** What may be done to the filter, the best first, each with its reasons, its risks and what holds it off. */
export function TreatmentChoice({
  open,
  canEnter,
  onChosen,
}: {
  open: OpenJob;
  canEnter: boolean;
  onChosen: () => void;
}) {
  const words = useWords();
  const { options, notJudged, burn, forecasting } = useTreatments(open);
  const chosen = open.derived.treatment?.body.treatment;
  const [planning, setPlanning] = useState(false);
  if (open.sealed)
    return chosen === undefined ? null : (
      <section className="grid gap-3">
        <h3 className="text-xl border-b-2 border-ink">{wording.filterTreatment}</h3>
        <p>{wording.chosenTheJobIsSignedOff(words.name('treatments', chosen))}</p>
      </section>
    );
  return (
    <section className="grid gap-3">
      <h3 className="text-xl border-b-2 border-ink">{wording.filterTreatment}</h3>
      {notJudged === undefined ? null : (
        <Notice title={wording.cannotBeDecidedYet}>{wording.seeTheNextStepAbove(notJudged)}</Notice>
      )}
      {forecasting ? <p className="text-sm text-ink2">{common.calculating}</p> : null}
      <OptionList
        options={options}
        chosen={chosen}
        open={open}
        canEnter={canEnter}
        forecasting={forecasting}
        onChosen={onChosen}
      />
      {burn ? <PlannedBurn setPlanning={setPlanning} planning={planning} open={open} burn={burn} /> : null}
    </section>
  );
}

/** The burn model, unfolded where somebody asks. */
function PlannedBurn({
  setPlanning,
  planning,
  open,
  burn,
}: {
  setPlanning: (value: boolean) => void;
  planning: boolean;
  open: OpenJob;
  burn: JobBurn;
}) {
  return (
    <details
      className="border-2 border-rule bg-card"
      onToggle={(event) => setPlanning(event.currentTarget.open)}
    >
      <summary className="font-head font-semibold min-h-12 px-3 content-center">
        {wording.whatARegenerationOfThisFilterWould}
      </summary>
      <div className="p-3 pt-0">{planning ? <BurnPlanner open={open} burn={burn} /> : null}</div>
    </details>
  );
}

/** The treatments, the best one first. */
function OptionList({
  options,
  chosen,
  open,
  canEnter,
  forecasting,
  onChosen,
}: {
  options: readonly OfferedTreatment[];
  chosen: Treatment | undefined;
  open: OpenJob;
  canEnter: boolean;
  forecasting: boolean;
  onChosen: () => void;
}) {
  return (
    <ol className="grid gap-3">
      {options.map((option, i) => (
        <li key={option.treatment}>
          <Option
            option={option}
            first={i === 0 && option.allowed}
            chosen={chosen === option.treatment}
            open={open}
            canEnter={canEnter}
            // A burn is not offered before the model has said whether the bed stands it.
            waits={forecasting && (option.treatment === 'drive' || option.treatment === 'standing')}
            onChosen={onChosen}
          />
        </li>
      ))}
    </ol>
  );
}

const hours = (minutes: number): string =>
  minutes < 90 ? common.min(Math.round(minutes)) : `${atMost(minutes / 60, 1)} h`;

function Option({
  option,
  first,
  chosen,
  open,
  canEnter,
  waits,
  onChosen,
}: {
  option: OfferedTreatment;
  first: boolean;
  chosen: boolean;
  open: OpenJob;
  canEnter: boolean;
  waits: boolean;
  onChosen: () => void;
}) {
  const words = useWords();
  const { treatment, chance, handsOnMin, waitingMin, cost, reasons, risks, otherSchool, heldBy } = option;
  const refused = !option.allowed;
  return (
    <details open={first || chosen} className={`bg-card border-2 ${first ? 'border-ink' : 'border-rule'}`}>
      <summary className="p-3 grid grid-cols-[auto_1fr_auto] gap-x-3 gap-y-1 items-center cursor-pointer">
        <StateMark
          state={chosen ? 'sound' : refused ? 'failed' : heldBy.length > 0 ? 'doubtful' : 'not-looked-at'}
          size={20}
        />
        <span className={`font-head font-semibold ${first ? 'text-xl' : 'text-lg'}`}>
          {words.name('treatments', treatment)}
          {chosen ? <span className="text-ink2 font-medium">{wording.chosen}</span> : null}
          {refused ? <span className="text-ember-text">{wording.notNowWithin}</span> : null}
        </span>
        <span className="figure-text text-lg">{Math.round(100 * chance)} %</span>
        <span className="col-start-2 col-span-2 text-sm text-ink2">
          {cost === 0
            ? wording.costsNothing
            : wording.ofWorkAbout(
                hours(handsOnMin),
                waitingMin > 0 ? wording.andWaiting(hours(waitingMin)) : '',
                words.money(Math.round(cost)),
              )}
        </span>
      </summary>
      <div className="p-3 pt-0 grid gap-3">
        {heldBy.map(({ id, text }) => (
          <p key={id} className="border-l-8 border-ember pl-3 font-bold">
            <Say it={text} />
          </p>
        ))}
        <Points title={common.why} points={reasons} />
        <Points title={wording.canGoWrong} points={risks} />
        {otherSchool ? (
          <p className="text-sm text-ink2">
            <Say it={otherSchool} />
          </p>
        ) : null}
        {canEnter && !chosen && !refused ? (
          waits ? (
            <p className="text-ink2">{wording.selectableOnceTheCalculationIsDone}</p>
          ) : (
            <Choose treatment={treatment} held={heldBy} first={first} open={open} onChosen={onChosen} />
          )
        ) : null}
      </div>
    </details>
  );
}

function Points({ title, points }: { title: string; points: readonly Said[] }) {
  return (
    <div>
      <p className="font-head font-semibold text-sm text-ink2">{title}</p>
      <ul className="list-disc pl-5">
        {points.map((point, i) => (
          <li key={i}>
            <Say it={point} />
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Enters the choice; with a cause that is still open only with the reason for that. */
function Choose({
  treatment,
  held,
  first,
  open,
  onChosen,
}: {
  treatment: Treatment;
  held: OfferedTreatment['heldBy'];
  first: boolean;
  open: OpenJob;
  onChosen: () => void;
}) {
  const words = useWords();
  const addEntry = useAddEntry(open.job.id);
  const [why, setWhy] = useState('');
  const [problem, setProblem] = useState<string>();
  const outstanding = held.flatMap(({ cause }) => (cause === undefined ? [] : [cause]));
  const choose = async (): Promise<void> => {
    const wrong = await addEntry({
      kind: 'treatment-chosen',
      treatment,
      ...(outstanding.length > 0 ? { outstanding } : {}),
      ...(why.trim() ? { why: why.trim() } : {}),
    });
    setProblem(wrong ? Object.values(wrong)[0] : undefined);
    if (!wrong) onChosen();
  };
  return (
    <div className="grid gap-2">
      {outstanding.length > 0 ? (
        <Field label={wording.reasonWithTheCauseStillOpen} hint={common.shownInTheReport} error={problem}>
          <input className="input-box" value={why} onChange={(event) => setWhy(event.target.value)} />
        </Field>
      ) : null}
      <Button weight={first ? 'main' : 'plain'} className="justify-self-start" onClick={() => void choose()}>
        {treatment === 'nothing'
          ? wording.leaveItAlone
          : wording.choose(words.name('treatments', treatment).toLowerCase())}
      </Button>
    </div>
  );
}
