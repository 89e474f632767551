import * as wording from '@white-ember/core/words/screens/burn';
import * as common from '@white-ember/core/words/screens/common';
import { type BurnPhase } from '@white-ember/core/treatment';
import { useWords } from '../../../data/words.ts';
import { Say } from '../../../ui/Say.tsx';
import type { ReactNode } from 'react';
import { bedLimits } from '@white-ember/core/burn';
import type { BurnMoment, BurnRule, BurnState, RunEstimate } from '@white-ember/core/treatment';
import { useAppSelector } from '../../../data/store.ts';
import { withUnit } from '../../../ui/format.ts';
import { StateMark } from '../../../ui/StateMark.tsx';
import type { OpenJob } from '../../../job/useJob.ts';
import { heatColour } from '../../line/heat.ts';
import { clockText } from '../../readings/logs/traceLanes.ts';
import { BedPicture, BedScale } from '../BedPicture.tsx';

const PHASES = {
  heating: wording.heating,
  burning: wording.burningTitle,
  cooling: wording.cooling,
  cold: wording.cool,
} as const;
const MARKS = { kept: 'sound', near: 'doubtful', broken: 'failed', 'not-read': 'not-looked-at' } as const;
/** The picture of the bed ends so far beyond now: what comes is shown, what was is not squeezed. */
const AHEAD = 1.4;
const LEAST_SHOWN_S = 600;
/** From the engine outward. */
const EGTS = [
  ['egt1C', common.egt1, wording.beforeTurbo],
  ['egt2C', common.egt2, wording.beforeCatalyst],
  ['egt3C', common.egt3, wording.beforeFilter],
  ['egt4C', common.egt4, wording.afterFilter],
] as const;

interface Watched {
  readonly open: OpenJob;
  readonly moments: readonly BurnMoment[];
  readonly judged: BurnState;
  readonly estimate: RunEstimate | undefined;
  readonly stoppedAtS: number | undefined;
}

/** A burn as it goes: what to do now, temperatures in their order, bed, soot, time, and every rule by which it is stopped. */
export function WatchDesk({
  open,
  moments,
  judged,
  estimate,
  stoppedAtS,
  actions,
  children,
}: Watched & { actions: ReactNode; children?: ReactNode }) {
  const now = moments.at(-1);
  const { broken, phase } = judged;
  return (
    <div className="grid gap-4 min-w-0">
      <section
        aria-label={wording.now}
        role={broken ? 'alert' : 'status'}
        className={`border-2 p-3 grid gap-3 lg:grid-cols-[1fr_auto] items-center bg-card ${broken ? 'border-ember border-l-8' : 'border-ink'}`}
      >
        <PhaseNow broken={broken} phase={phase} now={now} judged={judged} />
        <div className="grid gap-2 min-w-60">{actions}</div>
      </section>
      <Egts moments={moments} />
      <Figures open={open} moments={moments} judged={judged} estimate={estimate} stoppedAtS={stoppedAtS} />
      <div className="grid gap-6 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
        <div className="grid gap-3 content-start min-w-0">
          {children}
          {estimate ? <Bed open={open} estimate={estimate} /> : null}
        </div>
        <Rules rules={judged.rules} />
      </div>
    </div>
  );
}

/** Where the burn stands. */
function PhaseNow({
  broken,
  phase,
  now,
  judged,
}: {
  broken: BurnRule | undefined;
  phase: BurnPhase;
  now: BurnMoment | undefined;
  judged: BurnState;
}) {
  return (
    <div>
      <p className="font-head font-semibold text-4xl flex flex-wrap items-baseline gap-x-4">
        {broken ? <Say it={broken.label} /> : PHASES[phase]}
        <span className="figure-text text-3xl text-ink2">{clockText(now?.atS ?? 0)}</span>
      </p>
      <p className={`text-lg ${broken ? 'font-bold' : ''}`}>
        <Say it={judged.text} />
      </p>
      {judged.doubt ? (
        <p className="text-ember-text font-bold">
          <Say it={judged.doubt} />
        </p>
      ) : null}
    </div>
  );
}

function Egts({ moments }: { moments: readonly BurnMoment[] }) {
  const unit = useAppSelector((app) => app.preferences.units.temperature);
  const now = moments.at(-1);
  const before = moments.findLast(({ atS }) => now !== undefined && atS <= now.atS - 20);
  return (
    <ol
      aria-label={wording.exhaustTemperaturesFromTheEngine}
      className="grid grid-cols-2 sm:grid-cols-4 gap-2"
    >
      {EGTS.map(([name, label, place]) => {
        const value = now?.[name];
        const earlier = before?.[name];
        const change = value !== undefined && earlier !== undefined ? value - earlier : 0;
        return (
          <li key={name} className="border-2 border-rule bg-card px-3 py-1 min-w-0">
            <p className="text-sm text-ink2 leading-5">
              {label}, {place}
            </p>
            <p className="figure-text text-3xl whitespace-nowrap">
              {value === undefined ? '–' : withUnit(value, unit)}
              <span className="text-lg text-ink2">
                {Math.abs(change) < 3 ? '' : change > 0 ? ' ↑' : ' ↓'}
              </span>
            </p>
            <div
              aria-hidden
              className="h-2 -mx-3 -mb-1"
              style={{ background: value === undefined ? 'var(--rule)' : heatColour(value) }}
            />
          </li>
        );
      })}
    </ol>
  );
}

function Figures({ open, moments, judged, estimate, stoppedAtS }: Watched) {
  const words = useWords();
  const { limits, vehicle } = open;
  const unit = useAppSelector((app) => app.preferences.units.temperature);
  const limitC = bedLimits(limits, vehicle.filter?.material ?? 'unknown').peakC;
  const now = moments.at(-1);
  const bed = estimate?.bed;
  const items: readonly (readonly [string, string, string])[] = [
    [
      wording.hottestBed,
      judged.bedC === undefined ? '–' : withUnit(judged.bedC, unit),
      judged.bedC === undefined
        ? wording.nothingReadAfterTheFilter
        : wording.byLimit(
            bed && bed.bedC >= (now?.egt4C ?? -60) ? wording.theBurnModel : wording.theSensorAfterIt,
            withUnit(limitC, unit),
          ),
    ],
    [
      common.soot,
      now?.sootG === undefined ? (bed ? words.soot(bed.sootG, 1) : '–') : words.soot(now.sootG, 1),
      wording.cleanTo(
        now?.sootG === undefined ? wording.noCounter : wording.byTheCounter,
        bed ? wording.byTheModel(words.soot(bed.sootG, 1)) : '',
        words.soot(limits.sootAfterCleanG),
      ),
    ],
    stoppedAtS === undefined
      ? [
          wording.stillTakes,
          bed?.cleanInS === undefined ? '–' : clockText(bed.cleanInS),
          bed?.cleanInS === undefined ? wording.unknownAtThisTemperature : wording.byTheModelAtThisRate,
        ]
      : [
          wording.dosingOffFor,
          clockText((now?.atS ?? stoppedAtS) - stoppedAtS),
          wording.flowKeptUpTo(withUnit(limits.cooledBedC, unit)),
        ],
    [
      wording.idleNowWouldGive,
      bed ? withUnit(bed.dropNowC, unit) : '–',
      bed
        ? bed.dropNowC > limitC
          ? wording.overTheBedLimitKeepTheRevs
          : wording.underTheBedLimit
        : common.notKnown,
    ],
  ];
  return (
    <dl className="grid grid-cols-2 lg:grid-cols-4 gap-2">
      {items.map(([label, figure, note]) => (
        <div key={label} className="border-t-2 border-ink pt-1 min-w-0">
          <dt className="text-sm text-ink2">{label}</dt>
          <dd>
            <span className="figure-text text-3xl">{figure}</span>
            <span className="block text-sm text-ink2 leading-4">{note}</span>
          </dd>
        </div>
      ))}
    </dl>
  );
}

function Bed({ open, estimate }: { open: OpenJob; estimate: RunEstimate }) {
  const limitC = bedLimits(open.limits, open.vehicle.filter?.material ?? 'unknown').peakC;
  const untilS = Math.max(LEAST_SHOWN_S, AHEAD * estimate.nowS);
  return (
    <section aria-label={wording.theBedByTheBurnModel} className="grid gap-1">
      <h2 className="text-xl border-b-2 border-ink">{wording.theBedByTheBurnModel}</h2>
      <div className="relative">
        <BedPicture run={estimate.run} limitC={limitC} untilS={untilS} />
        <div
          aria-hidden
          className="absolute top-0 h-[150px] right-0 border-l-4 border-ink bg-card/55"
          style={{ left: `${(100 * estimate.nowS) / untilS}%` }}
        >
          <span className="bg-card px-1 text-sm">{wording.nowAndAheadIfNothingChanges}</span>
        </div>
      </div>
      <BedScale limitC={limitC} />
    </section>
  );
}

function Rules({ rules }: { rules: readonly BurnRule[] }) {
  return (
    <section aria-label={wording.stoppedBy} className="min-w-0">
      <h2 className="text-xl border-b-2 border-ink">{wording.whatStopsIt}</h2>
      <ul>
        {rules.map(({ id, label, state, value, limit, reason }) => (
          <li key={id} className="border-b-2 border-rule">
            <details>
              <summary className="grid grid-cols-[auto_1fr_auto] gap-x-2 items-center min-h-11 cursor-pointer leading-5">
                <StateMark state={MARKS[state]} size={18} />
                <span className={state === 'broken' ? 'font-bold text-ember-text' : ''}>
                  <Say it={label} />{' '}
                  <span className="text-sm text-ink2">
                    <Say it={limit} />
                  </span>
                </span>
                <span className="figure-text text-right max-w-44">
                  <Say it={value} />
                </span>
              </summary>
              <p className="pb-2 pl-7 text-[15px]">
                <Say it={reason} />
              </p>
            </details>
          </li>
        ))}
      </ul>
    </section>
  );
}
