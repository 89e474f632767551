import type { ButtonHTMLAttributes } from 'react';

type Weight = 'main' | 'plain' | 'quiet';

const LOOK: Record<Weight, string> = {
  main: 'min-h-14 bg-ember-button text-ember-button-text border-2 border-transparent text-lg',
  plain: 'min-h-12 bg-card text-ink border-2 border-ink',
  quiet:
    'min-h-11 bg-transparent text-ink border-2 border-transparent underline decoration-2 underline-offset-4',
};

/** Three weights: one main action a view, plain ones beside it, quiet ones for what is rarely wanted. */
export function Button({
  weight = 'plain',
  className = '',
  type = 'button',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { weight?: Weight }) {
  return (
    <button
      type={type}
      className={`font-head font-semibold rounded-sm px-4 disabled:opacity-60 disabled:cursor-not-allowed ${LOOK[weight]} ${className}`}
      {...rest}
    />
  );
}
