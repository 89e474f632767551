import * as wording from '@white-ember/core/words/screens/tape';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import { clockName } from '../clocks/clockName.ts';
import { preferred } from '../../data/preferences.ts';
import { useAppDispatch, useAppSelector } from '../../data/store.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { memo, useEffect, useRef, useState } from 'react';
import { STAGES, type Stage } from '@white-ember/core/job';
import { happenedAt, type Entry } from '@white-ember/core/ledger';
import { useWide } from '../../ui/useWide.ts';
import { Later } from '../../ui/Later.tsx';
import { useNow } from '../../ui/useNow.ts';
import { layTape, type Pin } from './tapeLayout.ts';

const ROWS = 2;
/** No label is a smaller target than this. */
const ROW_PX = 24;
const PIN_TOP = 15;
const LABELS_TOP = 30;
/** Slim it shows pins without their words: the list of entries has them all. */
const SLIM_HEIGHT = 20;
const SLIM_PIN_TOP = 9;
const heightOf = (rows: number): number => (rows === 0 ? SLIM_HEIGHT : LABELS_TOP + rows * ROW_PX);

interface TapeProps {
  /** The whole ledger, also while an earlier state of it is looked at. */
  readonly derived: OpenJob['derived'];
  readonly stage: Stage;
  readonly waiting: ReadonlySet<string>;
  readonly selected: string | undefined;
  /** The moment that is looked back at, if one is. */
  readonly at: number | undefined;
  readonly onStage: (stage: Stage) => void;
  readonly onEntry: (entry: Entry) => void;
  readonly onAt: (ms: number | undefined) => void;
  /** Opens the whole ledger as a list. */
  readonly onLedger: () => void;
}

/** The ledger as a measuring tape: the stages as its sections, each entry a pin, dwells hatched, now marked. */
export function Tape(props: TapeProps) {
  const words = useWords();
  const { derived, stage, onStage } = props;
  const whole = useAppSelector((state) => state.preferences.wholeTape === true);
  const dispatch = useAppDispatch();
  const wide = useWide();
  const rows = whole ? ROWS : 0;
  const firstEntry = derived.entries[0];
  const count = `${derived.entries.length} ${derived.entries.length === 1 ? 'entry' : 'entries'}`;
  return (
    <section aria-label={wording.tape} className="no-print bg-tape text-tape-ink px-3 sm:px-4 shrink-0">
      <div className="flex gap-3">
        <div className="w-32 shrink-0 max-md:hidden content-center">
          <h2 className="sr-only">{wording.tape}</h2>
          {whole ? (
            <p className="text-[13px] text-tape-ink2 leading-tight pt-1">
              {firstEntry ? words.weekday(happenedAt(firstEntry)) : wording.today}
            </p>
          ) : null}
          <div className="flex gap-3 text-[13px] leading-tight">
            <button className="text-left underline underline-offset-4 min-h-11" onClick={props.onLedger}>
              {count}
            </button>
            <button
              className="text-left underline underline-offset-4 min-h-11"
              aria-expanded={whole}
              onClick={() => dispatch(preferred({ wholeTape: !whole }))}
            >
              {whole ? wording.slim : wording.whole}
              <span className="sr-only"> {wording.tapeWithin}</span>
            </button>
          </div>
        </div>
        <div className="grow min-w-0">
          <button className="md:hidden min-h-11 underline underline-offset-4" onClick={props.onLedger}>
            {wording.tapeWithCount(count)}
          </button>
          {wide ? <StageSwitch stage={stage} onStage={onStage} derived={derived} /> : null}
          <Later meanwhile={<div style={{ height: heightOf(rows) }} />}>
            {() => (
              <Ruler
                derived={derived}
                waiting={props.waiting}
                selected={props.selected}
                at={props.at}
                onEntry={props.onEntry}
                onAt={props.onAt}
                rows={rows}
              />
            )}
          </Later>
        </div>
      </div>
    </section>
  );
}

/** The stages of a job. */
function StageSwitch({
  stage,
  onStage,
  derived,
}: {
  stage: Stage;
  onStage: (stage: Stage) => void;
  derived: OpenJob['derived'];
}) {
  const words = useWords();
  return (
    <nav aria-label={common.stages} className="relative flex gap-0.5 overflow-x-auto max-lg:hidden">
      {STAGES.map((name, i) => {
        const current = name === stage;
        return (
          <button
            key={name}
            onClick={() => onStage(name)}
            aria-current={current ? 'step' : undefined}
            className={`grow min-h-11 px-2.5 font-head font-semibold whitespace-nowrap border-2 ${current ? 'bg-tape-now text-[#171512] border-tape-now' : 'border-tape-rule text-tape-ink'}`}
          >
            <span className="sr-only">{wording.stage(i + 1)} </span>
            {words.name('stages', name)}
            {derived.done.has(name) ? <span aria-label={wording.hasEntries}> •</span> : null}
          </button>
        );
      })}
    </nav>
  );
}

const Ruler = memo(function Ruler({
  derived,
  waiting,
  selected,
  at,
  onEntry,
  onAt,
  rows,
}: Pick<TapeProps, 'derived' | 'waiting' | 'selected' | 'at' | 'onEntry' | 'onAt'> & { rows: number }) {
  const height = heightOf(rows);
  const pinTop = rows === 0 ? SLIM_PIN_TOP : PIN_TOP;
  const now = useNow(15_000);
  const ruler = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1100);
  useEffect(() => {
    const element = ruler.current;
    if (!element) return;
    const observer = new ResizeObserver(([box]) =>
      setWidth(Math.max(640, Math.round(box?.contentRect.width ?? 1100))),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const words = useWords();
  const layout = layTape({
    entries: derived.entries,
    clocks: derived.clocks,
    nowMs: now,
    closed: derived.signedOff !== undefined,
    width,
    rows,
    say: words.say,
    clockAt: words.clock,
  });
  const endX = layout.nowX ?? layout.xOf(now);
  const thumbX = at === undefined ? endX : layout.xOf(at);
  return (
    <div ref={ruler} className="relative overflow-x-auto" tabIndex={-1}>
      <div className="relative" style={{ width, height }}>
        {layout.ticks.map(({ x, text }) => (
          <span
            key={x}
            className="absolute top-0 border-l border-tape-ink2"
            style={{ left: x, height: text ? 10 : 5 }}
          >
            {text ? (
              <span className="absolute left-1 top-0.5 text-[12px] text-tape-ink2 leading-none">{text}</span>
            ) : null}
          </span>
        ))}
        {layout.breaks.map(({ x, text }) => (
          <span
            key={x}
            className="absolute top-0 text-tape-ink2 text-[12px] leading-none -translate-x-1/2 whitespace-nowrap"
            style={{ left: x }}
          >
            // {text} //
          </span>
        ))}
        {layout.waits.map(({ from, to, clock }) => (
          <span
            key={clock.entryId}
            className="absolute h-2 hatched text-tape-ink2"
            style={{ left: from, width: to - from, top: pinTop }}
            title={`${clockName(clock).toLowerCase()}: ${words.say(clock.what)}`}
          />
        ))}
        {layout.pins.map((pin) => (
          <PinMark
            key={pin.entry.id}
            pin={pin}
            pinTop={pinTop}
            waiting={waiting.has(pin.entry.id)}
            selected={selected === pin.entry.id}
            later={at !== undefined && happenedAt(pin.entry) > at}
            onOpen={() => onEntry(pin.entry)}
          />
        ))}
        <LookBack
          endX={Math.max(Math.round(endX), 20)}
          x={Math.round(thumbX)}
          onX={(x) => onAt(x >= Math.round(endX) - 3 ? undefined : layout.msAt(x))}
          says={at === undefined ? wording.nowWithin : words.clock(at)}
        />
        <span
          aria-hidden
          className="absolute top-3.5 w-0.5 h-3.5 pointer-events-none outline-offset-4 peer-focus-visible:outline-2 outline-tape-now"
          style={{ left: thumbX - 1 }}
        >
          <span
            className={`absolute left-0 border-l-2 border-tape-now ${rows === 0 ? '-top-3.5' : 'top-0'}`}
            style={{ height: height - 2 }}
          />
          <span
            className={`absolute ${rows === 0 ? '-top-3.5' : 'top-0'} text-[12px] leading-none font-bold text-tape-now whitespace-nowrap bg-tape px-0.5 ${thumbX > width - 90 ? 'right-1' : 'left-1'}`}
          >
            {at === undefined
              ? layout.nowX === undefined
                ? wording.end
                : common.now(words.clock(now))
              : wording.backAt(words.clock(at))}
          </span>
        </span>
      </div>
    </div>
  );
});

/** Half of what a finger takes hold of, px: the range is wider by it on both sides, so that a point on it is a point of the tape. */
const HALF_HOLD = 12;

/** The hold on the tape, unseen: the browser's own, which asks for no measuring while a page is drawn. */
function LookBack({
  endX,
  x,
  onX,
  says,
}: {
  endX: number;
  x: number;
  onX: (x: number) => void;
  says: string;
}) {
  const input = useRef<HTMLInputElement>(null);
  // The page follows at its leisure: while it is held, the hold goes by the hand.
  const [held, setHeld] = useState(x);
  useEffect(() => {
    if (document.activeElement !== input.current) setHeld(x);
  }, [x]);
  return (
    <input
      ref={input}
      type="range"
      aria-label={wording.lookBackAlongTheTape}
      aria-valuetext={says}
      className="peer absolute top-0 h-3.5 m-0 opacity-0 cursor-ew-resize touch-none appearance-none [&::-webkit-slider-thumb]:appearance-none [&::-webkit-slider-thumb]:w-6 [&::-webkit-slider-thumb]:h-7 [&::-moz-range-thumb]:w-6 [&::-moz-range-thumb]:h-7"
      style={{ left: -HALF_HOLD, width: endX + 2 * HALF_HOLD }}
      min={0}
      max={endX}
      step={1}
      value={held}
      onChange={({ target }) => {
        setHeld(target.valueAsNumber);
        onX(target.valueAsNumber);
      }}
      onBlur={() => setHeld(x)}
    />
  );
}

/** One entry: a dot on the ruler, a stem down to its label. Only dot and label take the tap, never the stem's length. */
function PinMark({
  pin: { entry, x, text, label },
  pinTop,
  waiting,
  selected,
  later,
  onOpen,
}: {
  pin: Pin;
  pinTop: number;
  waiting: boolean;
  selected: boolean;
  later: boolean;
  onOpen: () => void;
}) {
  const words = useWords();
  const labelTop = LABELS_TOP + (label?.row ?? 0) * ROW_PX;
  const toLeft = label?.side === 'left';
  const dot = (
    <span
      aria-hidden
      className={`absolute -top-[5px] size-2.5 rounded-[50%] ${toLeft ? '-right-[6px]' : '-left-[6px]'} ${waiting ? 'border-2 border-tape-ink bg-tape' : 'bg-tape-ink'} ${selected ? 'outline-2 outline-tape-now' : ''}`}
    />
  );
  const named = {
    onClick: onOpen,
    'aria-pressed': selected,
    title: `${words.clock(happenedAt(entry))} ${text}`,
    'aria-label': `${text}${waiting ? wording.waitingToBeSent : ''}`,
  };
  const tone = later ? 'text-tape-ink2' : '';
  // Where there is no room for a word there is none for a finger either: the list of the ledger has this entry, too.
  if (!label) {
    return (
      <span
        aria-hidden
        title={named.title}
        className={`absolute h-3 border-l-2 border-tape-ink ${tone}`}
        style={{ left: x, top: pinTop + 4 }}
      >
        {dot}
      </span>
    );
  }
  return (
    <>
      <span
        aria-hidden
        className={`absolute border-tape-ink pointer-events-none ${toLeft ? 'border-r-2' : 'border-l-2'}`}
        style={{ left: x, top: pinTop + 4, height: labelTop - pinTop + 10 }}
      >
        {dot}
      </span>
      <button
        {...named}
        className={`absolute text-[13px] leading-none whitespace-nowrap hover:underline ${toLeft ? 'text-right pr-1.5' : 'text-left pl-1.5'} ${tone}`}
        style={{ left: label.from, top: labelTop, width: label.to - label.from, height: ROW_PX }}
      >
        {text}
      </button>
    </>
  );
}
