import * as wording from '@white-ember/core/words/screens/proof';
import { type Limits } from '@white-ember/core/limits';
import { type FlowPicture } from '@white-ember/core/proof';
import { CODES_PLACE, DRIVE_PLACE } from '../../job/places.ts';
import { type OpenJob } from '../../job/useJob.ts';
import { Say } from '../../ui/Say.tsx';
import { pictureOfJob, vehicleFactsOf, verdictLine } from '@white-ember/core/job';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { entriesOfKind, type EntryOf } from '@white-ember/core/ledger';
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
    return <ProofActs derived={derived} shownWithout={shownWithout} setAdding={setAdding} props={props} />;
  }
  return (
    <div className="grid gap-5 grid-cols-1 xl:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] items-start">
      <EqualFlow derived={derived} picture={picture} />
      <Compared
        derived={derived}
        limits={limits}
        canEnter={canEnter}
        open={open}
        byRepair={byRepair}
        driven={driven}
        scans={scans}
        setAdding={setAdding}
      />
    </div>
  );
}

/** Another reading, and what else the proof asks for. */
function ProofActs({
  derived,
  shownWithout,
  setAdding,
  props,
}: {
  derived: OpenJob['derived'];
  shownWithout: boolean;
  setAdding: (value: boolean) => void;
  props: StageProps;
}) {
  return (
    <div className="grid gap-4">
      {derived.after || shownWithout ? (
        <Button className="justify-self-start" onClick={() => setAdding(false)}>
          {wording.backToTheComparison}
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

/** Figures of before and after, and what is still open. */
function Compared({
  derived,
  limits,
  canEnter,
  open,
  byRepair,
  driven,
  scans,
  setAdding,
}: {
  derived: OpenJob['derived'];
  limits: Limits;
  canEnter: boolean;
  open: OpenJob;
  byRepair: boolean;
  driven: boolean;
  scans: readonly EntryOf<'code-scan'>[];
  setAdding: (value: boolean) => void;
}) {
  return (
    <section className="grid gap-4 content-start">
      <CompareTable derived={derived} limits={limits} />
      <VerdictReasons derived={derived} limits={limits} />
      {canEnter ? (
        <>
          {derived.after ? <ResetList open={open} canEnter={canEnter} /> : null}
          {derived.proof || byRepair ? (
            <div id={DRIVE_PLACE} className="grid">
              <DriveForm open={open} main={!driven} />
            </div>
          ) : null}
          {derived.proof || byRepair ? (
            <div id={CODES_PLACE}>
              <CodeScanForm open={open} choices={['after-drive']} title={wording.codesAfterTheDrive} />
            </div>
          ) : null}
          <ScanList scans={scans} />
          <Button onClick={() => setAdding(true)}>
            {derived.after ? wording.takeAnotherAfterReading : wording.takeAnAfterReadingToo}
          </Button>
        </>
      ) : null}
    </section>
  );
}

/** Before and after on one picture. */
function EqualFlow({ derived, picture }: { derived: OpenJob['derived']; picture: FlowPicture | undefined }) {
  return (
    <section className="grid gap-1 grid-cols-1">
      <h2 className="text-2xl leading-tight">{derived.headline}</h2>
      <p className="text-[15px] text-ink2">
        <Say it={verdictLine(derived)} />
      </p>
      {derived.contradiction ? (
        <Notice title={wording.contradictedByTheNextVisit} tone="alarm">
          {derived.contradiction.text}{' '}
          <Link to={`/jobs/${derived.contradiction.jobId}`} className="underline underline-offset-4">
            {wording.openJob(derived.contradiction.number)}
          </Link>
        </Notice>
      ) : null}
      {picture ? <FlowChart picture={picture} className="h-[17.5rem]" /> : null}
    </section>
  );
}
