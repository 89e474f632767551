import * as wording from '@white-ember/core/words/screens/readings';
import { vehicleFactsOf } from '@white-ember/core/job';
import { pictureOf } from '@white-ember/core/proof';
import { useMemo } from 'react';
import { readingFromLog, type LogReadingParts } from '@white-ember/core/readings';
import type { OpenJob } from '../../../job/useJob.ts';
import { FlowChart } from '../../../ui/FlowChart.tsx';

/** The log's own readings in the product's chart: ΔP against flow, over the curves of this filter and the job's before. */
export function LogCloud({
  open,
  logId,
  parts,
  left,
}: {
  open: OpenJob;
  logId: string;
  parts: LogReadingParts;
  left: ReadonlySet<number>;
}) {
  const { limits, vehicle, derived } = open;
  const picture = useMemo(() => {
    const own = readingFromLog(parts, { purpose: 'between', logId, fileName: 'log', leftOut: left });
    const before = derived.befores
      .map(({ body }) => body)
      .filter(({ origin }) => !(origin.type === 'log' && origin.logId === logId));
    return pictureOf({ before, log: [own] }, { limits, ...vehicleFactsOf(vehicle) });
  }, [parts, left, derived, limits, vehicle, logId]);
  if (!picture) {
    return <p className="text-[15px] text-ink2">{wording.noFlowPressurePlotItNeedsSteady}</p>;
  }
  return <FlowChart picture={picture} className="h-60" />;
}
