import { useId, type ReactElement, type ReactNode, cloneElement } from 'react';

interface FieldProps {
  readonly label: string;
  readonly unit?: string;
  readonly hint?: ReactNode;
  readonly error?: string | undefined;
  readonly children: ReactElement<{ id?: string; 'aria-invalid'?: boolean; 'aria-describedby'?: string }>;
  readonly className?: string;
}

/** A label, its input, and under it what is wrong or what is meant. */
export function Field({ label, unit, hint, error, children, className = '' }: FieldProps) {
  const id = useId();
  const note = error ?? hint;
  return (
    <div className={className}>
      <label htmlFor={id} className="font-head font-semibold block mb-1">
        {label}
        {unit ? <span className="text-ink2 font-medium">, {unit}</span> : null}
      </label>
      {cloneElement(children, {
        id,
        ...(error ? { 'aria-invalid': true } : {}),
        ...(note ? { 'aria-describedby': `${id}-note` } : {}),
      })}
      {note ? (
        <p id={`${id}-note`} className={`mt-1 text-sm ${error ? 'text-ember-text font-bold' : 'text-ink2'}`}>
          {error ? `✕ ${error}` : note}
        </p>
      ) : null}
    </div>
  );
}
