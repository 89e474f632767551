import { useState } from 'react';
import { entriesOfKind } from '@white-ember/core/ledger';
import { fromBase, toBase, unitLabel } from '@white-ember/core/quantities';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import type { StageProps } from './StageWork.tsx';
import { CorrectingNotice } from './CorrectingNotice.tsx';
import { useAddEntry } from './useAddEntry.ts';
import { useCorrecting } from './useCorrecting.ts';
import { useEntryForm } from './useEntryForm.ts';

const EMPTY = { text: '', distance: '', powerLimited: false };

export function IntakePanel({ open, canEnter, onStage }: StageProps) {
  const addEntry = useAddEntry(open.job.id);
  const distanceUnit = useAppSelector((state) => state.preferences.distanceUnit);
  const correcting = useCorrecting(open, 'complaint');
  const { form, done, supersedes } = useEntryForm({
    draft: `intake ${open.job.id}`,
    empty: EMPTY,
    correcting,
    valuesOf: ({ text, distanceKm, powerLimited }) => ({
      text,
      distance: distanceKm === undefined ? '' : String(Math.round(fromBase(distanceKm, distanceUnit))),
      powerLimited: powerLimited ?? false,
    }),
  });
  const [problems, setProblems] = useState<Record<string, string>>({});
  const known = entriesOfKind(open.derived.entries, 'complaint');
  const submit = form.handleSubmit(async ({ text, distance, powerLimited }) => {
    const typed = typedNumber(distance);
    const wrong = await addEntry(
      {
        kind: 'complaint',
        text,
        powerLimited,
        ...(typed === undefined
          ? {}
          : { distanceKm: Number.isNaN(typed) ? Number.NaN : toBase(typed, distanceUnit) }),
      },
      supersedes,
    );
    setProblems(wrong ?? {});
    if (wrong) return;
    done();
    if (!correcting) onStage('codes');
  });
  return (
    <div className="max-w-2xl grid gap-5">
      <h2 className="text-2xl">Intake</h2>
      {known.map((entry) => (
        <blockquote key={entry.id} className="border-l-8 border-ink pl-4">
          <p className="text-lg">{entry.body.text}</p>
          <p className="text-sm text-ink2">
            {entry.authorName}
            {entry.body.powerLimited ? ' · power is limited' : ''}
          </p>
        </blockquote>
      ))}
      {canEnter ? (
        <form onSubmit={(event) => void submit(event)} className="grid gap-4" noValidate>
          <CorrectingNotice correcting={correcting} />
          <Field
            label={known.length > 0 ? 'What else is said' : 'What the customer says'}
            error={problems['text']}
          >
            <textarea className="input-box" rows={3} {...form.register('text')} />
          </Field>
          <Field label="Distance" unit={unitLabel(distanceUnit)} error={problems['distanceKm']}>
            <input className="input-box" inputMode="numeric" {...form.register('distance')} />
          </Field>
          <label className="flex items-center gap-3 min-h-11">
            <input
              type="checkbox"
              className="size-6 accent-[var(--ember-button)]"
              {...form.register('powerLimited')}
            />
            Power is limited
          </label>
          <Button type="submit" weight="main">
            Enter the complaint
          </Button>
        </form>
      ) : null}
    </div>
  );
}
