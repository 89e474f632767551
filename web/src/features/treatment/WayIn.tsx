import * as wording from '@white-ember/core/words/screens/treatment';
import { joined, type Said } from '@white-ember/core/words';
import { useWords } from '../../data/words.ts';
import { Say } from '../../ui/Say.tsx';
import type { FluidEntry } from '@white-ember/core/ledger';
import { SENSOR_SEATS, type AccessOption, type SensorSeat } from '@white-ember/core/treatment';

export const ENTRY_LABELS: Readonly<Record<FluidEntry, string>> = {
  'high-pipe': wording.theHighPipeOfTheDeltapSensor,
  'sensor-port': wording.aSensorsPort,
  'before-turbine': wording.thePipeBeforeTheTurbo,
};
const SEAT_LABELS: Readonly<Record<SensorSeat, string>> = {
  untried: wording.notTried,
  free: wording.turnsFreely,
  seized: 'seized',
};

/** Ways in for the fluid with their price: labour, and what may break times how likely it is. */
export function WayIn({
  access,
  by,
  seat,
  onWay,
  onSeat,
}: {
  access: readonly AccessOption[];
  by: FluidEntry;
  seat: SensorSeat;
  onWay: (entry: FluidEntry) => void;
  onSeat: (seat: SensorSeat) => void;
}) {
  const cheapest = access.find(({ fits }) => fits)?.entry;
  return (
    <fieldset className="grid gap-2">
      <legend className="font-head font-semibold text-lg">{wording.wayIn}</legend>
      <div className="grid sm:grid-cols-3 gap-2">
        {access.map(({ entry, fits, expectedCost, reasons }) => (
          <WayButton
            key={entry}
            entry={entry}
            by={by}
            fits={fits}
            onWay={onWay}
            expectedCost={expectedCost}
            cheapest={cheapest}
            reasons={reasons}
          />
        ))}
      </div>
      <SeatChoice seat={seat} onSeat={onSeat} />
    </fieldset>
  );
}

/** Whether the sensor comes out. */
function SeatChoice({ seat, onSeat }: { seat: SensorSeat; onSeat: (seat: SensorSeat) => void }) {
  return (
    <div
      className="flex flex-wrap items-center gap-2"
      role="group"
      aria-label={wording.theSensorBeforeTheFilter}
    >
      <span>{wording.theSensorBeforeTheFilterIs}</span>
      {SENSOR_SEATS.map((one) => (
        <button
          key={one}
          type="button"
          aria-pressed={seat === one}
          onClick={() => onSeat(one)}
          className="min-h-11 px-3 border-2 border-rule font-head font-semibold aria-pressed:bg-ink aria-pressed:text-paper aria-pressed:border-ink"
        >
          {SEAT_LABELS[one]}
        </button>
      ))}
    </div>
  );
}

/** One way for the fluid, with what it costs. */
function WayButton({
  entry,
  by,
  fits,
  onWay,
  expectedCost,
  cheapest,
  reasons,
}: {
  entry: FluidEntry;
  by: FluidEntry;
  fits: boolean;
  onWay: (entry: FluidEntry) => void;
  expectedCost: number;
  cheapest: FluidEntry | undefined;
  reasons: readonly Said[];
}) {
  const words = useWords();
  return (
    <button
      type="button"
      aria-pressed={by === entry}
      disabled={!fits}
      onClick={() => onWay(entry)}
      className="text-left grid content-start border-2 p-2 border-rule bg-card aria-pressed:border-ink aria-pressed:border-l-8 disabled:opacity-60"
    >
      <span className="font-head font-semibold flex justify-between gap-2">
        <span className="first-letter:uppercase">{ENTRY_LABELS[entry]}</span>
        <span className="figure-text whitespace-nowrap">
          {fits ? words.money(Math.round(expectedCost)) : wording.notOnThisLine}
        </span>
      </span>
      <span className="text-sm text-ink2 block leading-5">
        {entry === cheapest ? wording.cheapest : ''}
        <Say it={joined(reasons, '; ')} />
      </span>
    </button>
  );
}
