import { useMemo, useState } from 'react';
import { useForm } from 'react-hook-form';
import { entriesOfKind } from '@white-ember/core/ledger';
import { fromBase, toBase, unitLabel } from '@white-ember/core/quantities';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { CodeScanForm } from '../codes/CodeScanForm.tsx';
import { ScanList } from '../codes/ScanList.tsx';
import type { StageProps } from '../job/StageWork.tsx';
import { useAddEntry } from '../job/useAddEntry.ts';
import { vehicleFacts } from '../job/useJob.ts';
import { ReadingPanel } from '../readings/ReadingPanel.tsx';
import { CompareTable } from './CompareTable.tsx';
import { FlowChart, flowPicture } from './FlowChart.tsx';
import { VerdictReasons, verdictLine } from './Verdict.tsx';

/** Before against after at equal flow: the verdict, the chart, the table, and what is still to be brought in. */
export function ProvePanel(props: StageProps) {
  const { open, canEnter } = props;
  const { derived, vehicle, limits, job } = open;
  const [adding, setAdding] = useState(false);
  const picture = useMemo(
    () => flowPicture(derived, { limits, ...vehicleFacts(vehicle) }),
    [derived, limits, vehicle],
  );
  const scans = entriesOfKind(derived.entries, 'code-scan').filter((scan) => scan.body.when !== 'before');
  const driven = entriesOfKind(derived.entries, 'drive').length > 0;
  if (adding || (!derived.after && canEnter)) {
    return (
      <div className="grid gap-4">
        {derived.after ? (
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
    <div className="grid gap-5 xl:grid-cols-[1.15fr_1fr] items-start">
      <section className="grid gap-1">
        <h2 className="text-2xl leading-tight">{derived.headline}</h2>
        <p className="text-[15px] text-ink2">{verdictLine(derived)}</p>
        {picture ? <FlowChart picture={picture} className="h-[21rem] lg:h-[19.5rem] mb-6" /> : null}
      </section>
      <section className="grid gap-4 content-start">
        <CompareTable derived={derived} limits={limits} />
        <VerdictReasons derived={derived} />
        {canEnter ? (
          <>
            {derived.proof ? <DriveForm jobId={job.id} main={!driven} /> : null}
            {driven || scans.length > 0 ? (
              <CodeScanForm jobId={job.id} when="after-drive" title="Codes after the drive" />
            ) : null}
            <ScanList scans={scans} />
            <Button onClick={() => setAdding(true)}>Take another after reading</Button>
          </>
        ) : null}
      </section>
    </div>
  );
}

function DriveForm({ jobId, main }: { jobId: string; main: boolean }) {
  const addEntry = useAddEntry(jobId);
  const distanceUnit = useAppSelector((state) => state.preferences.distanceUnit);
  const form = useForm({
    defaultValues: { distance: '', minutes: '', powerLimitGone: true, byCustomer: false },
  });
  const [open, setOpen] = useState(false);
  const [problems, setProblems] = useState<Record<string, string>>({});
  const submit = form.handleSubmit(async (values) => {
    const distance = typedNumber(values.distance);
    const minutes = typedNumber(values.minutes);
    const wrong = await addEntry({
      kind: 'drive',
      distanceKm:
        distance === undefined || Number.isNaN(distance)
          ? Number.NaN
          : Number(toBase(distance, distanceUnit).toFixed(2)),
      powerLimitGone: values.powerLimitGone,
      reportedBy: values.byCustomer ? 'customer' : 'technician',
      ...(minutes === undefined ? {} : { minutes }),
    });
    setProblems(wrong ?? {});
    if (wrong) return;
    form.reset();
    setOpen(false);
  });
  if (!open) {
    return (
      <Button weight={main ? 'main' : 'plain'} onClick={() => setOpen(true)}>
        Enter the drive check
      </Button>
    );
  }
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid gap-3 border-2 border-ink p-3">
      <p className="text-sm text-ink2">Two people for readings on the road: one drives, one reads.</p>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="Distance"
          unit={unitLabel(distanceUnit)}
          error={problems['distanceKm']}
          hint={`at least ${fromBase(0.1, distanceUnit).toFixed(1)}`}
        >
          <input className="input-box" inputMode="decimal" {...form.register('distance')} />
        </Field>
        <Field label="Time" unit="min" error={problems['minutes']}>
          <input className="input-box" inputMode="numeric" {...form.register('minutes')} />
        </Field>
      </div>
      <label className="flex items-center gap-3 min-h-11">
        <input
          type="checkbox"
          className="size-6 accent-[var(--ember-button)]"
          {...form.register('powerLimitGone')}
        />
        Full power is there
      </label>
      <label className="flex items-center gap-3 min-h-11">
        <input
          type="checkbox"
          className="size-6 accent-[var(--ember-button)]"
          {...form.register('byCustomer')}
        />
        Reported by the customer
      </label>
      <Button type="submit" weight="main">
        Enter the drive
      </Button>
    </form>
  );
}
