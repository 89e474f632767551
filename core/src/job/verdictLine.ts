import type { DerivedJob } from './deriveJob.ts';

const percent = (value: number): string => `${Math.round(value)}`;

/** A chance in words: nothing is ever wholly sure. */
export const chanceText = (chance: number): string => (chance > 99 ? 'over 99 %' : `${percent(chance)} %`);

/** The line under the headline: interval, how many readings, at which flow, how sure, and what is still wanted. */
export function verdictLine({ comparison, confidence, evidence, verdict }: DerivedJob): string {
  const removed = comparison?.removedPercent;
  const byRepair = evidence.some(({ id }) => id === 'repair');
  const open = evidence.filter(({ state }) => state !== 'shown').length;
  return [
    ...(removed ? [`${percent(removed.low)} to ${percent(removed.high)} % (90 %)`] : []),
    ...(comparison ? [`from ${comparison.before.readings} and ${comparison.after.readings} readings`] : []),
    ...(comparison?.equalFlow ? [`at ${Math.round(comparison.equalFlow.flowM3PerH)} m³/h`] : []),
    ...(confidence ? [`confidence ${confidence.level}, ${chanceText(confidence.percent)}`] : []),
    ...(verdict === 'equal-flow' || (byRepair && open > 0) ? [`${open} outstanding`] : []),
  ].join(' · ');
}
