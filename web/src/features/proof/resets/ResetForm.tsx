import { useMemo } from 'react';
import type { ResetValue } from '@white-ember/core/ledger';
import type { ResetStep } from '@white-ember/core/proof';
import { useWords } from '../../../data/words.ts';
import { FigureField, SaveButton, TextField } from '../../../form/FieldForm.tsx';
import { figure, number, optionalText, type FieldKind } from '../../../form/kinds.ts';
import { EntryForm } from '../../../job/EntryForm.tsx';
import { useEntryForm, type FieldsOf } from '../../../job/useEntryForm.ts';
import type { OpenJob } from '../../../job/useJob.ts';

const VALUES: Readonly<Record<ResetValue, readonly [label: string, kind: FieldKind]>> = {
  sootG: ['Soot', figure('g')],
  ashG: ['Ash', figure('g')],
  deltaPZeroMbar: ['ΔP at rest', figure('mbar')],
  oilLifePercent: ['Oil life', figure('percent')],
  codes: ['Codes stored', number()],
};

const said = (value: unknown): boolean => typeof value === 'object' && value !== null;

/** A reset that another tool did: what stood there before and what stands there now. */
export function ResetForm({ open, step }: { open: OpenJob; step: ResetStep }) {
  const words = useWords();
  const { reset, keep, warnings, held } = step;
  // Done all the same: what stood there may be gone, and the record needs the reason.
  const against = held.length > 0;
  const fields = useMemo((): FieldsOf<'reset'> => {
    const values = keep.flatMap((value) =>
      (['before', 'after'] as const).map((when) => [`${when}.${value}`, VALUES[value][1]] as const),
    );
    return { ...Object.fromEntries(values), keyCycles: number(), why: optionalText() };
  }, [keep]);
  const form = useEntryForm(open, 'reset', fields, {
    draft: `reset ${reset}`,
    fixed: { reset, source: 'hand' },
    finish: (typed) => {
      const before = said(typed['before']) ? (typed['before'] as Partial<Record<ResetValue, number>>) : {};
      const missing = keep.find((value) => before[value] === undefined);
      if (missing && !against)
        return { wrong: { [`before.${missing}`]: 'Read it first: it is lost afterwards' } };
      if ((against || warnings.length > 0) && typed['why'] === undefined)
        return { wrong: { why: 'Reason for doing it anyway' } };
      return { ...typed, before, ...(against ? { against: held } : {}) };
    },
  });
  return (
    <EntryForm of={form} label={words.name('resets', reset)} className="grid grid-cols-2 gap-3">
      {keep.map((value) => (
        <div key={value} className="contents">
          <FigureField name={`before.${value}`} label={`${VALUES[value][0]} before`} />
          <FigureField name={`after.${value}`} label={`${VALUES[value][0]} now`} />
        </div>
      ))}
      <FigureField name="keyCycles" label="Ignition cycles after it" />
      {against || warnings.length > 0 ? (
        <TextField name="why" label="Reason for doing it anyway" className="col-span-2" />
      ) : null}
      <SaveButton className="col-span-2">{against ? 'Save: done anyway' : 'Save as done'}</SaveButton>
    </EntryForm>
  );
}
