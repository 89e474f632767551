import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { Button } from '../../ui/Button.tsx';
import { useAddEntry } from '../../job/useAddEntry.ts';
import { notify, ring } from './bell.ts';
import { clockName } from './clockName.ts';
import { leftText, type ShownClock } from './clocks.ts';
import { useClocks } from './useClocks.ts';

const STORED_AS = 'white-ember clocks silenced';
const RING_EVERY_MS = 15_000;
/** After so long nobody is near: it stays on the screen without sound. */
const RINGS_FOR_MS = 10 * 60_000;
const KEPT = 50;

const silencedHere = (): string[] => {
  try {
    return JSON.parse(localStorage.getItem(STORED_AS) ?? '[]') as string[];
  } catch {
    return [];
  }
};

/** Rings on every page when a wait is over, until somebody ends it or this device is silenced. */
export function ClockRinger() {
  const clocks = useClocks();
  const [silenced, setSilenced] = useState(silencedHere);
  const over = clocks.filter(({ leftMs }) => leftMs <= 0);
  const [first] = over.filter(({ entryId }) => !silenced.includes(entryId));
  const ringing = first && first.leftMs > -RINGS_FOR_MS ? first.entryId : undefined;

  useEffect(() => {
    if (ringing === undefined) return undefined;
    ring();
    const timer = window.setInterval(ring, RING_EVERY_MS);
    return () => window.clearInterval(timer);
  }, [ringing]);

  const title = first ? `${clockName(first)} over: ${first.plate}` : '';
  const text = first ? [first.what, ...(first.next ? [`next: ${first.next}`] : [])].join(' · ') : '';
  useEffect(() => {
    if (ringing !== undefined) notify(title, text, ringing);
  }, [ringing, title, text]);

  if (!first) return null;
  const silence = (): void => {
    const ids = [...silencedHere(), first.entryId].slice(-KEPT);
    localStorage.setItem(STORED_AS, JSON.stringify(ids));
    setSilenced(ids);
  };
  return <OverBar clock={first} title={title} text={text} onSilence={silence} />;
}

function OverBar({
  clock,
  title,
  text,
  onSilence,
}: {
  clock: ShownClock;
  title: string;
  text: string;
  onSilence: () => void;
}) {
  const addEntry = useAddEntry(clock.jobId);
  const bar = useRef<HTMLElement>(null);
  // What fills the window leaves room for the bar, however many lines it takes.
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
      className="no-print bg-ember-button text-ember-button-text px-3 py-2 flex flex-wrap items-center gap-x-4 gap-y-2 shrink-0"
    >
      <p className="grow">
        <span className="font-head font-semibold text-lg">{title}</span>{' '}
        <span className="text-sm">
          {text} · {leftText(clock.leftMs)}
        </span>
      </p>
      <Link
        to={`/jobs/${clock.jobId}?stage=treat`}
        className="font-head font-semibold min-h-11 px-2 inline-flex items-center underline underline-offset-4"
      >
        Go there
      </Link>
      <Button weight="quiet" className="text-ember-button-text!" onClick={onSilence}>
        Silence here
      </Button>
      <Button onClick={() => void addEntry({ kind: 'clock-ended', entry: clock.entryId })}>End it</Button>
    </section>
  );
}
