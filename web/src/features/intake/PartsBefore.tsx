import { entriesOfKind, type BodyOf, type EntryOf } from '@white-ember/core/ledger';
import { useWords } from '../../data/words.ts';
import { ChoiceField, SaveButton, TextField } from '../../form/FieldForm.tsx';
import { choice, optionalText, text } from '../../form/kinds.ts';
import { EntryForm } from '../../job/EntryForm.tsx';
import { partOptions } from '../../job/partOptions.ts';
import { useEntryForm, type FieldsOf, type EntryForm as OfEntry } from '../../job/useEntryForm.ts';
import type { OpenJob } from '../../job/useJob.ts';

type Changed = BodyOf<'part-changed'>;

const CONDITION_WORDS: Record<Changed['condition'], string> = {
  new: 'new',
  used: 'used',
  pattern: 'pattern part',
  unknown: 'not known',
};
const EFFECT_WORDS: Record<Changed['effect'], string> = {
  none: 'changed nothing',
  better: 'better for a while',
  cured: 'cured it',
  worse: 'worse since',
  unknown: 'effect not known',
};
const FITS_WORDS: Record<NonNullable<Changed['fits']>, string> = {
  fits: 'fits',
  superseded: 'superseded',
  incompatible: 'wrong part for this vehicle',
};

const FIELDS: FieldsOf<'part-changed'> = {
  what: text(),
  part: choice(),
  when: optionalText(),
  condition: choice('unknown'),
  effect: choice('none'),
  number: optionalText(),
  supplier: optionalText(),
  fits: choice(),
  supersededBy: optionalText(),
};

/** Each part that was changed, by others before or here: what it was, and whether it changed anything. */
export function PartsBefore({
  open,
  canEnter,
  where = 'elsewhere',
}: {
  open: OpenJob;
  canEnter: boolean;
  where?: Changed['where'];
}) {
  const form = useEntryForm(open, 'part-changed', FIELDS, {
    draft: `part changed ${where}`,
    fixed: { where },
  });
  const entries = entriesOfKind(open.derived.entries, 'part-changed').filter(
    ({ body }) => body.where === where,
  );
  return (
    <div>
      <h2 className="text-xl mb-1">{where === 'elsewhere' ? 'Changed before, by others' : 'Parts fitted'}</h2>
      <ChangedParts entries={entries} />
      {entries.length === 0 ? <p className="text-ink2 py-1">Nothing is entered.</p> : null}
      {canEnter ? <ChangedPartForm form={form} open={open} /> : null}
    </div>
  );
}

/** Another part that was changed. */
function ChangedPartForm({ form, open }: { form: OfEntry<'part-changed'>; open: OpenJob }) {
  const words = useWords();
  return (
    <details className="border-2 border-rule bg-card mt-2">
      <summary className="font-head font-semibold min-h-12 px-3 content-center">Add a part</summary>
      <EntryForm of={form} className="grid grid-cols-2 gap-3 p-3 pt-0">
        <TextField name="what" label="Part" className="col-span-2" />
        <ChoiceField name="part" label="On the line" options={partOptions(open, words, 'elsewhere')} />
        <TextField name="when" label="When" />
        <ChoiceField name="condition" label="It was" options={Object.entries(CONDITION_WORDS)} />
        <ChoiceField name="effect" label="It" options={Object.entries(EFFECT_WORDS)} />
        <TextField name="number" label="Part number" />
        <TextField name="supplier" label="Supplier" />
        <ChoiceField
          name="fits"
          label="Number"
          options={[['', 'not looked up'], ...Object.entries(FITS_WORDS)]}
        />
        <TextField name="supersededBy" label="Superseded by" />
        <SaveButton className="col-span-2">Save the part</SaveButton>
      </EntryForm>
    </details>
  );
}

/** What was changed. */
function ChangedParts({ entries }: { entries: readonly EntryOf<'part-changed'>[] }) {
  return (
    <ul className="border-t-2 border-ink">
      {entries.map(({ id, body }) => (
        <li key={id} className="border-b-2 border-rule py-2">
          <p className="font-head font-semibold">
            {body.what}
            {body.when ? `, ${body.when}` : ''}
          </p>
          <p className="text-sm text-ink2">
            {[
              CONDITION_WORDS[body.condition],
              EFFECT_WORDS[body.effect],
              ...(body.number ? [`no. ${body.number}`] : []),
              ...(body.supplier ? [body.supplier] : []),
              ...(body.fits ? [FITS_WORDS[body.fits]] : []),
              ...(body.supersededBy ? [`now ${body.supersededBy}`] : []),
            ].join(' · ')}
          </p>
        </li>
      ))}
    </ul>
  );
}
