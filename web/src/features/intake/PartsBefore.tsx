import * as wording from '@white-ember/core/words/screens/intake';
import * as common from '@white-ember/core/words/screens/common';
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
  pattern: wording.patternPart,
  unknown: common.notKnown,
};
const EFFECT_WORDS: Record<Changed['effect'], string> = {
  none: wording.changedNothing,
  better: wording.betterForAWhile,
  cured: wording.curedIt,
  worse: wording.worseSince,
  unknown: wording.effectNotKnown,
};
const FITS_WORDS: Record<NonNullable<Changed['fits']>, string> = {
  fits: 'fits',
  superseded: 'superseded',
  incompatible: wording.wrongPartForThisVehicle,
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
      <h2 className="text-xl mb-1">
        {where === 'elsewhere' ? wording.changedBeforeByOthers : wording.partsFitted}
      </h2>
      <ChangedParts entries={entries} />
      {entries.length === 0 ? <p className="text-ink2 py-1">{wording.nothingIsEntered}</p> : null}
      {canEnter ? <ChangedPartForm form={form} open={open} /> : null}
    </div>
  );
}

/** Another part that was changed. */
function ChangedPartForm({ form, open }: { form: OfEntry<'part-changed'>; open: OpenJob }) {
  const words = useWords();
  return (
    <details className="border-2 border-rule bg-card mt-2">
      <summary className="font-head font-semibold min-h-12 px-3 content-center">{wording.addAPart}</summary>
      <EntryForm of={form} className="grid grid-cols-2 gap-3 p-3 pt-0">
        <TextField name="what" label={common.part} className="col-span-2" />
        <ChoiceField name="part" label={common.onTheLine} options={partOptions(open, words, 'elsewhere')} />
        <TextField name="when" label={wording.when} />
        <ChoiceField name="condition" label={wording.itWas} options={Object.entries(CONDITION_WORDS)} />
        <ChoiceField name="effect" label={common.it} options={Object.entries(EFFECT_WORDS)} />
        <TextField name="number" label={common.partNumber} />
        <TextField name="supplier" label={common.supplier} />
        <ChoiceField
          name="fits"
          label={common.number}
          options={[['', wording.notLookedUp], ...Object.entries(FITS_WORDS)]}
        />
        <TextField name="supersededBy" label={wording.supersededBy} />
        <SaveButton className="col-span-2">{wording.saveThePart}</SaveButton>
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
              ...(body.number ? [common.noWithNumber(body.number)] : []),
              ...(body.supplier ? [body.supplier] : []),
              ...(body.fits ? [FITS_WORDS[body.fits]] : []),
              ...(body.supersededBy ? [common.now(body.supersededBy)] : []),
            ].join(' · ')}
          </p>
        </li>
      ))}
    </ul>
  );
}
