import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { v7 as uuidv7 } from 'uuid';
import { z } from 'zod';
import { newFilterModelSchema } from '@white-ember/core/contract';
import { FILTER_MATERIALS } from '@white-ember/core/filter';
import { problemOf, useAddFilterMutation } from '../../app/api.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { ProblemNotice } from '../../ui/Notice.tsx';
import { Sheet } from '../../ui/Sheet.tsx';

const typed = z.string().transform((text) => typedNumber(text) ?? Number.NaN);
const sizes = newFilterModelSchema.shape;
const formSchema = z.object({
  name: sizes.name,
  diameterMm: typed.pipe(sizes.diameterMm),
  lengthMm: typed.pipe(sizes.lengthMm),
  cpsi: typed.pipe(sizes.cpsi),
  wallMm: typed.pipe(sizes.wallMm),
  material: sizes.material,
  basis: sizes.basis,
  catalyst: z.union([z.literal('').transform(() => undefined), sizes.catalyst]),
});

export function FilterSheet({
  open,
  onOpenChange,
  onAdded,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onAdded: (id: string) => void;
}) {
  const [add, state] = useAddFilterMutation();
  const form = useForm<z.input<typeof formSchema>, unknown, z.output<typeof formSchema>>({
    resolver: zodResolver(formSchema),
    defaultValues: {
      name: '',
      diameterMm: '',
      lengthMm: '',
      cpsi: '200',
      wallMm: '0.305',
      material: 'unknown',
      basis: 'measured',
      catalyst: '',
    },
  });
  const { errors } = form.formState;
  const submit = form.handleSubmit(async (values) => {
    const { catalyst, ...rest } = values;
    const added = await add({ id: uuidv7(), ...rest, ...(catalyst ? { catalyst } : {}) });
    if (!added.data) return;
    onAdded(added.data.id);
    onOpenChange(false);
  });
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title="Add a filter size">
      {/* A sheet inside a form: its own submit must not reach the form around it. */}
      <form
        className="grid gap-4 sm:grid-cols-2"
        noValidate
        onSubmit={(event) => {
          event.stopPropagation();
          void submit(event);
        }}
      >
        <Field label="Name" className="sm:col-span-2" error={errors.name?.message}>
          <input className="input-box" {...form.register('name')} />
        </Field>
        <Field label="Diameter of the brick" unit="mm" error={errors.diameterMm?.message}>
          <input className="input-box" inputMode="decimal" {...form.register('diameterMm')} />
        </Field>
        <Field label="Length of the brick" unit="mm" error={errors.lengthMm?.message}>
          <input className="input-box" inputMode="decimal" {...form.register('lengthMm')} />
        </Field>
        <Field label="Cells" unit="per square inch" error={errors.cpsi?.message}>
          <input className="input-box" inputMode="decimal" {...form.register('cpsi')} />
        </Field>
        <Field label="Wall" unit="mm" error={errors.wallMm?.message}>
          <input className="input-box" inputMode="decimal" {...form.register('wallMm')} />
        </Field>
        <Field label="Material">
          <select className="input-box" {...form.register('material')}>
            {FILTER_MATERIALS.map((material) => (
              <option key={material} value={material}>
                {material.replaceAll('-', ' ')}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Coating" hint="Decides how soot burns and which fluid is allowed">
          <select className="input-box" {...form.register('catalyst')}>
            <option value="">not known</option>
            <option value="coated">coated</option>
            <option value="none">bare</option>
            <option value="fuel-borne">bare, additive in the fuel</option>
          </select>
        </Field>
        <Field label="Known by">
          <select className="input-box" {...form.register('basis')}>
            <option value="measured">measured or read off the can</option>
            <option value="assumed">assumed from a similar vehicle</option>
          </select>
        </Field>
        <div className="sm:col-span-2 grid gap-3">
          {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
          <Button type="submit" weight="main" disabled={state.isLoading}>
            Add the filter size
          </Button>
        </div>
      </form>
    </Sheet>
  );
}
