import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/readings';
import { useWords } from '../../../data/words.ts';
import type { SteadySample } from '@white-ember/core/ledger';
import { unitLabel } from '@white-ember/core/quantities';
import { pressureNumber } from '../../../ui/format.ts';
import type { AnalysedWindow } from '@white-ember/core/readings';
import { useState } from 'react';
import { Button } from '../../../ui/Button.tsx';
import { useAppSelector } from '../../../data/store.ts';

const AT_FIRST = 30;
const NAMES = { 'key-off': common.engineOff, idle: 'idle', hold: 'hold' } as const;

/** The steady stretches that were found; all count unless one is left out. */
export function LogWindows({
  windows,
  samples,
  left,
  onLeft,
  onShow,
}: {
  windows: readonly AnalysedWindow[];
  samples: readonly SteadySample[];
  left: ReadonlySet<number>;
  onLeft: (left: ReadonlySet<number>) => void;
  /** Shows a window in the traces. */
  onShow?: (startS: number, endS: number) => void;
}) {
  const words = useWords();
  const unit = useAppSelector((state) => state.preferences.units.pressure);
  const [all, setAll] = useState(false);
  if (samples.length === 0) return null;
  const flowOf = (sample: SteadySample): number | undefined =>
    windows.find((w) => Math.abs(w.startS - (sample.startS ?? -1)) < 0.02)?.flowM3PerH?.mean;
  const toggle = (i: number): void =>
    onLeft(left.has(i) ? new Set([...left].filter((x) => x !== i)) : new Set([...left, i]));
  const snaps = windows.filter((w) => w.kind === 'snap').length;
  return (
    <section>
      <h3 className="text-lg mb-1">
        {wording.steadyWindows(snaps > 0 ? wording.andSnapsBetweenThem(snaps) : '')}
      </h3>
      <table className="w-full text-left">
        <thead className="border-b-2 border-ink">
          <tr>
            <th className="w-14">{wording.use}</th>
            <th>{wording.window}</th>
            <th className="text-right">{wording.rpm}</th>
            <th className="text-right max-sm:hidden">{common.flow(words.label('volumeFlow'))}</th>
            <th className="text-right">{wording.deltap(unitLabel(unit))}</th>
            <th className="text-right max-sm:hidden">{wording.spread}</th>
          </tr>
        </thead>
        <tbody>
          {(all ? samples : samples.slice(0, AT_FIRST)).map((sample, i) => {
            const flow = flowOf(sample);
            const name = `${NAMES[sample.kind]}, ${Math.round(sample.startS ?? 0)}–${Math.round(sample.endS ?? 0)} s`;
            return (
              <tr key={i} className="border-b-2 border-rule">
                <td>
                  <label className="min-h-11 min-w-11 grid place-items-center w-fit">
                    <input
                      type="checkbox"
                      className="size-6 accent-[var(--ember-button)]"
                      checked={!left.has(i)}
                      onChange={() => toggle(i)}
                      aria-label={wording.useWithName(name)}
                    />
                  </label>
                </td>
                <td>
                  {onShow ? (
                    <button
                      type="button"
                      className="underline underline-offset-4 min-h-11 text-left"
                      onClick={() => onShow(sample.startS ?? 0, sample.endS ?? 0)}
                    >
                      {name}
                    </button>
                  ) : (
                    name
                  )}
                </td>
                <td className="text-right">{Math.round(sample.rpm)}</td>
                <td className="text-right max-sm:hidden">
                  {flow === undefined ? '–' : words.volumeFlowFigure(flow)}
                </td>
                <td className="text-right figure-text text-lg">{pressureNumber(sample.dpMbar, unit)}</td>
                <td className="text-right text-ink2 max-sm:hidden">
                  {pressureNumber(sample.dpSdMbar ?? 0, unit)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {samples.length > AT_FIRST && !all ? (
        <Button weight="quiet" onClick={() => setAll(true)}>
          {wording.showAllWindows(samples.length)}
        </Button>
      ) : null}
    </section>
  );
}

/** A reading of the ledger holds this many windows; of a log with more, the longest are ticked. */
const MOST_IN_READING = 40;

export function leftAtFirst(samples: readonly SteadySample[]): ReadonlySet<number> {
  if (samples.length <= MOST_IN_READING) return new Set();
  const length = (i: number): number => (samples[i]?.endS ?? 0) - (samples[i]?.startS ?? 0);
  const longest = [...samples.keys()].sort((a, b) => length(b) - length(a));
  return new Set(longest.slice(MOST_IN_READING));
}
