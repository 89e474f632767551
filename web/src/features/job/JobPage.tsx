import * as wording from '@white-ember/core/words/screens/job';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import { useEffect, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { STAGES, type Stage, stageOf } from '@white-ember/core/job';
import { entriesOfKind, FLUID_ENTRIES, type Entry, type PartId } from '@white-ember/core/ledger';
import { useSessionQuery } from '../../data/api.ts';
import { Button } from '../../ui/Button.tsx';
import { Later } from '../../ui/Later.tsx';
import { useStable } from '../../ui/useStable.ts';
import { useWide } from '../../ui/useWide.ts';
import { Notice } from '../../ui/Notice.tsx';
import { useAppDispatch, useAppSelector } from '../../data/store.ts';
import { preferred } from '../../data/preferences.ts';
import { ExhaustLine } from '../line/ExhaustLine.tsx';
import { LineStrip } from '../line/LineStrip.tsx';
import { Tape } from '../tape/Tape.tsx';
import { LedgerSheet } from '../ledger/LedgerSheet.tsx';
import { EntrySheet } from '../ledger/EntrySheet.tsx';
import { NextStep } from './NextStep.tsx';
import { StageBar } from './StageBar.tsx';
import { StageWork } from './StageWork.tsx';
import type { OpenJob } from '../../job/useJob.ts';
import { WithJob } from '../../job/WithJob.tsx';
import { stageToOpen } from './StateNow.tsx';
import { serverNow } from '../../data/serverClock.ts';
import { useLeadOn } from './useLeadOn.ts';
import { KnownPanel, KnownRow } from './KnownPanel.tsx';

const isStage = (text: string | null): text is Stage => STAGES.some((stage) => stage === text);

export function JobPage() {
  const { jobId = '' } = useParams();
  const [params] = useSearchParams();
  const asked = Number(params.get('at') ?? Number.NaN);
  return (
    <WithJob jobId={jobId} at={Number.isFinite(asked) ? asked : undefined}>
      {(open) => <OpenJobPage open={open} />}
    </WithJob>
  );
}

/** Where on top (the line), when below (the tape), what now in the middle, why at the right. */
function OpenJobPage({ open }: { open: OpenJob }) {
  const words = useWords();
  const { derived, whole, all, vehicle, job, waiting, at } = open;
  const [params, setParams] = useSearchParams();
  const [entry, setEntry] = useState<Entry | undefined>(undefined);
  const [listing, setListing] = useState(false);
  const wholeLine = useAppSelector((state) => state.preferences.wholeLine === true);
  const dispatch = useAppDispatch();
  const session = useSessionQuery();
  const asked = params.get('stage');
  const opensAt = useMemo(() => stageToOpen(open, serverNow()), [open]);
  const stage: Stage = isStage(asked) ? asked : opensAt;
  const part = (params.get('part') ?? undefined) as PartId | undefined;
  // Where the fluid goes in stands on the line while it is worked on.
  const fluidEntry = FLUID_ENTRIES.find((one) => one === params.get('in'));
  // Stage by stage only the work in the middle is drawn anew: what is around it is handed the same callbacks.
  const go = useStable((next: Stage, withPart?: PartId) =>
    setParams((old) => {
      const moment = old.get('at');
      return { stage: next, ...(withPart ? { part: withPart } : {}), ...(moment ? { at: moment } : {}) };
    }),
  );
  const toPart = useStable((id: PartId) => go('checks', id));
  const list = useStable(() => setListing(true));
  const toEntry = useStable((chosen: Entry) => {
    setEntry(chosen);
    const its = stageOf(chosen);
    if (its) go(its);
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName))
        return;
      const next = STAGES[Number(event.key) - 1];
      if (next) go(next);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [go]);
  const distance = useMemo(
    () => entriesOfKind(derived.entries, 'complaint').at(-1)?.body.distanceKm,
    [derived.entries],
  );
  const canWork = session.data?.member?.role !== 'viewer';
  const lookAt = useStable((ms: number | undefined) =>
    setParams(
      (old) => {
        const next = new URLSearchParams(old);
        if (ms === undefined) next.delete('at');
        else next.set('at', String(Math.round(ms)));
        return next;
      },
      { replace: true },
    ),
  );
  const wide = useWide();
  const { lead, due, led } = useLeadOn(open);
  const canEnter = canWork && at === undefined && (!derived.signedOff || stage === 'hand-over');
  return (
    <div className="grow flex flex-col max-lg:pb-44 lg:h-[calc(100dvh-48px-var(--ringing,0px))] lg:min-h-[640px]">
      {wide ? null : <StageBar stage={stage} onStage={go} />}
      <section
        aria-label={wording.exhaustLine}
        className={`bg-card border-b-2 border-rule shrink-0 ${wholeLine ? '' : 'lg:flex lg:items-center'}`}
      >
        <div
          className={`px-3 sm:px-4 flex gap-x-4 items-center min-w-0 ${wholeLine ? '' : 'lg:shrink-0 lg:grid lg:grid-cols-[1fr_auto] lg:gap-y-0 lg:w-[21rem]'}`}
        >
          <h1 className="text-xl leading-tight whitespace-nowrap">{vehicle.plate}</h1>
          <p
            className={`text-sm sm:text-base leading-tight min-w-0 flex ${wholeLine ? '' : 'lg:row-start-2 lg:text-sm'}`}
          >
            <Link
              to={`/vehicles/${vehicle.id}`}
              className="underline underline-offset-4 decoration-1 truncate"
            >
              {vehicle.model}
            </Link>
            {/* The number is what is asked for on the telephone: the model gives way to it. */}
            <span className="shrink-0 whitespace-pre">
              {distance === undefined ? '' : ` · ${words.distance(distance)}`}
              {wording.jobWithNumber(job.number)}
              {derived.signedOff ? wording.signedOffWithin : ''}
            </span>
          </p>
          <p className={`text-sm text-ink2 truncate min-w-0 ${wholeLine ? 'max-md:hidden' : 'hidden'}`}>
            {vehicle.filter
              ? `${vehicle.filter.name}, ${words.length(vehicle.filter.diameterMm)} × ${words.length(vehicle.filter.lengthMm)}, ${vehicle.filter.basis}`
              : wording.filterSizeNotKnown}
          </p>
          <button
            type="button"
            className={`text-sm underline underline-offset-4 decoration-1 min-h-11 shrink-0 ml-auto ${wholeLine ? '' : 'lg:col-start-2 lg:row-start-1 lg:row-span-2'}`}
            aria-expanded={wholeLine}
            onClick={() => dispatch(preferred({ wholeLine: !wholeLine }))}
          >
            {wholeLine ? wording.asAStrip : wording.drawIt}
            <span className="sr-only">{wholeLine ? '' : wording.theWholeLine}</span>
          </button>
        </div>
        {wholeLine ? (
          <div
            className="relative overflow-x-auto px-1"
            tabIndex={0}
            role="group"
            aria-label={wording.lineDrawnWholeScrollsSideways}
          >
            <ExhaustLine
              vehicle={vehicle}
              derived={derived}
              selected={part}
              fluidEntry={fluidEntry}
              onPart={toPart}
            />
          </div>
        ) : (
          <LineStrip
            vehicle={vehicle}
            derived={derived}
            selected={part}
            fluidEntry={fluidEntry}
            onPart={toPart}
          />
        )}
      </section>
      {wide ? null : <KnownRow open={open} canWork={canWork && at === undefined} />}
      {at === undefined ? <NextStep open={open} canWork={canWork} leadsOn={due} onLed={led} /> : null}
      <div className="grow min-h-0 grid lg:grid-cols-[1fr_auto]">
        <main key={stage} className="relative min-h-0 lg:overflow-auto p-4" tabIndex={-1}>
          {at === undefined ? null : (
            <div className="mb-4">
              <Notice title={wording.asKnownOn(words.moment(at))}>
                {wording.nothingCanBeEnteredHere}{' '}
                <Button weight="quiet" className="px-0" onClick={() => lookAt(undefined)}>
                  {wording.backToNow}
                </Button>
              </Notice>
            </div>
          )}
          <section aria-label={common.work}>
            <Later>
              {() => (
                <StageWork
                  key={`${stage} ${params.get('correct') ?? ''}`}
                  open={open}
                  stage={stage}
                  part={part}
                  canEnter={canEnter}
                  onStage={go}
                  onLead={lead}
                />
              )}
            </Later>
          </section>
        </main>
        {wide ? <KnownPanel open={open} canWork={canWork && at === undefined} /> : null}
      </div>
      <Tape
        derived={whole}
        at={at}
        onAt={lookAt}
        onLedger={list}
        stage={stage}
        waiting={waiting}
        selected={entry?.id}
        onStage={go}
        onEntry={toEntry}
      />
      <LedgerSheet
        entries={all}
        open={listing}
        onOpenChange={setListing}
        onEntry={(chosen) => {
          setListing(false);
          setEntry(chosen);
        }}
      />
      <EntrySheet
        entry={entry}
        onCorrect={(chosen, its) => {
          setEntry(undefined);
          setParams({ stage: its, correct: chosen.id });
        }}
        job={job}
        canWork={canWork}
        onClose={() => setEntry(undefined)}
      />
    </div>
  );
}
