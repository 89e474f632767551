import { useState } from 'react';
import { RESET_LABELS } from '@white-ember/core/job';
import type { ResetValue } from '@white-ember/core/ledger';
import type { ResetStep } from '@white-ember/core/proof';
import { toBase, unitLabel } from '@white-ember/core/quantities';
import { useAppSelector } from '../../../app/store.ts';
import { Button } from '../../../ui/Button.tsx';
import { Field } from '../../../ui/Field.tsx';
import { typedNumber } from '../../../ui/format.ts';
import { useDraftForm } from '../../../ui/useDraft.ts';
import { useAddEntry } from '../../job/useAddEntry.ts';
import type { OpenJob } from '../../job/useJob.ts';

const VALUE_LABELS: Readonly<Record<ResetValue, string>> = {
  sootG: 'Soot',
  ashG: 'Ash',
  deltaPZeroMbar: 'ΔP at rest',
  oilLifePercent: 'Oil life',
  codes: 'Codes stored',
};

/** As long as an advice may be that is kept. */
const LONGEST_ADVICE = 400;

const EMPTY: Record<string, string> = { why: '', cycles: '' };

/** A reset that another tool did: what stood there before and what stands there now. */
export function ResetForm({ open, step }: { open: OpenJob; step: ResetStep }) {
  const { reset, keep, warnings, held } = step;
  // Done all the same: what stood there may be gone, and the record needs the reason.
  const against = held.length > 0;
  const addEntry = useAddEntry(open.job.id);
  const pressureUnit = useAppSelector((app) => app.preferences.pressureUnit);
  const { form, done } = useDraftForm(`reset ${reset} ${open.job.id}`, EMPTY);
  const [problems, setProblems] = useState<Record<string, string>>({});
  const unitOf = (value: ResetValue): string => {
    switch (value) {
      case 'sootG':
      case 'ashG':
        return 'g';
      case 'deltaPZeroMbar':
        return unitLabel(pressureUnit);
      case 'oilLifePercent':
        return '%';
      case 'codes':
        return 'codes';
    }
  };
  const submit = form.handleSubmit(async (typed) => {
    const read = (when: 'before' | 'after'): Partial<Record<ResetValue, number>> =>
      Object.fromEntries(
        keep.flatMap((value) => {
          const number = typedNumber(typed[`${when} ${value}`] ?? '');
          if (number === undefined) return [];
          return [[value, value === 'deltaPZeroMbar' ? toBase(number, pressureUnit) : number]];
        }),
      );
    const [before, after] = [read('before'), read('after')];
    const missing = keep.find((value) => before[value] === undefined);
    if (missing && !against) {
      setProblems({ [`before.${missing}`]: 'Read it first: it is lost afterwards' });
      return;
    }
    if ((against || warnings.length > 0) && (typed['why'] ?? '').trim() === '') {
      setProblems({ why: 'Reason for doing it anyway' });
      return;
    }
    const cycles = typedNumber(typed['cycles'] ?? '');
    const wrong = await addEntry({
      kind: 'reset',
      reset,
      source: 'hand',
      before,
      ...(Object.keys(after).length > 0 ? { after } : {}),
      ...(cycles === undefined ? {} : { keyCycles: cycles }),
      ...((typed['why'] ?? '').trim() === '' ? {} : { why: typed['why'] ?? '' }),
      ...(against ? { against: held.map((text) => text.slice(0, LONGEST_ADVICE)) } : {}),
    });
    setProblems(wrong ?? {});
    if (!wrong) done();
  });
  return (
    <form
      noValidate
      aria-label={RESET_LABELS[reset]}
      onSubmit={(event) => void submit(event)}
      className="grid grid-cols-2 gap-3"
    >
      {keep.map((value) => (
        <div key={value} className="contents">
          <Field
            label={`${VALUE_LABELS[value]} before`}
            unit={unitOf(value)}
            error={problems[`before.${value}`]}
          >
            <input className="input-box" inputMode="decimal" {...form.register(`before ${value}`)} />
          </Field>
          <Field label={`${VALUE_LABELS[value]} now`} unit={unitOf(value)} error={problems[`after.${value}`]}>
            <input className="input-box" inputMode="decimal" {...form.register(`after ${value}`)} />
          </Field>
        </div>
      ))}
      <Field label="Ignition cycles after it" error={problems['keyCycles']}>
        <input className="input-box" inputMode="numeric" {...form.register('cycles')} />
      </Field>
      {against || warnings.length > 0 ? (
        <Field label="Reason for doing it anyway" error={problems['why']} className="col-span-2">
          <input className="input-box" {...form.register('why')} />
        </Field>
      ) : null}
      <Button type="submit" className="col-span-2">
        {against ? 'Save: done anyway' : 'Save as done'}
      </Button>
    </form>
  );
}
