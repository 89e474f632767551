import * as wording from '@white-ember/core/words/screens/vehicles';
import type { Vehicle } from '@white-ember/core/contract';
import { useVehiclesQuery } from '../../data/api.ts';
import { Chip } from '../../ui/Chip.tsx';
import { kindsOf } from './kindsOf.ts';

/** As many as a thumb finds at a glance. */
const MOST = 8;

/** One tap instead of a form: the new vehicle is like one that is known. */
export function SameAs({
  onChosen,
  chosen,
}: {
  onChosen: (like: Vehicle) => void;
  /** The model that is chosen; absent where choosing goes on at once. */
  chosen?: string;
}) {
  const { data } = useVehiclesQuery({});
  const kinds = kindsOf(data ?? []).slice(0, MOST);
  if (kinds.length === 0) return null;
  return (
    <fieldset className="min-w-0 sm:col-span-2">
      <legend className="mb-1">{chosen === undefined ? wording.newHereSameAs : wording.sameAs}</legend>
      <div className="flex flex-wrap gap-2">
        {kinds.map((like) => (
          <Chip key={like.id} on={like.model === chosen} onChange={() => onChosen(like)} label={like.model} />
        ))}
      </div>
      <p className="text-sm text-ink2 mt-1">
        {chosen === undefined ? wording.engineFilterAndPartsAsOnThe : wording.fillsEngineFilterAndPartsWhat}
      </p>
    </fieldset>
  );
}
