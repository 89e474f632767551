import * as wording from '@white-ember/core/words/screens/live';
import * as common from '@white-ember/core/words/screens/common';
import type { UnitChoice } from '@white-ember/core/words';
import { Volume2, VolumeX, X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { BaselinePlan } from '@white-ember/core/readings';
import { unitLabel } from '@white-ember/core/quantities';
import { useAppSelector } from '../../data/store.ts';
import { useSpoken } from '../../data/words.ts';
import { withUnit, pressureNumber } from '../../ui/format.ts';
import { clockName } from '../clocks/clockName.ts';
import { leftText } from '../clocks/clocks.ts';
import { useClocks } from '../clocks/useClocks.ts';
import type { Said } from '@white-ember/core/words';
import { Say } from '../../ui/Say.tsx';
import { Cues } from './cues.ts';
import { keepAwake } from './keepAwake.ts';
import { cleanNowMbar, deltaPLimit, type LiveFacts, type LimitNow } from './liveLimits.ts';
import type { LiveSession } from './liveSession.ts';
import type { LiveState } from './liveState.ts';
import { columnsOf, type LiveTrace } from './liveTrace.ts';

/** A foot is in the band within this share of the speed to be held. */
const BAND = 0.05;
const TREND_S = 120;

interface Asked {
  readonly text: Said | string;
  readonly rpm: number | undefined;
}

/** What is to be held now: what the baseline asks for, else the speed that is held. */
function askedFor({ steps }: LiveState, plan: BaselinePlan, next: string | undefined): Asked {
  const now = steps.find(({ state }) => state === 'now');
  const rpm = now?.id === 'hold-low' ? plan.lowRpm : now?.id === 'hold-high' ? plan.highRpm : undefined;
  return {
    text: now?.text ?? (next === undefined ? wording.baselineComplete : wording.baselineCompleteNext(next)),
    rpm,
  };
}

/**
 * For two metres and the sun: a band for the revs, one large figure, two smaller ones. Works by the space bar, any tap, or
 * nothing at all: steady stretches are taken by themselves, with a tone of their own.
 */
export function ArmsLength({
  session,
  state,
  facts,
  plan,
  next,
  onClose,
}: {
  session: LiveSession;
  state: LiveState;
  facts: LiveFacts;
  plan: BaselinePlan;
  /** What is next on the job, once all is read. */
  next: string | undefined;
  onClose: () => void;
}) {
  const { pressure: pressureUnit, temperature: temperatureUnit } = useAppSelector(
    (app) => app.preferences.units,
  );
  const [cues] = useState(() => new Cues());
  const [sound, setSound] = useState(false);
  const [clock] = useClocks();
  const asked = askedFor(state, plan, next);
  const askedWords = useSpoken(asked.text);
  const rpm = session.latest('engineSpeed') ?? 0;
  const deltaP = session.latest('dpfDeltaP');
  const limit = deltaPLimit(facts, pressureUnit);
  const clean = cleanNowMbar(facts);
  const inBand = asked.rpm !== undefined && Math.abs(rpm - asked.rpm) <= BAND * asked.rpm;
  const last = state.captures.at(-1);
  const stage = useRef<HTMLDivElement>(null);

  useEffect(() => {
    stage.current?.focus();
    void stage.current?.requestFullscreen?.().catch(() => undefined);
    const letSleep = keepAwake();
    return () => {
      letSleep();
      if (document.fullscreenElement) void document.exitFullscreen();
    };
  }, []);
  useEffect(() => () => cues.off(), [cues]);
  useEffect(() => {
    if (sound) cues.revs(rpm, asked.rpm);
  }, [cues, sound, rpm, asked.rpm]);
  useEffect(() => {
    if (!sound || !last) return;
    cues.captured(
      wording.revs(
        Math.round(last.rpm / 10) * 10,
        pressureNumber(last.deltaPMbar, pressureUnit),
        pressureUnit === 'mbar' ? wording.millibar : unitLabel(pressureUnit),
      ),
    );
  }, [cues, sound, last, pressureUnit]);

  // What is wanted next, for whoever does not look.
  useEffect(() => {
    if (sound) cues.say(askedWords);
  }, [cues, sound, askedWords]);

  const egt3 = session.latest('egt3') ?? session.latest('egt4');
  return (
    <div
      ref={stage}
      role="dialog"
      aria-modal="true"
      aria-label={wording.armsLengthView}
      tabIndex={-1}
      className="fixed inset-0 z-40 bg-card text-ink grid grid-rows-[auto_minmax(0,1fr)_auto] outline-none select-none"
      onPointerDown={(event) => {
        if (!(event.target as HTMLElement).closest('button')) session.mark();
      }}
    >
      <AskedSpeed asked={asked} rpm={rpm} inBand={inBand} />
      <BigFigure
        deltaP={deltaP}
        pressureUnit={pressureUnit}
        limit={limit}
        clean={clean}
        session={session}
        state={state}
      />
      <div className="border-t-2 border-ink p-3 sm:px-10 flex flex-wrap gap-x-12 gap-y-2 items-end justify-between">
        <p>
          <span className="block text-lg text-ink2">{wording.lastSteadyReading}</span>
          <span className="figure-text text-4xl sm:text-5xl">
            {last ? withUnit(last.deltaPMbar, pressureUnit) : '–'}
          </span>
          {last ? <span className="text-xl"> {wording.atRpm(Math.round(last.rpm / 10) * 10)}</span> : null}
        </p>
        <p>
          <span className="block text-lg text-ink2">{common.beforeTheFilter}</span>
          <span className="figure-text text-4xl sm:text-5xl">
            {egt3 === undefined ? '–' : withUnit(egt3, temperatureUnit)}
          </span>
        </p>
        {clock ? (
          <p role="timer" aria-label={wording.on(clockName(clock), clock.plate, leftText(clock.leftMs))}>
            <span className="block text-lg text-ink2">
              {wording.onWithWhat(clockName(clock).toLowerCase(), clock.plate)}
            </span>
            <span className="figure-text text-4xl sm:text-5xl">{leftText(clock.leftMs)}</span>
          </p>
        ) : null}
        <ArmsButtons
          sound={sound}
          cues={cues}
          setSound={setSound}
          onClose={onClose}
          session={session}
          state={state}
        />
      </div>
      <p className="sr-only" role="status">
        {last
          ? wording.takenAtRpm(withUnit(last.deltaPMbar, pressureUnit), Math.round(last.rpm))
          : wording.noReadingsYet}
      </p>
    </div>
  );
}

/** Sound, capture, close. */
function ArmsButtons({
  sound,
  cues,
  setSound,
  onClose,
  session,
  state,
}: {
  sound: boolean;
  cues: Cues;
  setSound: (value: boolean) => void;
  onClose: () => void;
  session: LiveSession;
  state: LiveState;
}) {
  return (
    <div className="flex gap-2">
      <button
        type="button"
        className="size-16 grid place-items-center border-2 border-ink"
        aria-pressed={sound}
        aria-label={wording.toneAndSpeech}
        onClick={() => {
          if (sound) cues.off();
          else cues.on();
          setSound(!sound);
        }}
      >
        {sound ? <Volume2 aria-hidden size={30} /> : <VolumeX aria-hidden size={30} />}
      </button>
      <button
        type="button"
        className="size-16 grid place-items-center border-2 border-ink"
        aria-label={wording.leaveTheArmsLengthViewF}
        aria-keyshortcuts="f"
        onClick={onClose}
      >
        <X aria-hidden size={30} />
      </button>
      <button
        type="button"
        className="min-h-16 px-6 bg-ink text-paper font-head font-semibold text-2xl"
        onClick={session.mark}
      >
        {wording.markSpace(state.marks.length > 0 ? ` ${state.marks.length}` : '')}
      </button>
    </div>
  );
}

/** ΔP, large. */
function BigFigure({
  deltaP,
  pressureUnit,
  limit,
  clean,
  session,
  state,
}: {
  deltaP: number | undefined;
  pressureUnit: UnitChoice['pressure'];
  limit: LimitNow | undefined;
  clean: number | undefined;
  session: LiveSession;
  state: LiveState;
}) {
  return (
    <div className="px-4 sm:px-10 grid sm:grid-cols-[minmax(0,2fr)_minmax(0,1fr)] gap-6 items-center min-h-0">
      <div className="min-w-0">
        <p className="font-head font-semibold text-3xl text-steel">{wording.deltapAcrossTheFilter}</p>
        <p className="figure-text text-steel leading-none whitespace-nowrap text-[min(34vw,42vh)] sm:text-[min(23vw,44vh)]">
          {deltaP === undefined ? '–' : pressureNumber(deltaP, pressureUnit)}
          <span className="text-[0.25em]"> {unitLabel(pressureUnit)}</span>
        </p>
        <p className={`font-head font-semibold text-2xl ${limit?.over ? 'text-ember-text' : 'text-ink2'}`}>
          {limit?.over ? wording.tooHighOrImplausible : ''}
          {limit?.text ?? wording.noLimitAtThisSpeed}
          {clean === undefined ? '' : wording.cleanWouldReadAtThisFlow(withUnit(clean, pressureUnit))}
        </p>
      </div>
      <Trend session={session} state={state} />
    </div>
  );
}

/** The speed that is asked for, and whether it is held. */
function AskedSpeed({ asked, rpm, inBand }: { asked: Asked; rpm: number; inBand: boolean }) {
  return (
    <div className="p-4 sm:px-10">
      <div className="flex justify-between gap-4 font-head font-semibold text-2xl sm:text-3xl">
        <p>
          <Say it={asked.text} />
        </p>
        <p className="whitespace-nowrap">
          {asked.rpm === undefined
            ? common.rpm(Math.round(rpm / 10) * 10)
            : inBand
              ? wording.inTheBand
              : rpm < asked.rpm
                ? wording.more
                : wording.less}
        </p>
      </div>
      <RevBand rpm={rpm} aimRpm={asked.rpm} />
    </div>
  );
}

/** The revs on a wide scale, with the band that counts. */
function RevBand({ rpm, aimRpm }: { rpm: number; aimRpm: number | undefined }) {
  const [low, high] = aimRpm === undefined ? [0, 4000] : [0.8 * aimRpm, 1.2 * aimRpm];
  const at = (value: number): number => Math.min(100, Math.max(0, (100 * (value - low)) / (high - low)));
  return (
    <div className="relative h-20 sm:h-24 mt-2" aria-hidden>
      <div className="absolute inset-x-0 top-5 bottom-6 bg-rule" />
      {aimRpm === undefined ? null : (
        <div
          className="absolute top-4 bottom-5 border-4 border-ink"
          style={{ left: `${at((1 - BAND) * aimRpm)}%`, right: `${100 - at((1 + BAND) * aimRpm)}%` }}
        />
      )}
      <div className="absolute top-0 bottom-4 w-2 -ml-1 bg-ember" style={{ left: `${at(rpm)}%` }} />
      {[0, 0.25, 0.5, 0.75, 1].map((share) => (
        <span
          key={share}
          className="absolute bottom-0 font-head font-semibold text-lg text-ink2 -translate-x-1/2 first-of-type:translate-x-0 last:-translate-x-full"
          style={{ left: `${100 * share}%` }}
        >
          {Math.round((low + share * (high - low)) / 10) * 10}
        </span>
      ))}
    </div>
  );
}

/** ΔP of the last two minutes, and how it moves. */
function Trend({ session, state }: { session: LiveSession; state: LiveState }) {
  const unit = useAppSelector((app) => app.preferences.units.pressure);
  const id = state.channels.find(({ role }) => role === 'dpfDeltaP')?.id;
  const trace = id === undefined ? undefined : session.traces.get(id);
  const toS = state.vehicle?.timeS ?? 0;
  const [width, height] = [320, 240];
  const columns = trace ? columnsOf(trace, toS - TREND_S, toS, width) : [];
  const highest = Math.max(5, ...columns.map(({ high }) => high));
  const y = (value: number): number => height - 4 - (Math.max(value, 0) / highest) * (height - 8);
  const line = columns.map(({ x, high }) => `${x},${y(high).toFixed(1)}`).join(' ');
  const change = trendMbarPer10S(trace, toS);
  return (
    <figure className="max-sm:hidden">
      <figcaption className="font-head font-semibold text-2xl text-ink2">
        {change === undefined || Math.abs(change) < 0.5
          ? wording.steady
          : wording.every10S(change < 0 ? wording.falling : wording.rising, withUnit(Math.abs(change), unit))}
      </figcaption>
      <svg viewBox={`0 0 ${width} ${height}`} className="w-full border-l-2 border-b-2 border-ink" aria-hidden>
        <polyline points={line} fill="none" stroke="var(--steel)" strokeWidth={4} />
      </svg>
      <p className="text-ink2 text-lg text-right">{wording.last2Minutes}</p>
    </figure>
  );
}

/** How ΔP moved over the last ten seconds, from means of its two halves so that single readings do not jump. */
function trendMbarPer10S(trace: LiveTrace | undefined, toS: number): number | undefined {
  if (!trace) return undefined;
  let [early, late, earlyN, lateN] = [0, 0, 0, 0];
  for (let i = trace.timeS.length - 1; i >= 0; i--) {
    const t = trace.timeS[i] as number;
    if (t < toS - 10) break;
    if (t < toS - 5) {
      early += trace.values[i] as number;
      earlyN++;
    } else {
      late += trace.values[i] as number;
      lateN++;
    }
  }
  return earlyN < 3 || lateN < 3 ? undefined : 2 * (late / lateN - early / earlyN);
}
