import * as wording from '@white-ember/core/words/screens/treatment';
import type { JobState } from '@white-ember/core/job';
import { type OpenJob } from '../../job/useJob.ts';
import { useWords } from '../../data/words.ts';
import {
  entriesOfKind,
  type EntryOf,
  type Treatment,
  type PartId,
  type Stage,
} from '@white-ember/core/ledger';
import { Notice } from '../../ui/Notice.tsx';
import { ClockList } from '../clocks/ClockList.tsx';
import { PartsBefore } from '../intake/PartsBefore.tsx';
import { useCorrecting, type Correcting } from '../../job/useCorrecting.ts';
import type { StageProps } from '../../job/stageProps.ts';
import { BurnEntry } from './BurnEntry.tsx';
import { ChemicalClean } from './ChemicalClean.tsx';
import { OffVehicle } from './offVehicle/OffVehicle.tsx';
import { TemporaryRepairs } from './TemporaryRepairs.tsx';
import { WorkForm } from './WorkForm.tsx';
import { atMost } from '../../ui/format.ts';

export function TreatPanel({
  open,
  canEnter,
  onStage,
  first,
}: StageProps & {
  /** What stands before it. */
  first?: JobState | undefined;
}) {
  const { derived } = open;
  const correcting = useCorrecting(open, 'work');
  const works = entriesOfKind(derived.entries, 'work');
  const treatment = derived.treatment?.body.treatment;
  // Where the work is guided, the form for any work stands folded beside it.
  const guided = canEnter && treatment !== undefined && treatment !== 'nothing';
  const dwell =
    canEnter && treatment === 'chemical'
      ? derived.clocks.find(({ clock, endedMs }) => clock === 'dwell' && endedMs === undefined)
      : undefined;
  return (
    <div className={`grid gap-6 ${guided ? 'xl:grid-cols-[1.9fr_1fr]' : 'xl:grid-cols-[1.2fr_1fr]'}`}>
      <ActOfTreatment
        burns={first?.is === 'burning' || first?.is === 'on-the-road'}
        canEnter={canEnter}
        treatment={treatment}
        open={open}
        onStage={onStage}
        derived={derived}
        guided={guided}
        correcting={correcting}
      />
      <section className="grid gap-6 content-start">
        <DoneSoFar works={works} />
        <ClockList
          open={open}
          canEnter={canEnter}
          elsewhere={first?.is === 'waiting' ? first.clock : dwell}
        />
        <TemporaryRepairs
          open={open}
          canEnter={canEnter}
          elsewhere={first?.is === 'part' ? first.matter.entry.id : undefined}
        />
        <PartsBefore open={open} canEnter={canEnter} where="here" />
      </section>
    </div>
  );
}

/** What the chosen treatment asks for now. */
function ActOfTreatment({
  canEnter,
  treatment,
  open,
  onStage,
  derived,
  guided,
  correcting,
  burns,
}: {
  /** A burn runs, and stands before all else. */
  burns: boolean;
  canEnter: boolean;
  treatment: Treatment | undefined;
  open: OpenJob;
  onStage: (stage: Stage, part?: PartId) => void;
  derived: OpenJob['derived'];
  guided: boolean;
  correcting: Correcting<'work'> | undefined;
}) {
  return (
    <div className="grid gap-8 content-start">
      {canEnter && treatment === 'chemical' ? <ChemicalClean open={open} onStage={onStage} /> : null}
      {canEnter && (treatment === 'off-vehicle' || treatment === 'exchange') ? (
        <OffVehicle open={open} exchange={treatment === 'exchange'} onStage={onStage} />
      ) : null}
      {canEnter && !burns && (treatment === 'drive' || treatment === 'standing') ? (
        <BurnEntry open={open} kind={treatment} />
      ) : null}
      {!derived.before ? (
        <Notice title={wording.noBeforeReading}>
          {wording.workDoneNowCannotBeProvedLater}{' '}
          <button className="underline underline-offset-4" onClick={() => onStage('baseline')}>
            {wording.takeIt}
          </button>
        </Notice>
      ) : null}
      {guided ? (
        <details className="border-2 border-rule bg-card" open={correcting !== undefined}>
          <summary className="font-head font-semibold min-h-12 px-3 content-center">
            {wording.addOtherWork}
          </summary>
          <div className="p-3 pt-0">
            <WorkForm open={open} />
          </div>
        </details>
      ) : (
        <section className="grid gap-4 content-start">
          <h2 className="text-2xl">{wording.whatIsDone}</h2>
          {canEnter ? <WorkForm open={open} /> : null}
        </section>
      )}
    </div>
  );
}

/** Works of this job. */
function DoneSoFar({ works }: { works: readonly EntryOf<'work'>[] }) {
  const words = useWords();
  return (
    <div>
      <h2 className="text-2xl mb-2">{wording.doneSoFar}</h2>
      {works.length === 0 ? <p className="text-ink2">{wording.nothingYet}</p> : null}
      <ol className="border-t-2 border-ink">
        {works.map((entry) => (
          <li key={entry.id} className="py-2 border-b-2 border-rule">
            <p className="font-head font-semibold">{words.name('works', entry.body.work)}</p>
            <p>{entry.body.what}</p>
            <p className="text-sm text-ink2">
              {words.clock(entry.deviceTime)}, {entry.authorName}
              {entry.body.fluid ? ` · ${entry.body.fluid}` : ''}
              {entry.body.fluidL === undefined ? '' : ` ${words.volume(entry.body.fluidL)}`}
              {entry.body.dwellMin === undefined ? '' : wording.dwellMin(atMost(entry.body.dwellMin, 1))}
              {entry.body.wasteL === undefined ? '' : ` · ${words.volume(entry.body.wasteL)}`}
            </p>
          </li>
        ))}
      </ol>
    </div>
  );
}
