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
      <TextField name="order.name" label="On order" hint={hint} />
      <TextField name="order.number" label="Part number" />
      <TextField name="order.supplier" label="Supplier" />
      <TextField name="order.due" label="Due" type="date" />
    </>
  );
}
