import type { SteadySample } from '@white-ember/core/ledger';
import { pressureFigure, unitLabel } from '@white-ember/core/quantities';
import type { AnalysedWindow } from '@white-ember/core/readings';
import { useAppSelector } from '../../../app/store.ts';

const NAMES = { 'key-off': 'engine off', idle: 'idle', hold: 'hold' } as const;

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
  const unit = useAppSelector((state) => state.preferences.pressureUnit);
  if (samples.length === 0) return null;
  const flowOf = (sample: SteadySample): number | undefined =>
    windows.find((w) => Math.abs(w.startS - (sample.startS ?? -1)) < 0.02)?.flowM3PerH?.mean;
  const toggle = (i: number): void =>
    onLeft(left.has(i) ? new Set([...left].filter((x) => x !== i)) : new Set([...left, i]));
  const snaps = windows.filter((w) => w.kind === 'snap').length;
  return (
    <section>
      <h4 className="text-lg mb-1">Steady windows{snaps > 0 ? `, and ${snaps} snaps between them` : ''}</h4>
      <table className="w-full text-left">
        <thead className="border-b-2 border-ink">
          <tr>
            <th className="w-14">use</th>
            <th>window</th>
            <th className="text-right">rpm</th>
            <th className="text-right max-sm:hidden">flow, m³/h</th>
            <th className="text-right">ΔP, {unitLabel(unit)}</th>
            <th className="text-right max-sm:hidden">± spread</th>
          </tr>
        </thead>
        <tbody>
          {samples.map((sample, i) => {
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
                      aria-label={`Use ${name}`}
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
                <td className="text-right max-sm:hidden">{flow === undefined ? '–' : Math.round(flow)}</td>
                <td className="text-right figure-text text-lg">{pressureFigure(sample.dpMbar, unit)}</td>
                <td className="text-right text-ink2 max-sm:hidden">
                  {pressureFigure(sample.dpSdMbar ?? 0, unit)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
