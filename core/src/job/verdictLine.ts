import { joined, say, type Said } from '../words/index.ts';
import type { DerivedJob } from './deriveJob.ts';

/** A chance in words: nothing is ever wholly sure. */
export const chanceText = (percent: number): Said => say('job.chance', { percent });

/** The line under the headline: interval, how many readings, at which flow, how sure, and what is still wanted. */
export function verdictLine({ comparison, confidence, evidence, verdict }: DerivedJob): Said {
  const removed = comparison?.removedPercent;
  const byRepair = evidence.some(({ id }) => id === 'repair');
  const open = evidence.filter(({ state }) => state !== 'shown').length;
  return joined(
    [
      ...(removed ? [say('job.interval', { low: removed.low, high: removed.high })] : []),
      ...(comparison
        ? [
            say('job.from-readings', {
              before: comparison.before.readings,
              after: comparison.after.readings,
            }),
          ]
        : []),
      ...(comparison?.equalFlow ? [say('job.at-flow', { flowM3PerH: comparison.equalFlow.flowM3PerH })] : []),
      ...(confidence
        ? [say('job.confidence', { level: confidence.level, percent: confidence.percent })]
        : []),
      ...(verdict === 'equal-flow' || (byRepair && open > 0) ? [say('job.outstanding', { open })] : []),
    ],
    ' · ',
  );
}
