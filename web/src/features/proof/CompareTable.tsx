import * as wording from '@white-ember/core/words/screens/proof';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import type { OpenJob } from '../../job/useJob.ts';
import type { Limits } from '@white-ember/core/limits';
import { unitLabel } from '@white-ember/core/quantities';
import { useAppSelector } from '../../data/store.ts';

/** Before and after at the same flow, row by row, beside the limit they are judged by. */
export function CompareTable({ derived, limits }: { derived: OpenJob['derived']; limits: Limits }) {
  const words = useWords();
  const unit = useAppSelector((state) => state.preferences.units.pressure);
  const { comparison } = derived;
  if (!comparison) return null;
  const show = (value: number | undefined): string =>
    value === undefined ? '–' : words.pressureFigure(value);
  return (
    <div>
      <table className="w-full text-left">
        <caption className="text-left font-head font-semibold text-lg pb-1">
          {wording.beforeAndAfterAtEqualFlow}
        </caption>
        <thead className="border-b-2 border-ink text-[15px]">
          <tr>
            <th className="py-1">{common.atWithin}</th>
            <th className="text-right">{common.flow(words.label('volumeFlow'))}</th>
            <th className="text-right">{common.beforeWithin}</th>
            <th className="text-right">{common.after}</th>
            <th className="text-right">{wording.goodTo}</th>
          </tr>
        </thead>
        <ComparedRows comparison={comparison} show={show} limits={limits} />
      </table>
      <p className="text-sm text-ink2 mt-1">{wording.deltapInZeroRemovedDashNotRead(unitLabel(unit))}</p>
    </div>
  );
}

/** Before and after at each hold. */
function ComparedRows({
  comparison,
  show,
  limits,
}: {
  comparison: NonNullable<OpenJob['derived']['comparison']>;
  show: (value: number | undefined) => string;
  limits: Limits;
}) {
  const words = useWords();
  return (
    <tbody>
      {comparison.rows.map((row) => (
        <tr key={row.label} className="border-b border-rule">
          <td className="py-1.5">{row.label}</td>
          <td className="text-right text-ink2">{words.volumeFlowFigure(row.flowM3PerH)}</td>
          <td className="text-right">{show(row.beforeMbar)}</td>
          <td className="text-right font-bold">{show(row.afterMbar)}</td>
          <td className="text-right text-ink2">{row.goodMbar === undefined ? '–' : show(row.goodMbar)}</td>
        </tr>
      ))}
      {comparison.restrictionBefore && comparison.restrictionAfter ? (
        <tr className="border-b border-rule">
          <td className="py-1.5" colSpan={2}>
            {common.clean}
          </td>
          <td className="text-right">{words.number(comparison.restrictionBefore.value, 1)}</td>
          <td className="text-right font-bold">{words.number(comparison.restrictionAfter.value, 1)}</td>
          <td className="text-right text-ink2">{words.number(limits.restrictionGoodRatio)}</td>
        </tr>
      ) : null}
    </tbody>
  );
}
