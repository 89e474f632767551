import * as wording from '@white-ember/core/words/screens/line';
import { memo, useEffect, useRef } from 'react';
import type { Vehicle } from '@white-ember/core/contract';
import type { FluidEntry, PartId } from '@white-ember/core/ledger';
import { useWords } from '../../data/words.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { StateShape } from '../../ui/StateMark.tsx';
import { ENTRY_NAMES } from './FluidMark.tsx';
import { heatColour } from './heat.ts';
import { FLUID_AT, stripParts, type StripPart } from './lineParts.ts';

/** The line in one row: each part with its mark and its value, the heat of the gas under it. Opens at the part in question. */
export const LineStrip = memo(function LineStrip({
  vehicle,
  derived,
  selected,
  fluidEntry,
  onPart,
}: {
  vehicle: Vehicle;
  derived: OpenJob['derived'];
  selected?: PartId | undefined;
  fluidEntry?: FluidEntry | undefined;
  onPart: (part: PartId) => void;
}) {
  const row = useRef<HTMLDivElement>(null);
  const inQuestion = selected ?? 'filter';
  useEffect(() => {
    const strip = row.current;
    if (!strip) return;
    // Told once the page is laid out anyway: to ask before lays it out twice.
    const laidOut = new ResizeObserver(() => {
      laidOut.disconnect();
      const its = strip.querySelector<HTMLElement>(`[data-part="${inQuestion}"]`);
      if (its) strip.scrollLeft = its.offsetLeft - (strip.clientWidth - its.clientWidth) / 2;
    });
    laidOut.observe(strip);
    return () => laidOut.disconnect();
  }, [inQuestion]);
  return (
    <div
      ref={row}
      className="relative grow min-w-0 flex overflow-x-auto"
      role="group"
      aria-label={wording.partsOf(vehicle.plate)}
      tabIndex={-1}
    >
      {stripParts(vehicle, derived).map((one) => (
        <PartButton
          key={one.part}
          of={one}
          selected={selected === one.part}
          fluid={fluidEntry !== undefined && FLUID_AT[fluidEntry] === one.part ? fluidEntry : undefined}
          onSelect={() => onPart(one.part)}
        />
      ))}
    </div>
  );
});

function PartButton({
  of: { part, name, state, gasC, reads },
  selected,
  fluid,
  onSelect,
}: {
  of: StripPart;
  selected: boolean;
  fluid: FluidEntry | undefined;
  onSelect: () => void;
}) {
  const words = useWords();
  const isPressure = part === 'dp-sensor';
  const value = isPressure
    ? reads?.dpMbar === undefined
      ? wording.noYet(words.label('pressure'))
      : words.pressure(reads.dpMbar)
    : reads === undefined
      ? undefined
      : reads.celsius === undefined
        ? '–'
        : words.temperature(reads.celsius, 0);
  const full = isPressure ? wording.differentialPressureSensor : words.name('parts', part);
  return (
    <div data-part={part} className="relative shrink-0 grow grid">
      <button
        type="button"
        aria-pressed={selected}
        aria-label={`${value === undefined ? full : `${name} ${value}, ${full}`}: ${words.name('partStates', state)}`}
        className={`min-h-14 px-1.5 lg:px-1 2xl:px-1.5 grid content-center justify-items-center border-b-4 hover:bg-paper ${selected ? 'bg-paper outline-2 -outline-offset-2 outline-ink' : ''}`}
        style={{ borderBottomColor: gasC === undefined ? 'var(--rule)' : heatColour(gasC) }}
        onClick={onSelect}
      >
        <span className="flex items-center gap-1 text-[13px] leading-tight whitespace-nowrap">
          <svg width={15} height={15} viewBox="-10 -10 20 20" aria-hidden className="shrink-0">
            <StateShape state={state} />
          </svg>
          <span className={isPressure ? 'text-steel font-semibold' : ''}>{name}</span>{' '}
        </span>
        {value === undefined ? null : (
          <span
            className={`figure-text whitespace-nowrap leading-tight ${isPressure ? 'text-lg text-steel font-semibold' : 'text-[15px]'}`}
          >
            {value}
          </span>
        )}
      </button>
      {fluid ? (
        <span
          role="img"
          aria-label={wording.fluidGoesIn(ENTRY_NAMES[fluid])}
          className="absolute inset-x-0 bottom-0.5 text-center text-[13px] leading-none font-semibold text-ember-text pointer-events-none"
        >
          {wording.fluidWithin}
        </span>
      ) : null}
    </div>
  );
}
