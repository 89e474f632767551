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
            Watch ended: see the result
          </Button>
        ) : (
          <Seen watch={watch} />
        )
      }
    >
      {!session ? (
        <Notice title="The simulated vehicle was removed: no live values" tone="alarm">
          <Button onClick={onDone}>End the watch</Button>
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
          Not stopped: <Say it={state.refused} /> Stop it with the tool or at the vehicle; keep the revs up.
        </p>
      ) : null}
      <Button
        weight="main"
        onClick={() => watch.stop(judged.broken ? spokenNow(judged.broken.label) : 'Stopped by hand')}
      >
        {watch.facts.byLink ? 'Stop dosing, keep the revs up' : 'I have stopped the dosing'}
      </Button>
      {watch.facts.byLink && (state.refused !== undefined || state.away) ? (
        <Button onClick={() => watch.stopped('Stopped at the vehicle')}>
          I have stopped it at the vehicle
        </Button>
      ) : null}
      {watch.facts.byLink ? null : <Button onClick={watch.ended}>The tool reports the end</Button>}
      <Seen watch={watch} />
    </>
  );
}

function Seen({ watch }: { watch: BurnWatch }) {
  return (
    <div className="flex gap-2">
      <Button className="grow" onClick={() => watch.see('oilSmoke')}>
        Blue smoke
      </Button>
      <Button className="grow" onClick={() => watch.see('fire')}>
        Flames
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
          title={`${state.link.status === 'lost' ? spokenNow(state.link.text) : 'Link lost.'} No live values and no remote stop: keep the revs up, stop dosing with the tool.`}
          tone="alarm"
        >
          <Button onClick={() => void session.connect([])}>Reconnect</Button>
        </Notice>
      )}
      {state.routine && state.link.status === 'connected' ? (
        <p className="text-ink2" role="status">
          The ECU reports: <Say it={state.routine.text} />
        </p>
      ) : null}
      <details className="border-2 border-rule bg-card">
        <summary className="font-head font-semibold min-h-12 px-3 content-center">
          Key, pedal and road
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
