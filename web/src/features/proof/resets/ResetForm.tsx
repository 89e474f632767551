import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/proof';
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
  sootG: [common.soot, figure('g')],
  ashG: [wording.ash, figure('g')],
  deltaPZeroMbar: [wording.deltapAtRest, figure('mbar')],
  oilLifePercent: [wording.oilLife, figure('percent')],
  codes: [wording.codesStored, number()],
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
        return { wrong: { [`before.${missing}`]: wording.readItFirstItIsLostAfterwards } };
      if ((against || warnings.length > 0) && typed['why'] === undefined)
        return { wrong: { why: common.reasonForDoingItAnyway } };
      return { ...typed, before, ...(against ? { against: held } : {}) };
    },
  });
  return (
    <EntryForm of={form} label={words.name('resets', reset)} className="grid grid-cols-2 gap-3">
      {keep.map((value) => (
        <div key={value} className="contents">
          <FigureField name={`before.${value}`} label={wording.before(VALUES[value][0])} />
          <FigureField name={`after.${value}`} label={wording.now(VALUES[value][0])} />
        </div>
      ))}
      <FigureField name="keyCycles" label={wording.ignitionCyclesAfterIt} />
      {against || warnings.length > 0 ? (
        <TextField name="why" label={common.reasonForDoingItAnyway} className="col-span-2" />
      ) : null}
      <SaveButton className="col-span-2">{against ? wording.saveDoneAnyway : wording.saveAsDone}</SaveButton>
    </EntryForm>
  );
}
