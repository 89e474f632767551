import { Say } from '../../ui/Say.tsx';
import { pictureOfJob, vehicleFactsOf, verdictLine } from '@white-ember/core/job';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { entriesOfKind } from '@white-ember/core/ledger';
import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { CodeScanForm } from '../codes/CodeScanForm.tsx';
import { ScanList } from '../codes/ScanList.tsx';
import type { StageProps } from '../../job/stageProps.ts';
import { useCorrecting } from '../../job/useCorrecting.ts';
import { ReadingPanel } from '../readings/ReadingPanel.tsx';
import { DriveForm } from './DriveForm.tsx';
import { CompareTable } from './CompareTable.tsx';
import { FlowChart } from '../../ui/FlowChart.tsx';
import { ResetList } from './resets/ResetList.tsx';
import { VerdictReasons } from './Verdict.tsx';

/** Causes after whose repair the pressure is read again. */
const READ_AGAIN: ReadonlySet<string> = new Set([
  'dp-sensor-failed',
  'dp-sensor-wrong',
  'dp-hose-off',
  'dp-hoses-crossed',
  'high-pipe-blocked',
  'low-pipe-blocked',
]);

/** Before against after at equal flow: the verdict, the chart, the table, and what is still to be brought in. */
export function ProvePanel(props: StageProps) {
  const { open, canEnter } = props;
  const { derived, vehicle, limits } = open;
  const correctsReading =
    useCorrecting(open, 'reading', (entry) => entry.body.purpose === 'after') !== undefined;
  const [adding, setAdding] = useState(correctsReading);
  const picture = useMemo(
    () => pictureOfJob(derived, { limits, ...vehicleFactsOf(vehicle) }),
    [derived, limits, vehicle],
  );
  const scans = entriesOfKind(derived.entries, 'code-scan').filter((scan) => scan.body.when !== 'before');
  const driven = entriesOfKind(derived.entries, 'drive').length > 0;
  // A repair that is not of the filter is shown by its own check, a drive and a scan: no pressure is asked for.
  const byRepair = derived.evidence.some(({ id }) => id === 'repair');
  // What the ΔP sensor sees was repaired: then a reading by it is the best of all that shows it.
  const reads = derived.causes.some(({ cause, state }) => state === 'put-right' && READ_AGAIN.has(cause));
  const shownWithout = byRepair && (!reads || derived.verdict === 'proved');
  if (adding || (!derived.after && !shownWithout && canEnter)) {
    return (
      <div className="grid gap-4">
        {derived.after || shownWithout ? (
          <Button className="justify-self-start" onClick={() => setAdding(false)}>
            Back to the comparison
          </Button>
        ) : null}
        <ReadingPanel
          {...props}
          purpose="after"
          onStage={(stage) => {
            setAdding(false);
            props.onStage(stage);
          }}
        />
      </div>
    );
  }
  return (
    <div className="grid gap-5 grid-cols-1 xl:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] items-start">
      <section className="grid gap-1 grid-cols-1">
        <h2 className="text-2xl leading-tight">{derived.headline}</h2>
        <p className="text-[15px] text-ink2">
          <Say it={verdictLine(derived)} />
        </p>
        {derived.contradiction ? (
          <Notice title="Contradicted by the next visit" tone="alarm">
            {derived.contradiction.text}{' '}
            <Link to={`/jobs/${derived.contradiction.jobId}`} className="underline underline-offset-4">
              Open job {derived.contradiction.number}
            </Link>
          </Notice>
        ) : null}
        {picture ? <FlowChart picture={picture} className="h-[21rem] lg:h-[19.5rem] mb-6" /> : null}
      </section>
      <section className="grid gap-4 content-start">
        <CompareTable derived={derived} limits={limits} />
        <VerdictReasons derived={derived} limits={limits} />
        {canEnter ? (
          <>
            {derived.after ? <ResetList open={open} canEnter={canEnter} /> : null}
            {derived.proof || byRepair ? <DriveForm open={open} main={!driven} /> : null}
            {derived.proof || byRepair ? (
              <CodeScanForm open={open} choices={['after-drive']} title="Codes after the drive" />
            ) : null}
            <ScanList scans={scans} />
            <Button onClick={() => setAdding(true)}>
              {derived.after ? 'Take another after reading' : 'Take an after reading too'}
            </Button>
          </>
        ) : null}
      </section>
    </div>
  );
}
