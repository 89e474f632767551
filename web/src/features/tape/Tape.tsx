import { useEffect, useRef, useState } from 'react';
import { STAGES, STAGE_LABELS, type DerivedJob, type Stage } from '@white-ember/core/job';
import { happenedAt, type Entry } from '@white-ember/core/ledger';
import { useNow } from '../../ui/useNow.ts';
import { layTape } from './tapeLayout.ts';

const ROWS = 2;

/** The ledger as a measuring tape: the stages as its sections, each entry a pin, dwells hatched, now marked. */
export function Tape({
  derived,
  stage,
  waiting,
  selected,
  onStage,
  onEntry,
}: {
  derived: DerivedJob;
  stage: Stage;
  waiting: ReadonlySet<string>;
  selected: string | undefined;
  onStage: (stage: Stage) => void;
  onEntry: (entry: Entry) => void;
}) {
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
  const layout = layTape(derived.entries, derived.dwells, now, width, ROWS);
  const firstEntry = derived.entries[0];
  const day = new Date(firstEntry ? happenedAt(firstEntry) : now);
  return (
    <section aria-label="Tape" className="no-print bg-tape text-tape-ink px-3 sm:px-4 pt-2.5 pb-1 shrink-0">
      <div className="flex gap-3">
        <div className="w-20 shrink-0 max-md:hidden">
          <h2 className="text-base leading-tight">Tape</h2>
          <p className="text-[13px] text-tape-ink2 leading-tight">
            {day.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })}
            <br />
            {derived.entries.length} {derived.entries.length === 1 ? 'entry' : 'entries'}
          </p>
        </div>
        <div className="grow min-w-0">
          <nav aria-label="Stages" className="flex gap-0.5 overflow-x-auto">
            {STAGES.map((name, i) => {
              const current = name === stage;
              return (
                <button
                  key={name}
                  onClick={() => onStage(name)}
                  aria-current={current ? 'step' : undefined}
                  className={`grow min-h-11 px-2.5 font-head font-semibold whitespace-nowrap border-2 ${current ? 'bg-tape-now text-[#171512] border-tape-now' : 'border-tape-rule text-tape-ink'}`}
                >
                  <span className="sr-only">Stage {i + 1}: </span>
                  {STAGE_LABELS[name]}
                  {derived.done.has(name) ? <span aria-label="has entries"> •</span> : null}
                </button>
              );
            })}
          </nav>
          <div ref={ruler} className="overflow-x-auto">
            <div className="relative h-[78px]" style={{ width }}>
              {layout.ticks.map(({ x, text }) => (
                <span
                  key={x}
                  className="absolute top-0 border-l border-tape-ink2"
                  style={{ left: x, height: text ? 10 : 5 }}
                >
                  {text ? (
                    <span className="absolute left-1 top-1 text-[12px] text-tape-ink2 leading-none">
                      {text}
                    </span>
                  ) : null}
                </span>
              ))}
              {layout.breaks.map((x) => (
                <span
                  key={x}
                  className="absolute top-0 text-tape-ink2 text-sm -translate-x-1/2"
                  style={{ left: x }}
                  title="a pause, cut short"
                  aria-hidden
                >
                  ⫽
                </span>
              ))}
              {layout.dwells.map(({ from, to, dwell, row }) => (
                <span
                  key={dwell.entryId}
                  className="absolute h-3.5 hatched text-tape-ink2"
                  style={{ left: from, width: to - from, top: 36 + row * 19 }}
                  title={`dwell: ${dwell.what}`}
                />
              ))}
              {layout.pins.map(({ entry, x, text, row }) => (
                <button
                  key={entry.id}
                  onClick={() => onEntry(entry)}
                  aria-pressed={selected === entry.id}
                  title={`${new Date(entry.deviceTime).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })} ${text}`}
                  aria-label={`${text}${waiting.has(entry.id) ? ', waiting to be sent' : ''}`}
                  className="absolute text-left text-[13px] leading-none whitespace-nowrap pl-1.5 border-l-2 border-tape-ink hover:underline"
                  style={{
                    left: x,
                    top: 18,
                    height: row === undefined ? 14 : 20 + row * 19 + 14,
                    paddingTop: row === undefined ? 0 : 20 + row * 19,
                  }}
                >
                  <span
                    className={`absolute -left-[6px] -top-[3px] size-2.5 rounded-[50%] ${waiting.has(entry.id) ? 'border-2 border-tape-ink bg-tape' : 'bg-tape-ink'} ${selected === entry.id ? 'outline-2 outline-tape-now' : ''}`}
                  />
                  {row === undefined ? null : text}
                </button>
              ))}
              <span
                className="absolute top-0 h-[76px] border-l-2 border-tape-now"
                style={{ left: Math.min(layout.nowX, width - 2) }}
              >
                <span
                  className={`absolute -top-0.5 text-[12px] font-bold text-tape-now whitespace-nowrap bg-tape px-0.5 ${layout.nowX > width - 80 ? 'right-1' : 'left-1'}`}
                >
                  now {new Date(now).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}
                </span>
              </span>
            </div>
          </div>
        </div>
      </div>
    </section>
  );
}
