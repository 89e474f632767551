import * as common from '@white-ember/core/words/screens/common';
import { createContext, useContext, useEffect, useRef, type ReactNode } from 'react';
import { faultIn } from '@white-ember/core/words';
import { useWords } from '../data/words.ts';
import { Button } from '../ui/Button.tsx';
import { Field } from '../ui/Field.tsx';
import { Notice } from '../ui/Notice.tsx';
import { unitOf } from './kinds.ts';
import type { FieldForm as Its } from './useFieldForm.ts';

const FormContext = createContext<Its | undefined>(undefined);

function useFormOf(): Its {
  const form = useContext(FormContext);
  if (!form) throw new Error('A field stands in its form');
  return form;
}

/** A form with its fields; what is wrong with a field that is not on the screen stands at the top. */
export function FieldForm({
  of,
  onSave,
  label,
  className,
  children,
}: {
  of: Its;
  onSave: () => void;
  label?: string;
  className?: string;
  children: ReactNode;
}) {
  const form = useRef<HTMLFormElement>(null);
  const { problems } = of;
  // Who saved looks for what is missing: the first field with a fault has the next key.
  useEffect(() => {
    form.current?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
  }, [problems]);
  return (
    <FormContext value={of}>
      <form
        ref={form}
        noValidate
        aria-label={label}
        onSubmit={(event) => {
          event.preventDefault();
          // A form in a sheet stands in the form around it, which is not meant.
          event.stopPropagation();
          onSave();
        }}
        className={className}
      >
        <Unshown />
        {children}
      </form>
    </FormContext>
  );
}

function Unshown() {
  const words = useWords();
  const { problems, shown } = useFormOf();
  const unseen = [
    ...new Set(
      Object.entries(problems).flatMap(([path, fault]) => (shown.has(path) ? [] : [faultIn(fault, words)])),
    ),
  ];
  if (unseen.length === 0) return null;
  return (
    <div className="col-span-full">
      <Notice title={common.notSavedYetWhatYouTypedIs} tone="alarm">
        <ul>
          {unseen.map((fault) => (
            <li key={fault}>{fault}</li>
          ))}
        </ul>
      </Notice>
    </div>
  );
}

interface Shape {
  /** Its path in the body. */
  readonly name: string;
  readonly label: string;
  readonly hint?: ReactNode;
  readonly className?: string;
}

/** The fault of a field, in this person's words; the field is on the screen as long as it is asked for. */
export function useFault(name: string): string | undefined {
  const words = useWords();
  const { problems, shown } = useFormOf();
  useEffect(() => {
    shown.add(name);
    return () => {
      shown.delete(name);
    };
  }, [shown, name]);
  const fault = problems[name];
  return fault === undefined ? undefined : faultIn(fault, words);
}

/** A figure in this person's unit, which stands beside its name. */
export function FigureField({ name, label, hint, className }: Shape) {
  const { form, fields, units } = useFormOf();
  const kind = fields[name];
  const unit = kind && unitOf(kind, units);
  return (
    <Field
      label={label}
      {...(unit === undefined ? {} : { unit })}
      hint={hint}
      error={useFault(name)}
      {...(className === undefined ? {} : { className })}
    >
      <input className="input-box" inputMode="decimal" autoComplete="off" {...form.register(name)} />
    </Field>
  );
}

export function TextField({
  name,
  label,
  hint,
  className,
  rows,
  type = 'text',
  placeholder,
  upper = false,
}: Shape & {
  readonly rows?: number;
  readonly type?: 'text' | 'date';
  readonly placeholder?: string;
  /** Shown in capitals. */
  readonly upper?: boolean;
}) {
  const { form } = useFormOf();
  return (
    <Field
      label={label}
      hint={hint}
      error={useFault(name)}
      {...(className === undefined ? {} : { className })}
    >
      {rows === undefined ? (
        <input
          className={upper ? 'input-box uppercase' : 'input-box'}
          type={type}
          autoComplete="off"
          placeholder={placeholder}
          {...form.register(name)}
        />
      ) : (
        <textarea className="input-box" rows={rows} {...form.register(name)} />
      )}
    </Field>
  );
}

/** One of a list, by its id and what it is called. */
export function ChoiceField({
  name,
  label,
  hint,
  className,
  options,
}: Shape & { readonly options: readonly (readonly [id: string, label: string])[] }) {
  const { form } = useFormOf();
  return (
    <Field
      label={label}
      hint={hint}
      error={useFault(name)}
      {...(className === undefined ? {} : { className })}
    >
      <select className="input-box" {...form.register(name)}>
        {options.map(([id, its]) => (
          <option key={id} value={id}>
            {its}
          </option>
        ))}
      </select>
    </Field>
  );
}

export function TickField({ name, label, className = '' }: Shape) {
  const { form } = useFormOf();
  const fault = useFault(name);
  return (
    <label className={`flex items-center gap-3 min-h-12 ${className}`}>
      <input type="checkbox" className="size-6 accent-(--ember-button)" {...form.register(name)} />
      <span>
        {label}
        {fault ? <span className="block text-sm text-ember-text font-bold">✕ {fault}</span> : null}
      </span>
    </label>
  );
}

export function SaveButton({
  children,
  main = false,
  className,
}: {
  children: ReactNode;
  main?: boolean;
  className?: string;
}) {
  return (
    <Button
      type="submit"
      weight={main ? 'main' : 'plain'}
      {...(className === undefined ? {} : { className })}
    >
      {children}
    </Button>
  );
}
