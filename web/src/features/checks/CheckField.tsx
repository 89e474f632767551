import * as wording from '@white-ember/core/words/screens/checks';
import type { Spoken, UnitChoice } from '@white-ember/core/words';
import { useController, type Control } from 'react-hook-form';
import type { Field as CardField, NumberField, RowsField } from '@white-ember/core/checks';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import type { LiveSession } from '../live/liveSession.ts';
import { LiveTake } from './LiveTake.tsx';
import { RecordRows } from './RecordRows.tsx';
import { asTyped, unitText, type TypedCheck } from './typedCheck.ts';

interface CheckFieldProps {
  readonly control: Control<TypedCheck>;
  readonly shown: UnitChoice;
  readonly session: LiveSession | undefined;
  readonly problem: string | undefined;
}

/** One thing that a check asks for: a figure with its live value, a choice, or rows. */
export function CheckField({ field, ...rest }: CheckFieldProps & { field: Spoken<CardField> }) {
  switch (field.kind) {
    case 'number':
      return <NumberEntry field={field} {...rest} />;
    case 'choice':
      return <Choice field={field} {...rest} />;
    case 'rows':
      return <Rows field={field} {...rest} />;
  }
}

function NumberEntry({
  field,
  control,
  shown,
  session,
  problem,
}: CheckFieldProps & { field: Spoken<NumberField> }) {
  const { field: input } = useController({ control, name: `single.${field.id}` });
  const unit = unitText(field.unit, field.suffix, shown);
  return (
    <div className="max-w-md">
      <Field
        label={field.label}
        {...(unit === '' ? {} : { unit })}
        {...(field.hint === undefined ? {} : { hint: field.hint })}
        error={problem}
      >
        <input
          className="input-box"
          inputMode="decimal"
          autoComplete="off"
          {...input}
          value={input.value ?? ''}
        />
      </Field>
      {field.live ? (
        <LiveTake
          session={session}
          role={field.live}
          onTake={(value) => input.onChange(asTyped(value, field.unit, shown))}
          shownAs={(value) => `${asTyped(value, field.unit, shown)} ${unit}`}
        />
      ) : null}
    </div>
  );
}

function Choice({
  field,
  control,
}: CheckFieldProps & { field: Spoken<Extract<CardField, { kind: 'choice' }>> }) {
  const { field: input } = useController({ control, name: `single.${field.id}` });
  return (
    <fieldset>
      <legend className="mb-1">{field.label}</legend>
      <div className="grid sm:grid-cols-2 gap-2">
        {field.options.map(([value, label]) => (
          <label
            key={value}
            className={`flex items-center gap-2 min-h-11 px-3 py-1 border-2 rounded-sm has-focus-visible:outline-3 has-focus-visible:outline-steel ${input.value === value ? 'border-ink bg-card font-bold' : 'border-rule'}`}
          >
            <input
              type="radio"
              className="size-5 accent-[var(--ember-button)] shrink-0"
              name={input.name}
              checked={input.value === value}
              onChange={() => input.onChange(value)}
            />
            {label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

/** More recorded rows than this are told by their number, not listed. */
const LISTED_ROWS = 16;

function Rows({ field, control, shown, session, problem }: CheckFieldProps & { field: Spoken<RowsField> }) {
  const { field: input } = useController({ control, name: `rows.${field.id}` });
  const rows = input.value ?? [];
  const set = (r: number, c: number, text: string): void =>
    input.onChange(
      rows.map((row, i) => (i === r ? field.columns.map((_, k) => (k === c ? text : (row[k] ?? ''))) : row)),
    );
  const headings = field.columns.map(({ label, unit }) => {
    const its = unitText(unit, undefined, shown);
    return its === '' ? label : `${label}, ${its}`;
  });
  return (
    <fieldset className="min-w-0">
      <legend className="mb-1">{field.label}</legend>
      {field.records ? (
        <RecordRows
          session={session}
          {...field.records}
          onRows={(recorded) =>
            input.onChange(
              recorded.map(([at, value]) => [
                asTyped(at, field.columns[0]?.unit, shown),
                asTyped(value, field.columns[1]?.unit, shown),
              ]),
            )
          }
        />
      ) : null}
      {rows.length > LISTED_ROWS ? (
        <p className="py-2">
          {wording.readingsAreIn(rows.length)}{' '}
          <Button weight="quiet" onClick={() => input.onChange([])}>
            {wording.takeThemOut}
          </Button>
        </p>
      ) : (
        <table className="w-full max-w-xl text-left">
          <thead>
            <tr>
              {headings.map((heading) => (
                <th key={heading} className="pr-2 pb-1 text-sm align-bottom">
                  {heading}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, r) => (
              <tr key={r}>
                {field.columns.map(({ live, unit }, c) => (
                  <td key={c} className="pr-2 pb-1 align-top">
                    <input
                      className="input-box"
                      inputMode="decimal"
                      autoComplete="off"
                      aria-label={wording.row(headings[c] ?? '', r + 1)}
                      value={row[c] ?? ''}
                      onChange={(event) => set(r, c, event.target.value)}
                    />
                    {live && (row[c] ?? '') === '' ? (
                      <LiveTake
                        session={session}
                        role={live}
                        onTake={(value) => set(r, c, asTyped(value, unit, shown))}
                        shownAs={(value) => asTyped(value, unit, shown)}
                      />
                    ) : null}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {rows.length <= LISTED_ROWS ? (
        <Button weight="quiet" onClick={() => input.onChange([...rows, field.columns.map(() => '')])}>
          {wording.anotherRow}
        </Button>
      ) : null}
      {problem ? <p className="text-sm text-ember-text font-bold">✕ {problem}</p> : null}
    </fieldset>
  );
}
