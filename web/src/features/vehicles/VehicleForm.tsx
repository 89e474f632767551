import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { z } from 'zod';
import type { Customer, FilterModel, Vehicle } from '@white-ember/core/contract';
import { filterVolumeL } from '@white-ember/core/filter';
import { PART_IDS, type PartId, PART_LABELS } from '@white-ember/core/ledger';
import {
  problemOf,
  useAddCustomerMutation,
  useAddVehicleMutation,
  useChangeVehicleMutation,
  useCustomersQuery,
  useFiltersQuery,
} from '../../app/api.ts';
import { v7 as uuidv7 } from 'uuid';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { ProblemNotice } from '../../ui/Notice.tsx';
import { useDraftForm } from '../../ui/useDraft.ts';
import { FilterSheet } from './FilterSheet.tsx';

const formSchema = z.object({
  plate: z.string().trim().min(1, 'Plate must not be empty').max(20, 'At most 20 characters'),
  model: z.string().trim().min(1, 'Vehicle must not be empty'),
  family: z.string().trim().min(1, 'Engine family must not be empty'),
  displacement: z.string().refine((text) => {
    const value = typedNumber(text);
    return value === undefined || (value >= 0.3 && value <= 30);
  }, 'Engine size: 0.3 to 30 L'),
  filterModelId: z.string(),
  customerId: z.string(),
  newCustomer: z.string().trim().max(120),
  note: z.string().trim().max(2000),
  fitted: z.array(z.enum(PART_IDS)),
});
type FormValues = z.input<typeof formSchema>;

const USUAL: PartId[] = PART_IDS.filter((id) => id !== 'scr' && id !== 'egt2');

const startFrom = (vehicle: Vehicle | undefined, plate: string): FormValues => ({
  plate: vehicle?.plate ?? plate,
  model: vehicle?.model ?? '',
  family: vehicle?.family ?? '',
  displacement: vehicle?.displacementL === undefined ? '' : String(vehicle.displacementL),
  filterModelId: vehicle?.filterModelId ?? '',
  customerId: vehicle?.customerId ?? '',
  newCustomer: '',
  note: vehicle?.note ?? '',
  fitted: vehicle?.fitted ?? USUAL,
});

export const filterLine = (filter: FilterModel): string =>
  `${filter.name}: ${filter.diameterMm} × ${filter.lengthMm} mm, ${filter.cpsi}/${filter.wallMm}, ${filterVolumeL(filter).toFixed(1)} L`;

export function VehicleForm({
  id,
  stored,
  plate = '',
  onStored,
}: {
  id: string;
  stored?: Vehicle;
  plate?: string;
  onStored: (id: string) => void;
}) {
  const filters = useFiltersQuery();
  const customers = useCustomersQuery();
  const [addCustomer, addingCustomer] = useAddCustomerMutation();
  const [add, adding] = useAddVehicleMutation();
  const [change, changing] = useChangeVehicleMutation();
  const [filterSheet, setFilterSheet] = useState(false);
  const start = startFrom(stored, plate);
  const { form, done } = useDraftForm<FormValues>(
    stored ? `vehicle ${id} ${stored.revision}` : `vehicle new ${plate}`,
    start,
    start,
    zodResolver(formSchema),
  );
  // One id for the customer however often the form is sent, so that a second try makes no second customer.
  const [newCustomerId] = useState(() => uuidv7());
  const { errors } = form.formState;
  const failure = addingCustomer.error ?? adding.error ?? changing.error;

  const submit = form.handleSubmit(async (values) => {
    let customerId = values.customerId;
    if (values.newCustomer) {
      const customer: Customer = { id: newCustomerId, name: values.newCustomer };
      const added = await addCustomer(customer);
      if (!added.data) return;
      customerId = added.data.id;
    }
    const displacementL = typedNumber(values.displacement);
    const body = {
      plate: values.plate.toUpperCase(),
      model: values.model,
      family: values.family,
      fitted: values.fitted,
      ...(displacementL === undefined ? {} : { displacementL }),
      ...(values.filterModelId ? { filterModelId: values.filterModelId } : {}),
      ...(customerId ? { customerId } : {}),
      ...(values.note ? { note: values.note } : {}),
    };
    const result = stored
      ? await change({ id, body: { ...body, revision: stored.revision } })
      : await add({ id, ...body });
    if (!result.data) return;
    done();
    onStored(id);
  });

  const listFailure = filters.error ?? customers.error;
  if (listFailure) return <ProblemNotice problem={problemOf(listFailure)} />;
  // A choice made before its list is there would show, and store, the first of the list instead.
  if (!filters.data || !customers.data) return <p>Opening …</p>;
  return (
    <form onSubmit={(event) => void submit(event)} className="grid gap-4 sm:grid-cols-2" noValidate>
      <Field label="Plate" error={errors.plate?.message}>
        <input className="input-box uppercase" autoComplete="off" {...form.register('plate')} />
      </Field>
      <Field label="Vehicle" error={errors.model?.message}>
        <input className="input-box" {...form.register('model')} />
      </Field>
      <Field label="Engine family" hint="Limits are kept per family" error={errors.family?.message}>
        <input className="input-box" {...form.register('family')} />
      </Field>
      <Field
        label="Engine size"
        unit="L"
        hint="For the flow if no air mass is read"
        error={errors.displacement?.message}
      >
        <input className="input-box" inputMode="decimal" {...form.register('displacement')} />
      </Field>
      <Field
        label="Filter"
        hint="Without it, before and after are compared by fitted curves"
        className="sm:col-span-2"
      >
        <select className="input-box" {...form.register('filterModelId')}>
          <option value="">size not known</option>
          {(filters.data ?? []).map((filter) => (
            <option key={filter.id} value={filter.id}>
              {filterLine(filter)}
            </option>
          ))}
        </select>
      </Field>
      <Button onClick={() => setFilterSheet(true)}>Add a filter size</Button>
      <div className="max-sm:hidden" />
      <Field label="Customer">
        <select className="input-box" {...form.register('customerId')}>
          <option value="">none</option>
          {(customers.data ?? []).map((customer) => (
            <option key={customer.id} value={customer.id}>
              {customer.name}
            </option>
          ))}
        </select>
      </Field>
      <Field label="or a new customer" error={errors.newCustomer?.message}>
        <input className="input-box" autoComplete="off" {...form.register('newCustomer')} />
      </Field>
      <fieldset className="sm:col-span-2">
        <legend className="mb-1">Parts on this vehicle’s exhaust line</legend>
        <div className="grid grid-cols-2 md:grid-cols-3 gap-x-4">
          {PART_IDS.map((part) => (
            <label key={part} className="flex items-center gap-3 min-h-11">
              <input
                type="checkbox"
                value={part}
                className="size-5 accent-[var(--ember-button)]"
                {...form.register('fitted')}
              />
              {PART_LABELS[part]}
            </label>
          ))}
        </div>
      </fieldset>
      <Field label="Note" className="sm:col-span-2" error={errors.note?.message}>
        <textarea className="input-box" rows={2} {...form.register('note')} />
      </Field>
      <div className="sm:col-span-2 grid gap-3">
        {failure ? <ProblemNotice problem={problemOf(failure)} /> : null}
        <Button type="submit" weight="main" disabled={adding.isLoading || changing.isLoading}>
          {stored ? 'Save' : 'Add the vehicle'}
        </Button>
      </div>
      <FilterSheet
        open={filterSheet}
        onOpenChange={setFilterSheet}
        onAdded={(filterId) => form.setValue('filterModelId', filterId)}
      />
    </form>
  );
}
