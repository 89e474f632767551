import * as wording from '@white-ember/core/words/screens/live';
import { recording } from '@white-ember/core/words/screens/app';
import * as common from '@white-ember/core/words/screens/common';
import { spokenNow } from '../../data/words.ts';
import { useEffect, useMemo } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { stepTitle } from '@white-ember/core/job';
import { baselinePlan, CHANNEL_PRESETS, rateAdvice } from '@white-ember/core/readings';
import { useSessionQuery } from '../../data/api.ts';
import { useAppSelector } from '../../data/store.ts';
import { Button } from '../../ui/Button.tsx';
import { CautionCard } from '../../ui/CautionCard.tsx';
import { withUnit, fixed } from '../../ui/format.ts';
import { Notice } from '../../ui/Notice.tsx';
import { Say } from '../../ui/Say.tsx';
import type { BenchSetup } from '../../workers/benchWorker.ts';
import { useCaution } from '../../job/useCaution.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { WithJob } from '../../job/WithJob.tsx';
import { useJudgement } from '../diagnosis/useDiagnosis.ts';
import { useLogs } from '../readings/logs/useLogs.ts';
import { clockText } from '../readings/logs/traceLanes.ts';
import { ArmsLength } from './ArmsLength.tsx';
import { BaselineSteps } from './BaselineSteps.tsx';
import { BenchSetupForm } from './BenchSetupForm.tsx';
import { ChannelPicker } from './ChannelPicker.tsx';
import { HandsOn } from './HandsOn.tsx';
import type { LiveFacts } from './liveLimits.ts';
import { LiveSession } from './liveSession.ts';
import { useLive } from './useLive.ts';
import { LiveWarmUp } from './LiveWarmUp.tsx';
import { LiveTraces } from './LiveTraces.tsx';
import { ModulePanel } from './ModulePanel.tsx';
import { beginSession, endSession, useSessionOf } from './openSession.ts';
import { recordingStore, type KeptRecording } from './recordingStore.ts';
import { useRecordings } from './useRecordings.ts';
import { ValueTiles } from './ValueTiles.tsx';
import { VehicleControls } from './VehicleControls.tsx';

const BASELINE_CHANNELS = CHANNEL_PRESETS.find(({ id }) => id === 'baseline')?.roles ?? [];

/** Live values of a job's vehicle: watched, recorded, and guided through the baseline. */
export function LivePage() {
  const { jobId = '' } = useParams();
  return <WithJob jobId={jobId}>{(open) => <Live open={open} />}</WithJob>;
}

function Live({ open }: { open: OpenJob }) {
  const { job, vehicle, limits } = open;
  const session = useSessionOf(job.id);
  const start = (setup: BenchSetup): void =>
    beginSession(new LiveSession(job.id, setup, vehicle.displacementL, limits.coolantWarmC));
  return (
    <main className="p-3 sm:p-4 grid gap-3 min-w-0 content-start">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-2xl">{wording.liveValues}</h1>
        <Link
          to={`/jobs/${job.id}`}
          className="underline underline-offset-4 min-h-11 inline-flex items-center"
        >
          {common.job(vehicle.plate, vehicle.model, job.number)}
        </Link>
      </div>
      <OnThisDevice open={open} session={session} />
      {session ? (
        <LiveDesk open={open} session={session} />
      ) : (
        <BenchSetupForm family={vehicle.family} displacementL={vehicle.displacementL} onReady={start} />
      )}
    </main>
  );
}

/** Recordings that were ended, or cut off, and are not kept with the job yet. */
function OnThisDevice({ open, session }: { open: OpenJob; session: LiveSession | undefined }) {
  const kept = useMemo(() => new Set(open.job.logs.map(({ id }) => id)), [open.job.logs]);
  const { recordings, remove } = useRecordings(open.job.id, kept);
  const logs = useLogs(open);
  const navigate = useNavigate();
  const shown = recordings.filter(({ id }) => id !== session?.get().recording?.id);
  if (shown.length === 0) return null;
  const look = async (recording: KeptRecording): Promise<void> => {
    logs.open([await recordingStore.file(recording)], recording.id);
    await navigate(`/jobs/${open.job.id}/logs?log=${recording.id}`);
  };
  return (
    <ul aria-label={wording.recordingsOnThisDevice} className="grid gap-2">
      {shown.map((recording) => (
        <li key={recording.id}>
          <Notice
            title={wording.areHere(
              recording.ended ? wording.recorded : wording.aRecordingWasCutOff,
              new Date(recording.startedAt).toLocaleString(),
              clockText(recording.seconds),
            )}
          >
            <span className="flex gap-2">
              <Button onClick={() => void look(recording)}>{common.seeTheResult}</Button>
              <Button weight="quiet" onClick={() => remove(recording.id)}>
                {wording.deleteIt}
              </Button>
            </span>
          </Notice>
        </li>
      ))}
    </ul>
  );
}

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName);

function LiveDesk({ open, session }: { open: OpenJob; session: LiveSession }) {
  const { job, vehicle, limits, derived } = open;
  const next = useJudgement(open)?.next;
  const state = useLive(session);
  const [params, setParams] = useSearchParams();
  const navigate = useNavigate();
  const logs = useLogs(open);
  const caution = useCaution(open, 'running-engine', 'live');
  const role = useSessionQuery().data?.member?.role;
  const canRecord = role !== 'viewer' && !derived.signedOff;
  const far = params.get('far') === '1';
  const plan = useMemo(
    () => baselinePlan(vehicle.displacementL, limits.coolantWarmC),
    [vehicle.displacementL, limits.coolantWarmC],
  );
  const facts: LiveFacts = {
    limits,
    geometry: vehicle.filter,
    displacementL: vehicle.displacementL,
    latest: session.latest,
  };
  const setFar = (wanted: boolean): void => setParams(wanted ? { far: '1' } : {}, { replace: true });

  const record = (): void =>
    session.record(
      `${vehicle.plate.replaceAll(' ', '')}-live-${new Date().toISOString().slice(0, 16).replace(/[:T]/g, '-')}.csv`,
    );
  const stop = async (): Promise<void> => {
    const recording = await session.stop();
    if (!recording) return;
    logs.open([await recordingStore.file(recording)], recording.id);
    await navigate(`/jobs/${job.id}/logs?log=${recording.id}`);
  };

  const keys: Readonly<Record<string, () => void>> = {
    k: () => session.drive({ do: 'key-on' }),
    s: () => session.drive({ do: 'start' }),
    i: () => session.drive({ do: 'idle' }),
    n: () => session.drive({ do: 'snap', pedal: 0.8 }),
    j: () => session.drive({ do: 'hold', rpm: plan.lowRpm }),
    h: () => session.drive({ do: 'hold', rpm: plan.highRpm }),
    o: () => session.drive({ do: 'off' }),
    c: () => void session.connect(BASELINE_CHANNELS),
    1: () => session.setPace(1),
    2: () => session.setPace(4),
    3: () => session.setPace(15),
    4: () => session.setPace(60),
    r: () => void (state.recording ? stop() : canRecord && record()),
    f: () => setFar(!far),
    ' ': session.mark,
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const act = keys[event.key.toLowerCase()];
      if (!act || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      // The space bar presses the button that has the focus, everywhere but at arm's length.
      if (event.key === ' ' && !far && event.target instanceof HTMLButtonElement) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });

  const connected = state.link.status === 'connected';
  const slow = rateAdvice(state.hz);
  return (
    <div className="live-desk">
      <div className="[grid-area:vehicle] grid gap-4 content-start min-w-0">
        <VehicleControls session={session} state={state} plan={plan} />
        <HandsOn session={session} state={state} />
        <Button weight="quiet" className="justify-self-start" onClick={endSession}>
          {wording.removeTheSimulatedVehicle}
        </Button>
      </div>
      <div className="[grid-area:values] grid gap-3 content-start min-w-0">
        {state.problem ? <Notice title={state.problem} tone="alarm" /> : null}
        {state.link.status === 'lost' ? (
          <Notice
            title={`${spokenNow(state.link.text)}${state.recording ? wording.theRecordingSoFarIsKeptAnd : ''}`}
            tone="alarm"
          />
        ) : null}
        {state.sleptS === undefined ? null : (
          <Notice
            title={wording.theDeviceSleptForNoValuesIn(
              clockText(state.sleptS),
              state.recording ? wording.theRecordingContinuesWithAGap : '',
            )}
            tone="alarm"
          >
            <Button weight="quiet" onClick={session.sleepSeen}>
              {wording.ok}
            </Button>
          </Notice>
        )}
        <div className="flex flex-wrap gap-2 items-center">
          <Button
            weight={connected ? 'plain' : 'main'}
            aria-keyshortcuts="c"
            onClick={() => void session.connect(BASELINE_CHANNELS)}
          >
            {connected ? wording.connected : wording.connectC}
          </Button>
          {state.channels.length > 0 ? <ChannelPicker session={session} state={state} /> : null}
          <Button aria-keyshortcuts="f" disabled={!connected} onClick={() => setFar(true)}>
            {wording.armsLengthF}
          </Button>
        </div>
        {state.identity ? (
          <p>
            {wording.theToolTakesItForChannelsEach(
              state.identity.vehicle,
              state.chosen.length,
              fixed(state.hz, 1),
              state.identity.vehicle === vehicle.family
                ? ''
                : wording.thisJobsVehicleIsAMindA(vehicle.family),
            )}{' '}
            {slow === undefined ? null : <Say it={slow} />}
          </p>
        ) : (
          <p>{wording.switchTheIgnitionOnThenConnect}</p>
        )}
        <ValueTiles session={session} state={state} facts={facts} />
      </div>
      <div className="[grid-area:traces] grid gap-3 content-start min-w-0">
        <LiveTraces session={session} state={state} />
        <ModulePanel open={open} session={session} state={state} canCommand={canRecord} />
      </div>
      <div className="[grid-area:guide] grid gap-3 content-start min-w-0">
        <CautionCard
          id="running-engine"
          acknowledged={caution.acknowledged}
          onAcknowledge={caution.acknowledge}
        />
        <section className="grid gap-2">
          <h2 className="text-xl">{wording.guidedBaseline}</h2>
          {canRecord ? (
            state.recording ? (
              <>
                <p className="figure-text" role="status">
                  {recording(clockText(state.recording.seconds))}
                </p>
                <Button weight="main" aria-keyshortcuts="r" onClick={() => void stop()}>
                  {wording.endTheRecordingR}
                </Button>
              </>
            ) : (
              <Button
                weight={connected ? 'main' : 'plain'}
                aria-keyshortcuts="r"
                disabled={!connected}
                onClick={record}
              >
                {wording.recordR}
              </Button>
            )
          ) : null}
          <BaselineSteps steps={state.steps} />
        </section>
        <LiveWarmUp open={open} session={session} state={state} />
        <Taken state={state} />
      </div>
      {far ? (
        <ArmsLength
          session={session}
          state={state}
          facts={facts}
          plan={plan}
          next={next && spokenNow(stepTitle(next, false))}
          onClose={() => setFar(false)}
        />
      ) : null}
    </div>
  );
}

const KINDS = { 'engine-off': common.engineOff, idle: 'idle', hold: 'hold', moving: 'moving' } as const;

/** Steady readings that were taken by themselves, and the moments that a person marked. */
function Taken({ state }: { state: ReturnType<LiveSession['get']> }) {
  const unit = useAppSelector((app) => app.preferences.units.pressure);
  if (state.captures.length + state.marks.length === 0) return null;
  return (
    <section className="grid gap-1">
      <h2 className="text-xl">{wording.taken}</h2>
      <ul className="grid">
        {state.captures.map((capture) => (
          <li key={`c${capture.timeS}`} className="flex justify-between gap-2 border-b border-rule py-1">
            <span>
              {KINDS[capture.kind]}
              {capture.kind === 'hold' ? wording.rpm(Math.round(capture.rpm / 10) * 10) : ''}
            </span>
            <span className="figure-text">{withUnit(capture.deltaPMbar, unit)}</span>
          </li>
        ))}
        {state.marks.map((mark, i) => (
          <li key={`m${mark.timeS}`} className="flex justify-between gap-2 border-b border-rule py-1">
            <span>{wording.markRpm(i + 1, Math.round(mark.rpm ?? 0))}</span>
            <span className="figure-text">
              {mark.deltaPMbar === undefined ? '–' : withUnit(mark.deltaPMbar, unit)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
