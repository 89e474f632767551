import * as wording from '@white-ember/core/words/screens/clocks';
import { useEffect, useLayoutEffect, useRef } from 'react';
import { Link } from 'react-router';
import { Button } from '../../ui/Button.tsx';
import { useAddEntry } from '../../job/useAddEntry.ts';
import { notify, ring } from './bell.ts';
import { clockName } from './clockName.ts';
import { isLate, leftText, type ShownClock } from './clocks.ts';
import { silence, useAsked, useSilenced } from './rung.ts';
import { useClocks } from './useClocks.ts';

const RING_EVERY_MS = 15_000;
/** After so long nobody is near: it stays on the screen without sound. */
const RINGS_FOR_MS = 10 * 60_000;

/**
 * Rings on every page when a wait is over, for those who work on that job or asked for it, until somebody ends it or this device was
 * there. What is over for an hour stands in the list only.
 */
export function ClockRinger() {
  const clocks = useClocks();
  const silenced = useSilenced();
  const asked = useAsked();
  const [first] = clocks.filter(
    (clock) =>
      clock.leftMs <= 0 &&
      !isLate(clock) &&
      (clock.mine || asked.includes(clock.entryId)) &&
      !silenced.includes(clock.entryId),
  );
  const ringing = first && first.leftMs > -RINGS_FOR_MS ? first.entryId : undefined;

  useEffect(() => {
    if (ringing === undefined) return undefined;
    ring();
    const timer = window.setInterval(ring, RING_EVERY_MS);
    return () => window.clearInterval(timer);
  }, [ringing]);

  const title = first ? wording.over(clockName(first), first.plate) : '';
  const text = first ? (first.next ? wording.nextWithNext(first.next) : first.what) : '';
  useEffect(() => {
    if (ringing !== undefined) notify(title, text, ringing);
  }, [ringing, title, text]);

  return first ? <OverBar clock={first} title={title} text={text} /> : null;
}

/** One line: what is over, which leads there and is silent from then on, and its end. */
function OverBar({ clock, title, text }: { clock: ShownClock; title: string; text: string }) {
  const addEntry = useAddEntry(clock.jobId);
  const bar = useRef<HTMLElement>(null);
  // What fills the window leaves room for the bar.
  useLayoutEffect(() => {
    const { style } = document.documentElement;
    const watch = new ResizeObserver(([seen]) =>
      style.setProperty('--ringing', `${seen?.borderBoxSize[0]?.blockSize ?? 0}px`),
    );
    if (bar.current) watch.observe(bar.current);
    return () => {
      watch.disconnect();
      style.removeProperty('--ringing');
    };
  }, []);
  return (
    <section
      ref={bar}
      role="alert"
      aria-label={title}
      className="no-print bg-ember-button text-ember-button-text px-3 py-1 flex items-center gap-3 shrink-0"
    >
      <Link
        to={`/jobs/${clock.jobId}?stage=treat`}
        onClick={() => silence(clock.entryId)}
        className="grow min-w-0 min-h-11 flex items-baseline content-center gap-x-3 overflow-hidden whitespace-nowrap py-2"
      >
        <span className="font-head font-semibold text-lg underline underline-offset-4 shrink-0">{title}</span>
        <span className="text-sm truncate">
          {text} · {leftText(clock.leftMs)}
        </span>
      </Link>
      <Button
        className="shrink-0"
        onClick={() => void addEntry({ kind: 'clock-ended', entry: clock.entryId })}
      >
        {wording.endIt}
      </Button>
    </section>
  );
}
