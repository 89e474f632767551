import type { Limits } from '../limits/index.ts';

/** A handful is a list to read; three are an answer. */
const MOST_TOLD = 3;

/** The causes that a person is shown as likely, likeliest first, by the limit from which one is told. */
export function toldCauses<Cause extends { readonly probability: number }>(
  { posterior: { causes } }: { readonly posterior: { readonly causes: readonly Cause[] } },
  { toldPercent }: Pick<Limits, 'toldPercent'>,
): readonly Cause[] {
  return causes.filter(({ probability }) => 100 * probability >= toldPercent).slice(0, MOST_TOLD);
}
