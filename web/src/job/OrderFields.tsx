import * as wording from '@white-ember/core/words/screens/job';
import * as common from '@white-ember/core/words/screens/common';
import { TextField } from '../form/FieldForm.tsx';
import { optionalText } from '../form/kinds.ts';

/** What is on order for a repair. */
export const ORDER = {
  'order.name': optionalText(),
  'order.number': optionalText(),
  'order.supplier': optionalText(),
  'order.due': optionalText(),
} as const;

export function OrderFields({ hint }: { hint?: string }) {
  return (
    <>
      <TextField name="order.name" label={wording.onOrder} hint={hint} />
      <TextField name="order.number" label={common.partNumber} />
      <TextField name="order.supplier" label={common.supplier} />
      <TextField name="order.due" label={common.due} type="date" />
    </>
  );
}
