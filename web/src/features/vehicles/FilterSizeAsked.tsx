import * as wording from '@white-ember/core/words/screens/vehicles';
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

const vehicles = (count: number): string => (count === 1 ? wording.n1Vehicle : wording.vehicles(count));

const TAKEN_FROM: Readonly<Record<SizeDoubt['from'], (size: SizeDoubt) => string>> = {
  engine: () => wording.byTheEngineSize,
  readings: ({ vehicles: count }) => wording.fromProvedReadingsOfOfThisFamily(vehicles(count)),
  family: ({ vehicles: count }) => wording.fromOfThisFamilyWhoseSizeWas(vehicles(count)),
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
    <Notice title={wording.filterSizeAssumed(words.volume(filterVolumeL(filter), 1))}>
      <p>{wording.restrictionAndSootAreRoughUntilThe(TAKEN_FROM[size.from](size))}</p>
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
          {wording.theSizeItHas}
          <select
            className="input-box"
            value=""
            disabled={isLoading}
            onChange={(event) => fit(event.target.value)}
          >
            <option value="" disabled>
              {wording.chooseASizeYouHave}
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
        {wording.enterANewSize}
      </Button>
      {error ? <ProblemNotice problem={problemOf(error)} /> : null}
      <FilterSheet open={sheet} onOpenChange={setSheet} onAdded={fit} />
    </div>
  );
}
