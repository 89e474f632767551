import { useState } from 'react';
import { fromBase, toBase, unitLabel } from '@white-ember/core/quantities';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { CorrectingNotice } from '../job/CorrectingNotice.tsx';
import { useAddEntry } from '../job/useAddEntry.ts';
import { useCorrecting } from '../job/useCorrecting.ts';
import { useEntryForm } from '../job/useEntryForm.ts';
import type { OpenJob } from '../job/useJob.ts';

const EMPTY = {
  distance: '',
  minutes: '',
  sootStart: '',
  sootEnd: '',
  egtPeak: '',
  powerLimitGone: true,
  byCustomer: false,
};

/** What the drive after the work showed. */
export function DriveForm({ open: job, main }: { open: OpenJob; main: boolean }) {
  const addEntry = useAddEntry(job.job.id);
  const { distanceUnit, temperatureUnit } = useAppSelector((state) => state.preferences);
  const correcting = useCorrecting(job, 'drive');
  const { form, done, supersedes } = useEntryForm({
    draft: `drive ${job.job.id}`,
    empty: EMPTY,
    correcting,
    valuesOf: (body) => ({
      distance: String(Number(fromBase(body.distanceKm, distanceUnit).toFixed(2))),
      minutes: String(body.minutes ?? ''),
      sootStart: String(body.sootStartG ?? ''),
      sootEnd: String(body.sootEndG ?? ''),
      egtPeak:
        body.egtPeakC === undefined ? '' : String(Math.round(fromBase(body.egtPeakC, temperatureUnit))),
      powerLimitGone: body.powerLimitGone,
      byCustomer: body.reportedBy === 'customer',
    }),
  });
  const [open, setOpen] = useState(correcting !== undefined);
  const [problems, setProblems] = useState<Record<string, string>>({});
  const submit = form.handleSubmit(async (values) => {
    const distance = typedNumber(values.distance);
    const minutes = typedNumber(values.minutes);
    const sootStartG = typedNumber(values.sootStart);
    const sootEndG = typedNumber(values.sootEnd);
    const egtPeak = typedNumber(values.egtPeak);
    const wrong = await addEntry(
      {
        kind: 'drive',
        distanceKm:
          distance === undefined || Number.isNaN(distance)
            ? Number.NaN
            : Number(toBase(distance, distanceUnit).toFixed(2)),
        powerLimitGone: values.powerLimitGone,
        reportedBy: values.byCustomer ? 'customer' : 'technician',
        ...(minutes === undefined ? {} : { minutes }),
        ...(sootStartG === undefined ? {} : { sootStartG }),
        ...(sootEndG === undefined ? {} : { sootEndG }),
        ...(egtPeak === undefined ? {} : { egtPeakC: toBase(egtPeak, temperatureUnit) }),
      },
      supersedes,
    );
    setProblems(wrong ?? {});
    if (wrong) return;
    done();
    setOpen(false);
  });
  if (!open) {
    return (
      <Button weight={main ? 'main' : 'plain'} onClick={() => setOpen(true)}>
        Save the drive check
      </Button>
    );
  }
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid gap-3 border-2 border-ink p-3">
      <CorrectingNotice correcting={correcting} />
      <p className="text-sm text-ink2">Readings on the road need two people: one drives, one reads.</p>
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
        <Field label="Soot counter at the start" unit="g" error={problems['sootStartG']}>
          <input className="input-box" inputMode="decimal" {...form.register('sootStart')} />
        </Field>
        <Field label="Soot counter at the end" unit="g" error={problems['sootEndG']}>
          <input className="input-box" inputMode="decimal" {...form.register('sootEnd')} />
        </Field>
        <Field
          label="Highest before the filter"
          unit={unitLabel(temperatureUnit)}
          hint="On a pull, by the scan tool"
          error={problems['egtPeakC']}
        >
          <input className="input-box" inputMode="decimal" {...form.register('egtPeak')} />
        </Field>
      </div>
      <label className="flex items-center gap-3 min-h-11">
        <input
          type="checkbox"
          className="size-6 accent-[var(--ember-button)]"
          {...form.register('powerLimitGone')}
        />
        Full power available
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
        Save the drive
      </Button>
    </form>
  );
}
