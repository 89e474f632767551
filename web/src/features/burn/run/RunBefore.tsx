import * as wording from '@white-ember/core/words/screens/burn';
import * as common from '@white-ember/core/words/screens/common';
import { spokenNow } from '../../../data/words.ts';
import { useWords } from '../../../data/words.ts';
import { Say } from '../../../ui/Say.tsx';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { baselinePlan, CHANNEL_PRESETS } from '@white-ember/core/readings';
import { Button } from '../../../ui/Button.tsx';
import { CautionCard } from '../../../ui/CautionCard.tsx';
import { Notice } from '../../../ui/Notice.tsx';
import { StateMark } from '../../../ui/StateMark.tsx';
import { useAddEntry } from '../../../job/useAddEntry.ts';
import { useCaution } from '../../../job/useCaution.ts';
import type { OpenJob } from '../../../job/useJob.ts';
import { type LiveSession } from '../../live/liveSession.ts';
import { useLive } from '../../live/useLive.ts';
import { VehicleControls } from '../../live/VehicleControls.tsx';
import { MadeReady, useReadiness } from '../MadeReady.tsx';
import type { Treatments } from '../useTreatments.ts';
import { BURN_ROLES, BurnWatch, type BurnKind } from './burnWatch.ts';
import { beginWatch } from './openWatch.ts';
import { livePreconditions, type Precondition } from './preconditions.ts';
import { TwoPeople } from './TwoPeople.tsx';

const ROUTINES = { standing: 'regenerate-standing', drive: 'regenerate-driving' } as const;
const MARKS = { met: 'sound', 'not-met': 'failed', mind: 'doubtful', 'not-read': 'not-looked-at' } as const;
const FUEL_ROLES = [
  ...new Set(CHANNEL_PRESETS.find(({ id }) => id === 'regeneration')?.roles ?? []),
  'fuelLevel',
] as const;

interface BeforeProps {
  readonly open: OpenJob;
  readonly kind: BurnKind;
  readonly treatments: Treatments;
  /** Burns that were made on this job. */
  readonly count: number;
  readonly onBegun: () => void;
}

/** What has to be so before a burn, all in view; it begins when nothing holds it off any more. */
export function RunBefore({ session, ...props }: BeforeProps & { session: LiveSession | undefined }) {
  return session ? <WithLink session={session} {...props} /> : <WithoutLink {...props} />;
}

/** What blocks it whatever the tool: the choice of treatment, the answers, the caution. */
function useHolds({ open, kind, treatments, count }: BeforeProps) {
  const readiness = useReadiness(open, kind);
  // Another burn is another act: its caution is read again.
  const caution = useCaution(open, 'burn', `burn-${count + 1}`);
  const option = treatments.options.find(({ treatment }) => treatment === kind);
  const held = (option?.held ?? []).filter(({ overridable }) => !overridable);
  const free =
    held.length === 0 &&
    readiness.held.length === 0 &&
    readiness.missing.length === 0 &&
    caution.acknowledged &&
    !treatments.forecasting;
  return { readiness, caution, held, free };
}

function Holds({
  open,
  kind,
  treatments,
  holds: { readiness, caution, held },
  live,
}: BeforeProps & { holds: ReturnType<typeof useHolds>; live?: { fuelPercent?: number } }) {
  const words = useWords();
  const { forecast, forecasting, burn } = treatments;
  return (
    <div className="grid gap-4 content-start min-w-0">
      <section aria-label={wording.whatBlocksIt} className="grid gap-2">
        <h2 className="text-xl border-b-2 border-ink">{wording.filterAndSoot}</h2>
        {held.map(({ id, text }) => (
          <p key={id} className="border-l-8 border-ember pl-3 font-bold">
            <Say it={text} />
          </p>
        ))}
        {held.length === 0 && !forecasting ? (
          <p className="flex gap-2 items-center">
            <StateMark state="sound" /> {wording.nothingInTheFilterBlocksIt}
          </p>
        ) : null}
        {forecasting ? <p className="text-ink2">{common.calculating}</p> : null}
        {forecast && burn ? (
          <p>
            {wording.upTo} <b className="figure-text">{words.soot(forecast.sootG, 0)}</b>{' '}
            {wording.ofSootTheBedComesTo}{' '}
            <b className="figure-text">{words.temperature(forecast.plannedPeakC)}</b>
            {wording.andTo} <b className="figure-text">{words.temperature(forecast.dropPeakC)}</b>{' '}
            {wording.ifTheEngineDropsToIdleLimit(
              words.temperature(forecast.limitC),
              words.soot(forecast.sootLeftG, 1),
            )}
          </p>
        ) : null}
      </section>
      {kind === 'drive' ? <TwoPeople limits={open.limits} /> : null}
      <MadeReady open={open} treatment={kind} readiness={readiness} {...(live ? { live } : {})} />
      <CautionCard id="burn" acknowledged={caution.acknowledged} onAcknowledge={caution.acknowledge} />
    </div>
  );
}

function WithLink({ session, ...props }: BeforeProps & { session: LiveSession }) {
  const words = useWords();
  const { open, kind, treatments, onBegun } = props;
  const { vehicle, limits, job } = open;
  const state = useLive(session);
  const addEntry = useAddEntry(job.id);
  const holds = useHolds(props);
  const connected = state.link.status === 'connected';
  const streams = FUEL_ROLES.every(
    (role) =>
      !state.channels.some((channel) => channel.role === role && channel.status === 'live') ||
      state.channels.some((channel) => channel.role === role && state.chosen.includes(channel.id)),
  );
  useEffect(() => {
    // A burn is watched by more than the baseline needs; a recording goes on with the channels that it began with.
    if (connected && !streams && !state.recording) void session.choose([...BURN_ROLES, 'fuelLevel']);
  }, [connected, streams, state.recording, session]);
  const preconditions = livePreconditions(
    kind,
    limits,
    connected ? session.latest : () => undefined,
    state.codes,
    words,
  );
  const unmet = preconditions.filter((one) => one.state === 'not-met');
  const offered = state.routines.some(({ id }) => id === ROUTINES[kind]);
  const begin = async (byLink: boolean): Promise<void> => {
    if (byLink) {
      const answer = await session.command(ROUTINES[kind]);
      if (answer?.status !== 'running') return;
    }
    beginWatch(
      new BurnWatch(session, {
        jobId: job.id,
        kind,
        limits,
        burn: treatments.burn,
        material: vehicle.filter?.material ?? 'unknown',
        byLink,
      }),
    );
    await addEntry({
      kind: 'work',
      work: kind === 'drive' ? 'drive-regeneration' : 'standing-regeneration',
      begun: true,
      what: byLink ? wording.commandedThroughTheScanLink : wording.commandedByAnotherToolWatchedByThe,
    });
    onBegun();
  };
  return (
    <div className="grid gap-6 lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
      <Holds
        {...props}
        holds={holds}
        {...(session.latest('fuelLevel') === undefined
          ? {}
          : { live: { fuelPercent: session.latest('fuelLevel') as number } })}
      />
      <div className="grid gap-4 content-start min-w-0">
        <section aria-label={wording.atTheVehicleNow} className="grid gap-2">
          <h2 className="text-xl border-b-2 border-ink">{wording.atTheVehicleNow}</h2>
          {state.problem ? <Notice title={state.problem} tone="alarm" /> : null}
          <Conditions list={preconditions} />
          <div className="flex flex-wrap gap-2">
            {connected ? null : (
              <Button onClick={() => void session.connect([...BURN_ROLES, 'fuelLevel'])}>
                {wording.connect}
              </Button>
            )}
            <Button disabled={!connected} onClick={() => void session.readCodes()}>
              {common.readCodes}
            </Button>
          </div>
        </section>
        {offered ? (
          <Button
            weight="main"
            disabled={!holds.free || !connected || unmet.length > 0}
            onClick={() => void begin(true)}
          >
            {wording.startTheRegeneration}
          </Button>
        ) : null}
        <Button
          weight={offered ? 'plain' : 'main'}
          disabled={!holds.free || !connected}
          onClick={() => void begin(false)}
        >
          {wording.anotherToolStartedItWatchItHere}
        </Button>
        {holds.free && unmet.length === 0 ? null : (
          <p className="text-ink2">
            {unmet.length > 0
              ? wording.notYet(unmet.map(({ label }) => label.toLowerCase()).join(', '))
              : wording.firstAnswerReadAndFixEverythingOn}
          </p>
        )}
        {state.routine?.status === 'refused' ? (
          <Notice title={spokenNow(state.routine.text)} tone="alarm" />
        ) : null}
        <details className="border-2 border-rule bg-card">
          <summary className="font-head font-semibold min-h-12 px-3 content-center">
            {wording.keyPedalAndRoad}
          </summary>
          <VehicleControls
            session={session}
            state={state}
            plan={baselinePlan(vehicle.displacementL, limits.coolantWarmC)}
          />
        </details>
      </div>
    </div>
  );
}

export function Conditions({ list }: { list: readonly Precondition[] }) {
  return (
    <ul className="grid" aria-label={wording.preconditions}>
      {list.map(({ label, state, text }) => (
        <li
          key={label}
          className="grid grid-cols-[auto_1fr] gap-x-3 py-1.5 border-b-2 border-rule items-center"
        >
          <StateMark state={MARKS[state]} />
          <span>
            <b className="font-head">{label}</b>{' '}
            <span className={state === 'not-met' ? 'text-ember-text font-bold' : 'text-ink2'}>{text}</span>
          </span>
        </li>
      ))}
    </ul>
  );
}

/** No link on this device: another tool commands, and what it shows is typed here. */
function WithoutLink(props: BeforeProps) {
  const words = useWords();
  const { open, kind, onBegun } = props;
  const addEntry = useAddEntry(open.job.id);
  const holds = useHolds(props);
  const begin = async (): Promise<void> => {
    const wrong = await addEntry({
      kind: 'work',
      work: kind === 'drive' ? 'drive-regeneration' : 'standing-regeneration',
      begun: true,
      what: wording.commandedByAnotherToolReadByHand,
    });
    if (!wrong) onBegun();
  };
  return (
    <div className="grid gap-6 lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
      <Holds {...props} holds={holds} />
      <div className="grid gap-4 content-start min-w-0">
        <h2 className="text-xl border-b-2 border-ink">{wording.whoReads}</h2>
        <p>{wording.withLiveValuesTheBedIsEstimated}</p>
        <Link
          to={`/jobs/${open.job.id}/live`}
          className="font-head font-semibold min-h-14 px-4 border-2 border-ink rounded-sm inline-flex items-center justify-center"
        >
          {wording.connectToTheVehicle}
        </Link>
        <p>
          {wording.orCommandItWithAnotherToolAnd(
            kind === 'standing'
              ? wording.standing
              : common.at(
                  words.span(
                    words.speed(open.limits.driveLowKmPerH),
                    words.speed(open.limits.driveHighKmPerH),
                  ),
                ),
          )}
        </p>
        <Button weight="main" disabled={!holds.free} onClick={() => void begin()}>
          {wording.startedReadByHand}
        </Button>
        {holds.free ? null : <p className="text-ink2">{wording.firstAnswerReadAndFixEverythingOn}</p>}
      </div>
    </div>
  );
}
