import { useState } from 'react';
import { entriesOfKind, type BodyOf, type PartId, PART_LABELS } from '@white-ember/core/ledger';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { useDraftForm } from '../../ui/useDraft.ts';
import { useAddEntry } from '../job/useAddEntry.ts';
import type { OpenJob } from '../job/useJob.ts';

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

const EMPTY = {
  what: '',
  part: '' as '' | PartId,
  when: '',
  condition: 'unknown' as Changed['condition'],
  effect: 'none' as Changed['effect'],
  number: '',
  supplier: '',
  fits: '' as '' | NonNullable<Changed['fits']>,
  supersededBy: '',
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
  const addEntry = useAddEntry(open.job.id);
  const { form, done } = useDraftForm(`part changed ${where} ${open.job.id}`, EMPTY);
  const [problem, setProblem] = useState<Record<string, string>>({});
  const entries = entriesOfKind(open.derived.entries, 'part-changed').filter(
    ({ body }) => body.where === where,
  );
  const submit = form.handleSubmit(
    async ({ what, part, when, condition, effect, number, supplier, fits, supersededBy }) => {
      const wrong = await addEntry({
        kind: 'part-changed',
        where,
        what,
        condition,
        effect,
        ...(part === '' ? {} : { part }),
        ...(when === '' ? {} : { when }),
        ...(number === '' ? {} : { number }),
        ...(supplier === '' ? {} : { supplier }),
        ...(fits === '' ? {} : { fits }),
        ...(supersededBy === '' ? {} : { supersededBy }),
      });
      setProblem(wrong ?? {});
      if (!wrong) done();
    },
  );
  return (
    <div>
      <h2 className="text-xl mb-1">{where === 'elsewhere' ? 'Changed before, by others' : 'Parts fitted'}</h2>
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
      {entries.length === 0 ? <p className="text-ink2 py-1">Nothing is entered.</p> : null}
      {canEnter ? (
        <details className="border-2 border-rule bg-card mt-2">
          <summary className="font-head font-semibold min-h-12 px-3 content-center">Add a part</summary>
          <form
            onSubmit={(event) => void submit(event)}
            className="grid grid-cols-2 gap-3 p-3 pt-0"
            noValidate
          >
            <Field label="Part" className="col-span-2" error={problem['what']}>
              <input className="input-box" {...form.register('what')} />
            </Field>
            <Field label="On the line">
              <select className="input-box" {...form.register('part')}>
                <option value="">elsewhere</option>
                {open.vehicle.fitted.map((id) => (
                  <option key={id} value={id}>
                    {PART_LABELS[id]}
                  </option>
                ))}
              </select>
            </Field>
            <Field label="When">
              <input className="input-box" {...form.register('when')} />
            </Field>
            <Field label="It was">
              <select className="input-box" {...form.register('condition')}>
                {Object.entries(CONDITION_WORDS).map(([value, label]) => (
                  <option key={value} value={value}>
                    {label}
                  </option>
                ))}
              </select>
            </Field>
            <Field label="It">
              <select className="input-box" {...form.register('effect')}>
                {Object.entries(EFFECT_WORDS).map(([value, label]) => (
                  <option key={value} value={value}>
                    {label}
                  </option>
                ))}
              </select>
            </Field>
            <Field label="Part number" error={problem['number']}>
              <input className="input-box" {...form.register('number')} />
            </Field>
            <Field label="Supplier" error={problem['supplier']}>
              <input className="input-box" {...form.register('supplier')} />
            </Field>
            <Field label="Number">
              <select className="input-box" {...form.register('fits')}>
                <option value="">not looked up</option>
                {Object.entries(FITS_WORDS).map(([value, label]) => (
                  <option key={value} value={value}>
                    {label}
                  </option>
                ))}
              </select>
            </Field>
            <Field label="Superseded by" error={problem['supersededBy']}>
              <input className="input-box" {...form.register('supersededBy')} />
            </Field>
            <Button type="submit" className="col-span-2">
              Save the part
            </Button>
          </form>
        </details>
      ) : null}
    </div>
  );
}
