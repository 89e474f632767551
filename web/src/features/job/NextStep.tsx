import * as wording from '@white-ember/core/words/screens/job';
import * as list from '@white-ember/core/words/screens/jobList';
import * as common from '@white-ember/core/words/screens/common';
import { spokenNow } from '../../data/words.ts';
import { memo, useEffect, useEffectEvent, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { confirmation, type Diagnosis } from '@white-ember/core/diagnosis';
import { whileWaiting, type Step } from '@white-ember/core/guide';
import { stateNow, stepsInState, stepTitle, toShowOf, type Stage } from '@white-ember/core/job';
import { Button } from '../../ui/Button.tsx';
import { useNow } from '../../ui/useNow.ts';
import { useJudgement } from '../diagnosis/useDiagnosis.ts';
import { useAddEntry } from '../../job/useAddEntry.ts';
import { CODES_PLACE, DRIVE_PLACE, RESETS_PLACE } from '../../job/places.ts';
import type { OpenJob } from '../../job/useJob.ts';

interface Told {
  readonly title: string;
  readonly why: string;
  /** What the button does. */
  readonly act: string;
  readonly stage: Stage;
  readonly check?: string;
  /** A page of the job beside its stages. */
  readonly page?: 'burn';
  /** Where on that stage, by the id of the element. */
  readonly at?: string;
  /** A cause that the button confirms. */
  readonly confirms?: string;
}

/** What ends a wait that has no timer, by what is waited for. */
const WAITS: Readonly<Record<string, Pick<Told, 'act' | 'stage' | 'page'>>> = {
  burn: { act: wording.watchIt, stage: 'treat', page: 'burn' },
  choice: { act: wording.recordTheChoice, stage: 'decide' },
  part: { act: wording.goToTheWork, stage: 'treat' },
};

/** What a step is called, and where it is done. */
function tell(step: Step, derived: OpenJob['derived']): Told {
  const { id } = step;
  const why = spokenNow(step.why);
  const confirmed = derived.causes.some(({ cause, state }) => cause === id && state === 'confirmed');
  const title = spokenNow(stepTitle(step, confirmed));
  switch (step.do) {
    case 'scan':
      return { title, why, act: wording.goToTheCodes, stage: 'codes' };
    case 'read':
    case 'warm-up':
      return { title, why, act: wording.goToTheReading, stage: 'baseline' };
    case 'ask':
      return { title, why, act: wording.goToTheIntake, stage: 'intake' };
    case 'check':
      return {
        title,
        why,
        act: wording.startThisCheck,
        stage: 'checks',
        ...(id === undefined ? {} : { check: id }),
      };
    case 'repair':
      return {
        title,
        why,
        act: confirmed ? wording.enterTheRepair : wording.confirmIt,
        stage: confirmed ? 'treat' : 'decide',
        ...(confirmed || id === undefined ? {} : { confirms: id }),
      };
    case 'treat':
      return {
        title,
        why,
        act: derived.treatment || id === 'refit' ? wording.goToTheWork : wording.chooseTheTreatment,
        stage: derived.treatment || id === 'refit' ? 'treat' : 'decide',
      };
    case 'wait':
      return { title, why, ...(WAITS[id ?? ''] ?? { act: wording.goToTheTimer, stage: 'treat' }) };
    case 'prove': {
      const its = toShowOf(id);
      return {
        title,
        why: its ? spokenNow(its.why) : why,
        act: its?.check ? wording.startThisCheck : wording.openIt,
        stage: its?.stage ?? 'prove',
        ...(its?.check ? { check: its.check } : {}),
        at: PLACES[id ?? ''] ?? RESETS_PLACE,
      };
    }
    case 'hand-over':
      return { title, why, act: wording.goToTheHandOver, stage: 'hand-over' };
  }
}

/** By the drive more is shown than that there was one. */
const PLACES: Readonly<Record<string, string>> = {
  drive: DRIVE_PLACE,
  egt: DRIVE_PLACE,
  soot: DRIVE_PLACE,
  'power-limit': DRIVE_PLACE,
  'no-codes': CODES_PLACE,
  after: '',
  'equal-flow': '',
};

/** Once the stage stands there: a step of the stage that is open already must not be a button that does nothing. */
function bringIntoView(id: string | undefined): void {
  if (id === undefined || id === '') return;
  requestAnimationFrame(() =>
    requestAnimationFrame(() => {
      const place = document.getElementById(id);
      place?.scrollIntoView({ block: 'center' });
      place?.querySelector<HTMLElement>('input, textarea, button')?.focus({ preventScroll: true });
    }),
  );
}

const THEN_SHOWN = 4;
/** Under the line; on a phone at the lower edge, over the stages, where the thumb is. */
const AT_HAND =
  'bg-paper border-rule border-b-2 max-lg:border-b-0 max-lg:border-t-2 max-lg:fixed max-lg:inset-x-0 max-lg:bottom-[calc(58px+env(safe-area-inset-bottom))] max-lg:z-40 max-lg:max-h-[60vh] max-lg:overflow-auto';

/** The one thing to do next on a job: what, why, how long, one button; what comes after it folds out. */
export const NextStep = memo(function NextStep({
  open,
  canWork,
  leadsOn,
  onLed,
}: {
  open: OpenJob;
  canWork: boolean;
  /** What was next is done: the step that is next now opens by itself. */
  leadsOn: boolean;
  onLed: () => void;
}) {
  const judgement = useJudgement(open);
  const navigate = useNavigate();
  const { id: jobId } = open.job;
  // A dwell is waited for before what comes after it.
  const now = useNow(5000);
  // Until the page has judged the job itself, what the server made of its last entry.
  const first = judgement ? judgement.next : (open.job.advice?.next as Step | undefined);
  const state = stateNow(open.inCodes, now);
  // What the server had says already what the job is in the middle of.
  const known = judgement
    ? stepsInState(first ? [first, ...judgement.then] : [], state)
    : first
      ? [first]
      : [];
  const steps = whileWaiting(known, open.derived.clocks, now);
  const [step, ...after] = steps;
  const next = step && tell(step, open.derived);
  const path = next ? pathOf(jobId, next) : undefined;
  const addEntry = useAddEntry(jobId);
  const confirm = (cause: string, diagnosis: Diagnosis): void =>
    void addEntry({ kind: 'cause', cause, state: 'confirmed', why: confirmation(diagnosis, cause) });
  // Tapped before the page has judged the job: what it says with the cause comes with the judgement.
  const tappedEarly = useRef<string>(undefined);
  const onJudged = useEffectEvent((diagnosis: Diagnosis) => {
    if (tappedEarly.current !== undefined) confirm(tappedEarly.current, diagnosis);
    tappedEarly.current = undefined;
  });
  const diagnosis = judgement?.diagnosis;
  useEffect(() => {
    if (diagnosis) onJudged(diagnosis);
  }, [diagnosis]);
  const go = (): void => {
    if (next?.confirms !== undefined) {
      if (judgement) confirm(next.confirms, judgement.diagnosis);
      else tappedEarly.current = next.confirms;
    } else if (path !== undefined) {
      void navigate(path);
      bringIntoView(next?.at);
    }
  };
  const onKey = useEffectEvent((event: KeyboardEvent): void => {
    if (event.key !== 'n' || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName)) return;
    if (canWork && !open.sealed) go();
  });
  useEffect(() => {
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  const onDue = useEffectEvent(() => {
    onLed();
    if (path !== undefined) void navigate(path);
  });
  useEffect(() => {
    if (leadsOn) onDue();
  }, [leadsOn]);
  const [unfolded, setUnfolded] = useState(false);
  if (open.sealed || !canWork) return null;
  if (!next)
    return (
      <section aria-label={wording.nextStep} className={`${AT_HAND} px-3 sm:px-4 min-h-16 content-center`}>
        <p className="text-ink2">{judgement ? wording.nothingLeftToDo : wording.workingOutTheNextStep}</p>
      </section>
    );
  const minutes = step?.minutes;
  const then = after.slice(0, THEN_SHOWN).map((step) => ({ step, told: tell(step, open.derived) }));
  return (
    <section
      aria-label={wording.nextStep}
      className={`${AT_HAND} px-3 sm:px-4 py-1 grid grid-cols-[1fr_auto] gap-x-3 gap-y-1 items-center shrink-0`}
    >
      <div className="min-w-0 flex flex-wrap lg:flex-nowrap items-center gap-x-3">
        <div className="min-w-0 grow basis-60">
          <p className="leading-tight">
            <span className="text-sm text-ink2 mr-2">{list.next}</span>
            <span className="font-head font-semibold text-lg">{next.title}</span>
            {minutes === undefined ? null : <span className="figure-text ml-2">{common.min(minutes)}</span>}
          </p>
          <p className={`text-sm text-ink2 leading-snug ${unfolded ? '' : 'max-lg:hidden'}`}>{next.why}</p>
        </div>
        {then.length > 0 ? (
          <button
            className="min-h-11 text-sm text-left underline underline-offset-4 decoration-1 max-lg:min-h-8 lg:max-w-md lg:truncate lg:shrink-0"
            aria-expanded={unfolded}
            onClick={() => setUnfolded(!unfolded)}
          >
            {unfolded ? (
              wording.fold
            ) : (
              <>
                <span className="lg:hidden">{wording.whyAndWhatThen}</span>
                <span className="max-lg:hidden">{wording.then(then[0]?.told.title ?? '')}</span>
              </>
            )}
          </button>
        ) : null}
      </div>
      <Button weight="main" className="max-sm:px-3 max-sm:text-base" aria-keyshortcuts="n" onClick={go}>
        {next.act}
      </Button>
      {unfolded ? (
        <ol className="col-span-2 border-t-2 border-rule" aria-label={wording.thenTitle}>
          {then.map(({ step, told }) => (
            <li key={`${step.do} ${step.id ?? ''}`} className="border-b-2 border-rule last:border-b-0">
              <button
                className="text-left min-h-11 w-full hover:bg-card leading-snug"
                onClick={() => void navigate(pathOf(jobId, told))}
              >
                <span className="font-head font-semibold">{told.title}</span>
                {step.minutes === undefined ? null : (
                  <span className="figure-text ml-2">{common.min(step.minutes)}</span>
                )}
                <span className="text-sm text-ink2 ml-3">{told.why}</span>
              </button>
            </li>
          ))}
        </ol>
      ) : null}
    </section>
  );
});

const pathOf = (jobId: string, { stage, check, page }: Told): string =>
  page !== undefined
    ? `/jobs/${jobId}/${page}`
    : `/jobs/${jobId}?stage=${stage}${check === undefined ? '' : `&check=${check}`}`;
