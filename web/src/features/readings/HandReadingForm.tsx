import { useState } from 'react';
import { useFieldArray, useForm } from 'react-hook-form';
import type { ReadingBody } from '@white-ember/core/ledger';
import { PRESSURE_UNITS, unitLabel, type Unit } from '@white-ember/core/quantities';
import { preferred } from '../../app/preferences.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { dropDraft, readDraft, useDraft } from '../../ui/useDraft.ts';
import { useAddEntry } from '../job/useAddEntry.ts';
import type { OpenJob } from '../job/useJob.ts';
import { EMPTY_HAND, emptyRow, handReading, type HandValues } from './handReading.ts';

const ROW_NAMES = { 'key-off': 'Key on, engine off', idle: 'Idle', hold: 'Hold' } as const;

/** The figures of a screen typed in, in the person's units; what is not known stays empty and is assumed aloud. */
export function HandReadingForm({
  open,
  purpose,
  onDone,
}: {
  open: OpenJob;
  purpose: ReadingBody['purpose'];
  onDone: () => void;
}) {
  const { pressureUnit, massFlowUnit, temperatureUnit } = useAppSelector((state) => state.preferences);
  const dispatch = useAppDispatch();
  const addEntry = useAddEntry(open.job.id);
  const draft = `reading ${purpose} ${open.job.id}`;
  const form = useForm<HandValues>({ defaultValues: readDraft(draft, EMPTY_HAND) });
  useDraft(draft, form);
  const rows = useFieldArray({ control: form.control, name: 'rows' });
  const [problems, setProblems] = useState<Record<string, string>>({});
  const submit = form.handleSubmit(async (values) => {
    const made = handReading(
      values,
      { pressure: pressureUnit, massFlow: massFlowUnit, temperature: temperatureUnit },
      purpose,
    );
    setProblems('problems' in made ? made.problems : {});
    if ('problems' in made) return;
    const wrong = await addEntry(made.body);
    setProblems(wrong ?? {});
    if (wrong) return;
    form.reset(EMPTY_HAND);
    dropDraft(draft);
    onDone();
  });
  const listed = Object.entries(problems);
  const cell = (
    name: `rows.${number}.${'rpm' | 'dp' | 'air' | 'manifold' | 'temperature'}`,
    label: string,
  ) => (
    <input
      className="input-box text-right figure-text"
      inputMode="decimal"
      aria-label={label}
      aria-invalid={problems[name] !== undefined}
      autoComplete="off"
      {...form.register(name)}
    />
  );
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid gap-4">
      <div className="overflow-x-auto">
        <table className="w-full min-w-[620px] text-left border-separate border-spacing-x-1.5 border-spacing-y-1">
          <thead>
            <tr className="align-bottom">
              <th className="w-40">at</th>
              <th>rpm</th>
              <th>
                ΔP,{' '}
                <select
                  aria-label="Pressure unit"
                  className="bg-card border-2 border-ink min-h-9 rounded-sm"
                  value={pressureUnit}
                  onChange={(event) => dispatch(preferred({ pressureUnit: event.target.value as Unit }))}
                >
                  {PRESSURE_UNITS.map((unit) => (
                    <option key={unit} value={unit}>
                      {unitLabel(unit)}
                    </option>
                  ))}
                </select>
              </th>
              <th>Air mass, {unitLabel(massFlowUnit)}</th>
              <th>Manifold, {unitLabel(pressureUnit)} abs.</th>
              <th>Filter, {unitLabel(temperatureUnit)}</th>
            </tr>
          </thead>
          <tbody>
            {rows.fields.map((row, i) => {
              const name = row.kind === 'hold' ? `Hold ${i - 1}` : ROW_NAMES[row.kind];
              return (
                <tr key={row.id}>
                  <th scope="row">{ROW_NAMES[row.kind]}</th>
                  <td>
                    {row.kind === 'key-off' ? (
                      <span className="text-ink2 pl-2">0</span>
                    ) : (
                      cell(`rows.${i}.rpm`, `${name}: rpm`)
                    )}
                  </td>
                  <td>{cell(`rows.${i}.dp`, `${name}: ΔP`)}</td>
                  {row.kind === 'key-off' ? (
                    <td colSpan={3} className="text-sm text-ink2 pl-2">
                      the sensor’s own zero; taken off every reading
                    </td>
                  ) : (
                    <>
                      <td>{cell(`rows.${i}.air`, `${name}: air mass`)}</td>
                      <td>{cell(`rows.${i}.manifold`, `${name}: manifold pressure`)}</td>
                      <td>{cell(`rows.${i}.temperature`, `${name}: filter temperature`)}</td>
                    </>
                  )}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <div>
        <Button
          weight="quiet"
          className="px-0"
          onClick={() => rows.append(emptyRow('hold', ''))}
          disabled={rows.fields.length >= 10}
        >
          One more hold
        </Button>
        <p className="text-sm text-ink2">
          Any speed will do: readings are compared at equal flow. Air mass says the flow best; without it the
          engine size does.
        </p>
      </div>
      <div className="grid sm:grid-cols-[1fr_1fr_2fr] gap-4">
        <Field label="Barometer" unit={unitLabel(pressureUnit)} error={problems['barometerMbar']}>
          <input className="input-box" inputMode="decimal" {...form.register('barometer')} />
        </Field>
        <Field label="Soot value" unit="g" error={problems['sootCounterG']}>
          <input className="input-box" inputMode="decimal" {...form.register('soot')} />
        </Field>
        <Field label="Note" error={problems['note']}>
          <input className="input-box" {...form.register('note')} />
        </Field>
      </div>
      {listed.length > 0 ? (
        <Notice title="Not entered yet; what you typed is kept" tone="alarm">
          <ul>
            {listed.map(([field, text]) => (
              <li key={field}>
                {field.startsWith('rows.') ? `Row ${Number(field.split('.')[1]) + 1} · ` : ''}
                {text}
              </li>
            ))}
          </ul>
        </Notice>
      ) : null}
      <Button type="submit" weight="main">
        Enter the {purpose} reading
      </Button>
    </form>
  );
}
