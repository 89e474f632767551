import { useState } from 'react';
import { newVehicleSchema } from '@white-ember/core/contract';
import { filterVolumeL, type SizeDoubt } from '@white-ember/core/filter';
import { problemOf, useChangeVehicleMutation, useFiltersQuery } from '../../data/api.ts';
import { useWords } from '../../data/words.ts';
import { Button } from '../../ui/Button.tsx';
import { Notice, ProblemNotice } from '../../ui/Notice.tsx';
import type { OpenJob } from '../../job/useJob.ts';
import { FilterSheet } from './FilterSheet.tsx';
import { filterLine } from './VehicleForm.tsx';

const vehicles = (count: number): string => (count === 1 ? '1 vehicle' : `${count} vehicles`);

const TAKEN_FROM: Readonly<Record<SizeDoubt['from'], (size: SizeDoubt) => string>> = {
  engine: () => 'By the engine size.',
  readings: ({ vehicles: count }) => `From proved readings of ${vehicles(count)} of this family.`,
  family: ({ vehicles: count }) => `From ${vehicles(count)} of this family whose size was measured.`,
};

/** Nothing where the size was entered. Else what it is taken as, and the size can be entered on the spot. */
export function FilterSizeAsked({
  open: { vehicle, filter },
  canEnter,
}: {
  open: OpenJob;
  canEnter: boolean;
}) {
  const words = useWords();
  const { size } = filter;
  return size ? (
    <Notice title={`Filter size assumed: ${words.volume(filterVolumeL(filter), 1)}`}>
      <p>
        {TAKEN_FROM[size.from](size)} Restriction and soot are rough until the size is entered. Before and
        after compare without it.
      </p>
      {canEnter ? <EnterSize vehicle={vehicle} /> : null}
    </Notice>
  ) : null;
}

function EnterSize({ vehicle }: { vehicle: OpenJob['vehicle'] }) {
  const words = useWords();
  const filters = useFiltersQuery();
  const [change, { error, isLoading }] = useChangeVehicleMutation();
  const [sheet, setSheet] = useState(false);
  const { id, revision } = vehicle;
  const fit = (filterModelId: string): void => {
    const { id: _id, ...body } = newVehicleSchema.parse({ ...vehicle, filterModelId });
    void change({ id, body: { ...body, revision } });
  };
  return (
    <div className="mt-2 flex flex-wrap gap-3 items-end">
      {filters.data && filters.data.length > 0 ? (
        <label className="grid gap-1 grow basis-60 min-w-0">
          The size it has
          <select
            className="input-box"
            value=""
            disabled={isLoading}
            onChange={(event) => fit(event.target.value)}
          >
            <option value="" disabled>
              choose a size you have
            </option>
            {filters.data.map((one) => (
              <option key={one.id} value={one.id}>
                {filterLine(one, words)}
              </option>
            ))}
          </select>
        </label>
      ) : null}
      <Button onClick={() => setSheet(true)} disabled={isLoading}>
        Enter a new size
      </Button>
      {error ? <ProblemNotice problem={problemOf(error)} /> : null}
      <FilterSheet open={sheet} onOpenChange={setSheet} onAdded={fit} />
    </div>
  );
}
