import * as wording from '@white-ember/core/words/screens/readings';
import * as common from '@white-ember/core/words/screens/common';
import { faultIn, type UnitChoice } from '@white-ember/core/words';
import { useWords } from '../../data/words.ts';
import { useState } from 'react';
import { useFieldArray } from 'react-hook-form';
import type { ReadingBody } from '@white-ember/core/ledger';
import { PRESSURE_UNITS, unitLabel } from '@white-ember/core/quantities';
import { unitsPreferred } from '../../data/preferences.ts';
import { useAppDispatch, useAppSelector } from '../../data/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { CorrectingNotice } from '../../job/CorrectingNotice.tsx';
import { useAddEntry } from '../../job/useAddEntry.ts';
import { useCorrecting } from '../../job/useCorrecting.ts';
import { useTypedForm } from '../../job/useTypedForm.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { EMPTY_HAND, emptyRow, handReading, handValues, type HandUnits } from './handReading.ts';

const ROW_NAMES = {
  'key-off': wording.keyOnEngineOff,
  idle: common.idle,
  hold: wording.hold,
  snap: wording.snapHighest,
  'full-load': wording.fullLoadPull,
} as const;

type Column = 'rpm' | 'dp' | 'air' | 'manifold' | 'temperature' | 'back' | 'coolant';
/** What every reading wants; what only some do folds out. */
const USUAL: readonly Column[] = ['rpm', 'dp', 'air', 'manifold', 'temperature'];
const MORE: readonly Column[] = ['back', 'coolant'];
/** With the engine off only pressures say anything. */
const AT_REST: ReadonlySet<Column> = new Set(['dp', 'manifold', 'back']);
const COLUMNS = {
  usual: 'grid gap-x-1.5 gap-y-1 grid-cols-2 sm:grid-cols-[8.5rem_repeat(5,minmax(0,1fr))]',
  all: 'grid gap-x-1.5 gap-y-1 grid-cols-2 sm:grid-cols-[7rem_repeat(7,minmax(0,1fr))]',
} as const;

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
  const {
    pressure: pressureUnit,
    massFlow: massFlowUnit,
    temperature: temperatureUnit,
    soot: sootUnit,
  } = useAppSelector((state) => state.preferences.units);
  const words = useWords();
  const dispatch = useAppDispatch();
  const addEntry = useAddEntry(open.job.id);
  const units: HandUnits = {
    pressure: pressureUnit,
    massFlow: massFlowUnit,
    temperature: temperatureUnit,
    soot: sootUnit,
  };
  const correcting = useCorrecting(
    open,
    'reading',
    ({ body }) => body.purpose === purpose && body.origin.type === 'hand',
  );
  const { form, done, supersedes } = useTypedForm({
    draft: `reading ${purpose} ${open.job.id}`,
    empty: EMPTY_HAND,
    correcting,
    valuesOf: (body) => handValues(body, units),
  });
  const rows = useFieldArray({ control: form.control, name: 'rows' });
  const [problems, setProblems] = useState<Record<string, string>>({});
  const [unfolded, setUnfolded] = useState(open.vehicle.fitted?.includes('back-pressure-sensor') ?? false);
  const withMore =
    unfolded || form.getValues('rows').some(({ back = '', coolant = '' }) => back !== '' || coolant !== '');
  const submit = form.handleSubmit(async (values) => {
    const made = handReading(values, units, purpose);
    setProblems('problems' in made ? made.problems : {});
    if ('problems' in made) return;
    const wrong = await addEntry(made.body, supersedes);
    setProblems(wrong ?? {});
    if (wrong) return;
    done();
    onDone();
  });
  const listed = Object.entries(problems);
  const cell = (i: number, column: Column, who: string) => {
    const name = `rows.${i}.${column}` as const;
    return (
      <label className="block">
        <span className="sm:sr-only text-sm text-ink2">
          <span className="sr-only">{who}: </span>
          {labels[column]}
        </span>
        <input
          className="input-box text-right figure-text"
          inputMode="decimal"
          aria-invalid={problems[name] !== undefined}
          autoComplete="off"
          {...form.register(name)}
        />
      </label>
    );
  };
  const labels: Record<Column, string> = {
    rpm: 'rpm',
    dp: wording.deltap(unitLabel(pressureUnit)),
    air: wording.airMass(unitLabel(massFlowUnit)),
    manifold: wording.manifoldAbs(unitLabel(pressureUnit)),
    temperature: wording.filter(unitLabel(temperatureUnit)),
    back: wording.beforeTurboAbs(unitLabel(pressureUnit)),
    coolant: wording.coolant(unitLabel(temperatureUnit)),
  };
  const columns = withMore ? [...USUAL, ...MORE] : USUAL;
  const grid = withMore ? COLUMNS.all : COLUMNS.usual;
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid gap-4">
      <CorrectingNotice correcting={correcting} />
      <div className="grid gap-x-1.5 gap-y-1">
        <div className={`max-sm:hidden ${grid} items-end font-head font-semibold leading-tight`} aria-hidden>
          <span>{common.atWithin}</span>
          {columns.map((column) => (
            <span key={column}>{labels[column]}</span>
          ))}
        </div>
        {rows.fields.map((row, i) => {
          const nth = rows.fields.slice(0, i + 1).filter(({ kind }) => kind === row.kind).length;
          const who = row.kind === 'hold' ? common.hold(nth) : ROW_NAMES[row.kind];
          return (
            <div
              key={row.id}
              role="group"
              aria-label={who}
              className={`${grid} items-center max-sm:border-t-2 max-sm:border-rule max-sm:pt-2`}
            >
              <p className="font-head font-semibold leading-tight max-sm:col-span-2">{ROW_NAMES[row.kind]}</p>
              {row.kind === 'key-off' ? (
                <>
                  <span className="text-ink2 text-right pr-3 max-sm:hidden">0</span>
                  {columns
                    .slice(1)
                    .map((column) =>
                      AT_REST.has(column) && (column === 'dp' || withMore) ? (
                        <div key={column}>{cell(i, column, who)}</div>
                      ) : (
                        <span key={column} className="max-sm:hidden" />
                      ),
                    )}
                  <span className="text-sm text-ink2 col-span-full leading-tight">
                    {wording.theDeltapSensorsZeroIsRemovedFrom}
                  </span>
                </>
              ) : (
                columns.map((column) => <div key={column}>{cell(i, column, who)}</div>)
              )}
            </div>
          );
        })}
      </div>
      <div className="flex flex-wrap gap-x-6 items-center">
        <label className="flex items-center gap-2 min-h-11">
          <span className="font-head font-semibold">{wording.pressuresIn}</span>
          <select
            data-own-words
            className="input-box w-24"
            value={pressureUnit}
            onChange={(event) =>
              dispatch(unitsPreferred({ pressure: event.target.value as UnitChoice['pressure'] }))
            }
          >
            {PRESSURE_UNITS.map((unit) => (
              <option key={unit} value={unit}>
                {unitLabel(unit)}
              </option>
            ))}
          </select>
        </label>
        <Button
          weight="quiet"
          className="px-0"
          onClick={() => rows.append(emptyRow('hold', ''))}
          disabled={rows.fields.length >= 10}
        >
          {wording.oneMoreHold}
        </Button>
        <Button
          weight="quiet"
          className="px-0"
          onClick={() => rows.append(emptyRow('full-load', ''))}
          disabled={rows.fields.length >= 10}
        >
          {wording.aFullLoadPull}
        </Button>
        <Button
          weight="quiet"
          className="px-0"
          onClick={() => rows.append(emptyRow('snap', ''))}
          disabled={rows.fields.length >= 10}
        >
          {wording.aSnap}
        </Button>
        {withMore ? null : (
          <Button weight="quiet" className="px-0" onClick={() => setUnfolded(true)}>
            {wording.pressureBeforeTurboCoolant}
          </Button>
        )}
        <p className="text-sm text-ink2">{wording.anySpeedWillDoReadingsAreCompared}</p>
      </div>
      <div className="grid sm:grid-cols-[1fr_1fr_1fr_2fr] gap-4">
        <Field label={wording.barometer} unit={unitLabel(pressureUnit)} error={problems['barometerMbar']}>
          <input className="input-box" inputMode="decimal" {...form.register('barometer')} />
        </Field>
        <Field label={wording.sootValue} unit={unitLabel(sootUnit)} error={problems['sootCounterG']}>
          <input className="input-box" inputMode="decimal" {...form.register('soot')} />
        </Field>
        <Field label={wording.fillLevel} unit="%" error={problems['sootPercent']}>
          <input className="input-box" inputMode="decimal" {...form.register('fill')} />
        </Field>
        <Field label={common.note} error={problems['note']}>
          <input className="input-box" {...form.register('note')} />
        </Field>
      </div>
      {listed.length > 0 ? (
        <Notice title={common.notSavedYetWhatYouTypedIs} tone="alarm">
          <ul>
            {listed.map(([field, text]) => (
              <li key={field}>
                {field.startsWith('rows.') ? wording.row(Number(field.split('.')[1]) + 1) : ''}
                {faultIn(text, words)}
              </li>
            ))}
          </ul>
        </Notice>
      ) : null}
      <Button type="submit" weight="main">
        {wording.enterTheReading(purpose)}
      </Button>
    </form>
  );
}
