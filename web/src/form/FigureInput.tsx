import type { ReactNode } from 'react';
import { Field } from '../ui/Field.tsx';
import type { TypedFigure } from './useTypedFigure.ts';

/** A figure by itself, with its unit beside its name. */
export function FigureInput({
  of,
  label,
  hint,
  error,
  className,
}: {
  of: TypedFigure;
  label: string;
  hint?: ReactNode;
  error?: string | undefined;
  className?: string;
}) {
  return (
    <Field
      label={label}
      unit={of.unit}
      hint={hint}
      error={error}
      {...(className === undefined ? {} : { className })}
    >
      <input
        className="input-box"
        inputMode="decimal"
        autoComplete="off"
        value={of.text}
        onChange={(event) => of.type(event.target.value)}
      />
    </Field>
  );
}
