import * as wording from '@white-ember/core/words/screens/live';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import type { BaselinePlan } from '@white-ember/core/readings';
import { Button } from '../../ui/Button.tsx';
import type { LiveSession } from './liveSession.ts';
import type { LiveState } from './liveState.ts';

const PACES = [1, 4, 15, 60] as const;

/** The key that does the same. */
const Key = ({ of }: { of: string }) => (
  <span aria-hidden className="text-sm text-ink2 font-text ml-1">
    {of}
  </span>
);

/** Key, pedal and road of the simulated vehicle. */
export function VehicleControls({
  session,
  state,
  plan,
}: {
  session: LiveSession;
  state: LiveState;
  plan: BaselinePlan;
}) {
  const words = useWords();
  const { vehicle, pace } = state;
  const pedal = Math.round(100 * (vehicle?.pedal ?? 0));
  return (
    <section aria-label={wording.atTheVehicle} className="grid gap-2 border-2 border-rule bg-card p-3">
      <h2 className="text-xl">{wording.atTheVehicle}</h2>
      <p className="figure-text" role="status">
        {!vehicle?.ignition
          ? wording.ignitionOff
          : !vehicle.running
            ? wording.ignitionOnEngineOff
            : wording.engineAtRpm(
                Math.round(vehicle.rpm / 10) * 10,
                vehicle.kmPerH > 1 ? `, ${words.speed(vehicle.kmPerH)}` : '',
              )}
      </p>
      <RunButtons session={session} plan={plan} />
      <label className="grid gap-1">
        <span className="font-head font-semibold">{wording.pedal(pedal)}</span>
        <input
          type="range"
          min={0}
          max={100}
          step={1}
          value={pedal}
          className="h-11 w-full accent-(--ember)"
          onChange={(event) => session.drive({ do: 'pedal', pedal: Number(event.target.value) / 100 })}
        />
      </label>
      <SpeedHold state={state} session={session} />
      <TimePace pace={pace} session={session} />
    </section>
  );
}

/** How fast the simulated time goes. */
function TimePace({ pace, session }: { pace: number; session: LiveSession }) {
  return (
    <div role="group" aria-label={common.time} className="flex items-center gap-1 flex-wrap">
      <span className="font-head font-semibold mr-1">{common.time}</span>
      {PACES.map((times, i) => (
        <button
          key={times}
          type="button"
          aria-pressed={pace === times}
          aria-keyshortcuts={String(i + 1)}
          className="min-h-11 min-w-11 px-3 font-head font-semibold border-2 border-ink aria-pressed:bg-ink aria-pressed:text-paper"
          onClick={() => session.setPace(times)}
        >
          ×{times}
        </button>
      ))}
    </div>
  );
}

/** The engine speed that is held. */
function SpeedHold({ state, session }: { state: LiveState; session: LiveSession }) {
  return (
    <label className="grid gap-1">
      <span className="font-head font-semibold">
        {wording.load(state.grade === 0 ? wording.levelRoad : wording.uphill(Math.round(100 * state.grade)))}
      </span>
      <input
        type="range"
        min={0}
        max={12}
        step={1}
        value={Math.round(100 * state.grade)}
        className="h-11 w-full accent-(--ember)"
        onChange={(event) => session.setGrade(Number(event.target.value) / 100)}
      />
    </label>
  );
}

/** Ignition and engine. */
function RunButtons({ session, plan }: { session: LiveSession; plan: BaselinePlan }) {
  const words = useWords();
  return (
    <div className="grid grid-cols-2 gap-1.5 [&>button]:px-1">
      <Button aria-keyshortcuts="k" onClick={() => session.drive({ do: 'key-on' })}>
        {wording.keyOn} <Key of="K" />
      </Button>
      <Button aria-keyshortcuts="s" onClick={() => session.drive({ do: 'start' })}>
        {wording.start} <Key of="S" />
      </Button>
      <Button aria-keyshortcuts="i" onClick={() => session.drive({ do: 'idle' })}>
        {common.idle} <Key of="I" />
      </Button>
      <Button aria-keyshortcuts="n" onClick={() => session.drive({ do: 'snap', pedal: 0.8 })}>
        {wording.snap} <Key of="N" />
      </Button>
      <Button aria-keyshortcuts="j" onClick={() => session.drive({ do: 'hold', rpm: plan.lowRpm })}>
        {common.hold(plan.lowRpm)} <Key of="J" />
      </Button>
      <Button aria-keyshortcuts="h" onClick={() => session.drive({ do: 'hold', rpm: plan.highRpm })}>
        {common.hold(plan.highRpm)} <Key of="H" />
      </Button>
      <Button onClick={() => session.drive({ do: 'cruise', kmPerH: 70 })}>
        {wording.drive(words.speed(70))}
      </Button>
      <Button onClick={() => session.drive({ do: 'pull', gear: 3 })}>{wording.fullLoad}</Button>
      <Button className="col-span-2" aria-keyshortcuts="o" onClick={() => session.drive({ do: 'off' })}>
        {wording.ignitionOff} <Key of="O" />
      </Button>
    </div>
  );
}
