import * as wording from '@white-ember/core/words/screens/treatment';
import * as common from '@white-ember/core/words/screens/common';
import { useState } from 'react';
import { get } from 'react-hook-form';
import { v7 as uuidv7 } from 'uuid';
import { SINGLE_USE, type SingleUse } from '@white-ember/core/ledger';
import { problemOf, useUploadPhotoMutation } from '../../../data/api.ts';
import { ChoiceField, FigureField, SaveButton, TextField, TickField } from '../../../form/FieldForm.tsx';
import {
  choice,
  commaList,
  figure,
  number,
  optionalText,
  text,
  tick,
  type Fields,
} from '../../../form/kinds.ts';
import { typedFrom } from '../../../form/bodies.ts';
import { ProblemNotice } from '../../../ui/Notice.tsx';
import { EntryForm } from '../../../job/EntryForm.tsx';
import { useEntryForm, type FieldsOf } from '../../../job/useEntryForm.ts';
import type { OpenJob } from '../../../job/useJob.ts';
import { USUAL_PARTS, type UsualPart } from './usualParts.ts';

const FIELDS: FieldsOf<'part-off'> = {
  what: text(),
  part: choice(),
  'fasteners.count': number(),
  'fasteners.size': optionalText(),
  torqueNm: figure('Nm'),
  'singleUse.0.what': choice(),
  'singleUse.0.count': number('1'),
  'singleUse.0.number': optionalText(),
  connectors: commaList(),
  helper: tick(),
  safetyCritical: tick(),
  note: optionalText(),
};

export const SINGLE_USE_LABELS: Readonly<Record<SingleUse, string>> = {
  seal: wording.seal,
  clamp: wording.clamp,
  bolt: wording.bolt,
  nut: wording.nut,
  other: common.other,
};

/** A part that comes off, entered as it comes: one tap for the usual ones, the rest by hand. */
export function PartOffForm({ open, number }: { open: OpenJob; number: number }) {
  const [upload, photoState] = useUploadPhotoMutation();
  const [photo, setPhoto] = useState<string>();
  const form = useEntryForm(open, 'part-off', FIELDS, {
    draft: 'part off',
    finish: ({ singleUse, ...body }, { values }) => ({
      ...body,
      // How many stands there before anything is chosen.
      ...(get(values, 'singleUse.0.what') ? { singleUse } : {}),
      ...(photo ? { photo } : {}),
    }),
    onSaved: () => setPhoto(undefined),
  });
  const what = form.typed('what');
  const { fitted } = open.vehicle;
  const usual = USUAL_PARTS.filter(({ part }) => part === undefined || fitted.includes(part));
  const take = (one: UsualPart): void => {
    const [single] = one.singleUse ?? [];
    form.form.reset(
      typedFrom(
        FIELDS as Fields,
        {
          what: one.what,
          part: one.part,
          ...(single ? { singleUse: [single] } : {}),
          connectors: one.connectors,
          helper: one.helper,
          safetyCritical: one.safetyCritical,
        },
        form.units,
      ),
    );
  };
  const keepPhoto = async (files: FileList | null): Promise<void> => {
    const file = files?.[0];
    if (!file) return;
    const kept = await upload({ jobId: open.job.id, id: uuidv7(), file });
    if (kept.data) setPhoto(kept.data.id);
  };
  return (
    <EntryForm of={form} label={wording.removeAPart} className="grid gap-3 border-2 border-ink bg-card p-3">
      <p className="font-head font-semibold text-lg">{wording.partComesOff(number)}</p>
      <div className="flex flex-wrap gap-1.5" role="group" aria-label={wording.usualParts}>
        {usual.map((one) => (
          <button
            key={one.what}
            type="button"
            aria-pressed={what === one.what}
            onClick={() => take(one)}
            className="min-h-11 px-3 border-2 border-rule font-head font-semibold aria-pressed:bg-ink aria-pressed:text-paper aria-pressed:border-ink"
          >
            {one.what}
          </button>
        ))}
      </div>
      <div className="grid grid-cols-2 sm:grid-cols-4 gap-3">
        <TextField name="what" label={common.part} className="col-span-2 sm:col-span-4" />
        <FigureField name="fasteners.count" label={wording.fasteners} />
        <TextField name="fasteners.size" label={wording.size} placeholder="M8 × 25" />
        <FigureField name="torqueNm" label={common.torque} hint={wording.vehicleData} />
        <TextField name="connectors" label={wording.plugsOnIt} hint={wording.withCommas} />
        <ChoiceField
          name="singleUse.0.what"
          label={wording.notUsedAgain}
          options={[['', 'nothing'], ...SINGLE_USE.map((one) => [one, SINGLE_USE_LABELS[one]] as const)]}
        />
        {form.typed('singleUse.0.what') ? (
          <>
            <FigureField name="singleUse.0.count" label={wording.howMany} />
            <TextField name="singleUse.0.number" label={wording.itsNumber} />
          </>
        ) : null}
      </div>
      <div className="flex flex-wrap gap-x-6">
        <TickField name="safetyCritical" label={wording.axleMountOrSteeringSafetyCritical} />
        <TickField name="helper" label={wording.takesTwoPeople} />
      </div>
      {form.typed('safetyCritical') === true ? (
        <p className="border-l-8 border-ink pl-3">{wording.supportTheEngineBeforeLoosening}</p>
      ) : null}
      <TextField name="note" label={common.note} />
      <div className="flex flex-wrap gap-3 items-center">
        <SaveButton main>{wording.removed}</SaveButton>
        <label className="border-2 border-ink bg-card min-h-12 px-4 content-center font-head font-semibold rounded-sm has-focus-visible:outline-3 has-focus-visible:outline-steel">
          {photoState.isLoading ? common.keepingIt : photo ? wording.photoKeptAnother : wording.photoOfIt}
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
    </EntryForm>
  );
}
