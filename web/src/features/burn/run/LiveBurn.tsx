import * as wording from '@white-ember/core/words/screens/burn';
import { type BurnState } from '@white-ember/core/treatment';
import { Say } from '../../../ui/Say.tsx';
import { spokenNow } from '../../../data/words.ts';
import { baselinePlan } from '@white-ember/core/readings';
import { Button } from '../../../ui/Button.tsx';
import { Notice } from '../../../ui/Notice.tsx';
import type { OpenJob } from '../../../job/useJob.ts';
import { type LiveSession } from '../../live/liveSession.ts';
import { useLive } from '../../live/useLive.ts';
import { VehicleControls } from '../../live/VehicleControls.tsx';
import type { BurnWatch, WatchState } from './burnWatch.ts';
import { WatchDesk } from './WatchDesk.tsx';

/** A burn that is watched by the live link. */
export function LiveBurn({
  open,
  session,
  watch,
  state,
  onDone,
}: {
  open: OpenJob;
  session: LiveSession | undefined;
  watch: BurnWatch;
  state: WatchState;
  onDone: () => void;
}) {
  const { judged, stoppedAtS } = state;
  const dosing = stoppedAtS === undefined;
  return (
    <WatchDesk
      open={open}
      moments={state.moments}
      judged={judged}
      estimate={state.estimate}
      stoppedAtS={stoppedAtS}
      actions={
        dosing ? (
          <LiveActions state={state} watch={watch} judged={judged} />
        ) : judged.phase === 'cold' ? (
          <Button weight="main" onClick={onDone}>
            {wording.watchEndedSeeTheResult}
          </Button>
        ) : (
          <Seen watch={watch} />
        )
      }
    >
      {!session ? (
        <Notice title={wording.theSimulatedVehicleWasRemovedNo} tone="alarm">
          <Button onClick={onDone}>{wording.endTheWatch}</Button>
        </Notice>
      ) : (
        <LinkState session={session} open={open} />
      )}
    </WatchDesk>
  );
}

/** Stop, or go on to the end. */
function LiveActions({ state, watch, judged }: { state: WatchState; watch: BurnWatch; judged: BurnState }) {
  return (
    <>
      {state.refused ? (
        <p className="text-ember-text font-bold">
          {wording.notStopped} <Say it={state.refused} /> {wording.stopItWithTheToolOrAt}
        </p>
      ) : null}
      <Button
        weight="main"
        onClick={() => watch.stop(judged.broken ? spokenNow(judged.broken.label) : wording.stoppedByHand)}
      >
        {watch.facts.byLink ? wording.stopDosingKeepTheRevsUp : wording.iHaveStoppedTheDosing}
      </Button>
      {watch.facts.byLink && (state.refused !== undefined || state.away) ? (
        <Button onClick={() => watch.stopped(wording.stoppedAtTheVehicle)}>
          {wording.iHaveStoppedItAtTheVehicle}
        </Button>
      ) : null}
      {watch.facts.byLink ? null : <Button onClick={watch.ended}>{wording.theToolReportsTheEnd}</Button>}
      <Seen watch={watch} />
    </>
  );
}

function Seen({ watch }: { watch: BurnWatch }) {
  return (
    <div className="flex gap-2">
      <Button className="grow" onClick={() => watch.see('oilSmoke')}>
        {wording.blueSmoke}
      </Button>
      <Button className="grow" onClick={() => watch.see('fire')}>
        {wording.flames}
      </Button>
    </div>
  );
}

function LinkState({ session, open }: { session: LiveSession; open: OpenJob }) {
  const state = useLive(session);
  return (
    <>
      {state.link.status === 'connected' ? null : (
        <Notice
          title={wording.noLiveValuesAndNoRemoteStop(
            state.link.status === 'lost' ? spokenNow(state.link.text) : wording.linkLost,
          )}
          tone="alarm"
        >
          <Button onClick={() => void session.connect([])}>{wording.reconnect}</Button>
        </Notice>
      )}
      {state.routine && state.link.status === 'connected' ? (
        <p className="text-ink2" role="status">
          {wording.theEcuReports} <Say it={state.routine.text} />
        </p>
      ) : null}
      <details className="border-2 border-rule bg-card">
        <summary className="font-head font-semibold min-h-12 px-3 content-center">
          {wording.keyPedalAndRoad}
        </summary>
        <VehicleControls
          session={session}
          state={state}
          plan={baselinePlan(open.vehicle.displacementL, open.limits.coolantWarmC)}
        />
      </details>
    </>
  );
}
