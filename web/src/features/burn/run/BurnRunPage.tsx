import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/burn';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { burnsOf } from '@white-ember/core/treatment';
import { useSessionQuery } from '../../../data/api.ts';
import { Button } from '../../../ui/Button.tsx';
import { Notice } from '../../../ui/Notice.tsx';
import type { OpenJob } from '../../../job/useJob.ts';
import { WithJob } from '../../../job/WithJob.tsx';
import { useSessionOf } from '../../live/openSession.ts';
import { useTreatments } from '../useTreatments.ts';
import { BurnsBefore } from './BurnsBefore.tsx';
import type { BurnKind } from './burnWatch.ts';
import { HandBurn } from './HandBurn.tsx';
import { LiveBurn } from './LiveBurn.tsx';
import { endWatch, useBurnWatch, useWatchState } from './openWatch.ts';
import { RunBefore } from './RunBefore.tsx';

/** A regeneration that is commanded: what has to be so before it, what it does, when to stop it, until the bed is cool. */
export function BurnRunPage() {
  const { jobId = '' } = useParams();
  return <WithJob jobId={jobId}>{(open) => <Desk open={open} />}</WithJob>;
}

function Desk({ open }: { open: OpenJob }) {
  const { job, vehicle, derived } = open;
  const [params, setParams] = useSearchParams();
  const chosen = derived.treatment?.body.treatment;
  const kind: BurnKind =
    (params.get('kind') ?? (chosen === 'drive' ? 'drive' : 'standing')) === 'drive' ? 'drive' : 'standing';
  const role = useSessionQuery().data?.member?.role;
  const canEnter = role !== 'viewer' && !derived.signedOff;
  const session = useSessionOf(job.id);
  const treatments = useTreatments(open);
  const watch = useBurnWatch();
  const mine = watch?.facts.jobId === job.id ? watch : undefined;
  const state = useWatchState(mine);
  const burns = burnsOf(derived.entries);
  const last = burns.at(-1);
  const running = last?.goesOn ? last : undefined;
  const [another, setAnother] = useState(false);
  return (
    <main className="p-3 sm:p-4 grid gap-4 min-w-0 content-start max-w-[1600px]">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-2xl">
          {kind === 'drive' ? common.driveRegeneration : common.parkedRegeneration}
        </h1>
        <Link
          to={`/jobs/${job.id}?stage=treat`}
          className="underline underline-offset-4 min-h-11 inline-flex items-center"
        >
          {common.job(vehicle.plate, vehicle.model, job.number)}
        </Link>
        {mine || running ? null : (
          <Button
            weight="quiet"
            onClick={() => setParams({ kind: kind === 'drive' ? 'standing' : 'drive' }, { replace: true })}
          >
            {kind === 'drive' ? wording.parkedInstead : wording.onADriveInstead}
          </Button>
        )}
      </div>
      {mine && state ? (
        <LiveBurn open={open} session={session} watch={mine} state={state} onDone={endWatch} />
      ) : running && canEnter ? (
        <HandBurn open={open} run={running} burn={treatments.burn} />
      ) : (
        <>
          <BurnsBefore open={open} treatments={treatments} onAnother={() => setAnother(true)} />
          {!canEnter ? (
            <Notice title={wording.nothingCanBeStartedHere}>
              {derived.signedOff ? wording.theJobIsSignedOff : wording.youMayViewButNotEdit}
            </Notice>
          ) : burns.length === 0 || another ? (
            <RunBefore
              open={open}
              kind={kind}
              session={session}
              treatments={treatments}
              count={burns.length}
              onBegun={() => setAnother(false)}
            />
          ) : null}
        </>
      )}
    </main>
  );
}
