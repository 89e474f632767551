import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { v7 as uuidv7 } from 'uuid';
import { SINGLE_USE, type BodyOf, type PartId, type SingleUse } from '@white-ember/core/ledger';
import { problemOf, useUploadPhotoMutation } from '../../../app/api.ts';
import { Button } from '../../../ui/Button.tsx';
import { Field } from '../../../ui/Field.tsx';
import { typedNumber } from '../../../ui/format.ts';
import { ProblemNotice } from '../../../ui/Notice.tsx';
import { useDraftForm } from '../../../ui/useDraft.ts';
import { useAddEntry } from '../../job/useAddEntry.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { USUAL_PARTS, type UsualPart } from './usualParts.ts';

const EMPTY = {
  what: '',
  part: '',
  count: '',
  size: '',
  torque: '',
  single: '' as SingleUse | '',
  singleCount: '1',
  singleNumber: '',
  plugs: '',
  helper: false,
  critical: false,
  note: '',
};

export const SINGLE_USE_LABELS: Readonly<Record<SingleUse, string>> = {
  seal: 'Seal',
  clamp: 'Clamp',
  bolt: 'Bolt',
  nut: 'Nut',
  other: 'Other',
};

/** A part that comes off, entered as it comes: one tap for the usual ones, the rest by hand. */
export function PartOffForm({ open, number }: { open: OpenJob; number: number }) {
  const addEntry = useAddEntry(open.job.id);
  const { form, done } = useDraftForm(`part off ${open.job.id}`, EMPTY);
  const typed = useWatch({ control: form.control });
  const [problems, setProblems] = useState<Record<string, string>>({});
  const [upload, photoState] = useUploadPhotoMutation();
  const [photo, setPhoto] = useState<string>();
  const { fitted } = open.vehicle;
  const usual = USUAL_PARTS.filter(({ part }) => part === undefined || fitted.includes(part));
  const take = (one: UsualPart): void => {
    const [single] = one.singleUse ?? [];
    form.reset({
      ...EMPTY,
      what: one.what,
      part: one.part ?? '',
      single: single?.what ?? '',
      singleCount: String(single?.count ?? 1),
      plugs: (one.connectors ?? []).join(', '),
      helper: one.helper ?? false,
      critical: one.safetyCritical ?? false,
    });
  };
  const keepPhoto = async (files: FileList | null): Promise<void> => {
    const file = files?.[0];
    if (!file) return;
    const kept = await upload({ jobId: open.job.id, id: uuidv7(), file });
    if (kept.data) setPhoto(kept.data.id);
  };
  const submit = form.handleSubmit(async (values) => {
    const count = typedNumber(values.count);
    const torqueNm = typedNumber(values.torque);
    const plugs = values.plugs
      .split(',')
      .map((text) => text.trim())
      .filter((text) => text !== '');
    const body: BodyOf<'part-off'> = {
      kind: 'part-off',
      what: values.what,
      ...(values.part ? { part: values.part as PartId } : {}),
      ...(count === undefined
        ? {}
        : { fasteners: { count, ...(values.size.trim() ? { size: values.size } : {}) } }),
      ...(torqueNm === undefined ? {} : { torqueNm }),
      ...(values.single
        ? {
            singleUse: [
              {
                what: values.single,
                count: typedNumber(values.singleCount) ?? Number.NaN,
                ...(values.singleNumber.trim() ? { number: values.singleNumber } : {}),
              },
            ],
          }
        : {}),
      ...(plugs.length > 0 ? { connectors: plugs } : {}),
      ...(values.helper ? { helper: true } : {}),
      ...(values.critical ? { safetyCritical: true } : {}),
      ...(photo ? { photo } : {}),
      ...(values.note.trim() ? { note: values.note } : {}),
    };
    const wrong = await addEntry(body);
    setProblems(wrong ?? {});
    if (wrong) return;
    done(values);
    setPhoto(undefined);
  });
  return (
    <form
      noValidate
      onSubmit={(event) => void submit(event)}
      className="grid gap-3 border-2 border-ink bg-card p-3"
      aria-label="Remove a part"
    >
      <p className="font-head font-semibold text-lg">Part {number} comes off</p>
      <div className="flex flex-wrap gap-1.5" role="group" aria-label="Usual parts">
        {usual.map((one) => (
          <button
            key={one.what}
            type="button"
            aria-pressed={typed.what === one.what}
            onClick={() => take(one)}
            className="min-h-11 px-3 border-2 border-rule font-head font-semibold aria-pressed:bg-ink aria-pressed:text-paper aria-pressed:border-ink"
          >
            {one.what}
          </button>
        ))}
      </div>
      <div className="grid grid-cols-2 sm:grid-cols-4 gap-3">
        <Field label="Part" className="col-span-2 sm:col-span-4" error={problems['what']}>
          <input className="input-box" {...form.register('what')} />
        </Field>
        <Field label="Fasteners" error={problems['fasteners.count']}>
          <input className="input-box" inputMode="numeric" {...form.register('count')} />
        </Field>
        <Field label="Size">
          <input className="input-box" placeholder="M8 × 25" {...form.register('size')} />
        </Field>
        <Field label="Torque" unit="N·m" hint="Vehicle data" error={problems['torqueNm']}>
          <input className="input-box" inputMode="decimal" {...form.register('torque')} />
        </Field>
        <Field label="Plugs on it" hint="With commas">
          <input className="input-box" {...form.register('plugs')} />
        </Field>
        <Field label="Not used again">
          <select className="input-box" {...form.register('single')}>
            <option value="">nothing</option>
            {SINGLE_USE.map((what) => (
              <option key={what} value={what}>
                {SINGLE_USE_LABELS[what]}
              </option>
            ))}
          </select>
        </Field>
        {typed.single ? (
          <>
            <Field label="How many" error={problems['singleUse.0.count']}>
              <input className="input-box" inputMode="numeric" {...form.register('singleCount')} />
            </Field>
            <Field label="Its number">
              <input className="input-box" {...form.register('singleNumber')} />
            </Field>
          </>
        ) : null}
      </div>
      <div className="flex flex-wrap gap-x-6">
        <label className="flex items-center gap-2 min-h-12">
          <input type="checkbox" className="size-6 accent-(--ember)" {...form.register('critical')} />
          Axle, mount or steering: safety-critical
        </label>
        <label className="flex items-center gap-2 min-h-12">
          <input type="checkbox" className="size-6 accent-(--ember)" {...form.register('helper')} />
          Takes two people
        </label>
      </div>
      {typed.critical ? (
        <p className="border-l-8 border-ink pl-3">
          Support the engine before loosening. Sign off each fastener when refitting.
        </p>
      ) : null}
      <Field label="Note">
        <input className="input-box" {...form.register('note')} />
      </Field>
      <div className="flex flex-wrap gap-3 items-center">
        <Button type="submit" weight="main">
          Removed
        </Button>
        <label className="border-2 border-ink bg-card min-h-12 px-4 content-center font-head font-semibold rounded-sm has-focus-visible:outline-3 has-focus-visible:outline-steel">
          {photoState.isLoading ? 'Keeping it …' : photo ? 'Photo kept; another' : 'Photo of it'}
          <input
            type="file"
            accept="image/jpeg,image/png,image/webp"
            capture="environment"
            className="sr-only"
            onChange={(event) => {
              void keepPhoto(event.target.files);
              event.target.value = '';
            }}
          />
        </label>
      </div>
      {photoState.error ? <ProblemNotice problem={problemOf(photoState.error)} /> : null}
    </form>
  );
}
