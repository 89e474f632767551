import * as wording from '@white-ember/core/words/screens/vehicles';
import { useWords } from '../../data/words.ts';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { FilterFate, VehicleOutlook } from '@white-ember/core/outlook';
import { toBase } from '@white-ember/core/quantities';
import { useAppSelector } from '../../data/store.ts';
import { shortNumber } from '../../ui/format.ts';
import { layRoad, type RoadPin } from './vehicleRoad.ts';

type Visit = VehicleOutlook['visits'][number];

export const FATE_WORDS: Readonly<Record<FilterFate, string>> = {
  'as-it-was': wording.notWorkedOn,
  regenerated: 'regenerated',
  'cleaned-in-place': wording.cleanedInPlace,
  'cleaned-off': wording.cleanedOffTheVehicle,
  exchanged: 'exchanged',
};

const FATE_SHORT: Readonly<Record<FilterFate, string>> = {
  'as-it-was': '',
  regenerated: 'burn',
  'cleaned-in-place': 'clean',
  'cleaned-off': 'off',
  exchanged: 'new',
};

/** Restriction that a visit found and left, as “4.6 → 1.3 ×”. */
export const ratioWords = ({ before, after }: Visit): string =>
  before || after
    ? `${before ? shortNumber(before.value) : '–'} → ${after ? shortNumber(after.value) : '–'} ×`
    : '';

const wordsOf = (visit: Visit): string =>
  [visit.number, FATE_SHORT[visit.filter], ratioWords(visit)].filter((part) => part !== '').join(' ');

const TAPE_PX = 34;
const ROW_PX = 26;

/** Shapes of what became of the filter: they read without colour. */
function FateMark({ fate }: { fate: FilterFate }) {
  const stroke = { fill: 'var(--paper)', stroke: 'var(--ink)', strokeWidth: 2 };
  switch (fate) {
    case 'exchanged':
      return <rect x={-6} y={-6} width={12} height={12} fill="var(--ink)" />;
    case 'cleaned-off':
      return <rect x={-6} y={-6} width={12} height={12} {...stroke} />;
    case 'cleaned-in-place':
      return <circle r={6} {...stroke} />;
    case 'regenerated':
      return <path d="M0 -8 L7 6 H-7 Z" fill="var(--ember)" />;
    case 'as-it-was':
      return <path d="M0 -7 V7" stroke="var(--ink)" strokeWidth={2} />;
  }
}

/** All jobs of a vehicle on one tape of distance, with what became of the filter and what was read. */
export function VehicleRoad({ visits }: { visits: VehicleOutlook['visits'] }) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(600);
  const unit = useAppSelector((state) => state.preferences.units.distance);
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const watch = new ResizeObserver(([entry]) => entry && setWidth(Math.max(280, entry.contentRect.width)));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  const { pins, rows, ticks } = layRoad(visits, wordsOf, { width, unitKm: toBase(1, unit) });
  const without = visits.length - pins.length;
  return (
    <div ref={box} className="min-w-0">
      {pins.length > 0 ? (
        <div className="relative" style={{ height: TAPE_PX + rows * ROW_PX + 12 }}>
          <RoadTape width={width} rows={rows} ticks={ticks} pins={pins} />
          {pins.map(({ visit, x, row, words: label, toLeft }) => (
            <RoadVisit
              key={visit.jobId}
              visit={visit}
              row={row}
              toLeft={toLeft}
              width={width}
              x={x}
              label={label}
            />
          ))}
        </div>
      ) : null}
      <p className="text-sm text-ink2">
        {wording.cleanedInPlaceOffTheVehicle(
          without > 0
            ? wording.noDistanceAndOnlyInTheList(
                without,
                without === 1 ? wording.jobHas : wording.jobsHave,
                without === 1 ? wording.stands : wording.stand,
              )
            : '',
        )}
      </p>
    </div>
  );
}

/** A visit as a pin on the road. */
function RoadVisit({
  visit,
  row,
  toLeft,
  width,
  x,
  label,
}: {
  visit: RoadPin['visit'];
  row: number;
  toLeft: boolean;
  width: number;
  x: number;
  label: string;
}) {
  const words = useWords();
  return (
    <Link
      to={`/jobs/${visit.jobId}`}
      className="absolute text-sm whitespace-nowrap leading-6 px-1 hover:bg-card underline decoration-rule underline-offset-2"
      style={{
        top: TAPE_PX + row * ROW_PX + 9,
        ...(toLeft ? { right: width - x } : { left: x + 2 }),
      }}
    >
      {label}
      <span className="sr-only">
        {wording.filterJobAt(FATE_WORDS[visit.filter], words.distance(visit.km ?? 0))}
      </span>
    </Link>
  );
}

/** The tape with its marks. */
function RoadTape({
  width,
  rows,
  ticks,
  pins,
}: {
  width: number;
  rows: number;
  ticks: readonly { readonly x: number; readonly km: number }[];
  pins: readonly RoadPin[];
}) {
  const words = useWords();
  return (
    <svg width={width} height={TAPE_PX + rows * ROW_PX + 12} className="absolute inset-0" aria-hidden>
      <rect width={width} height={TAPE_PX} fill="var(--tape)" />
      {ticks.map(({ x, km }) => (
        <g key={km} transform={`translate(${x} 0)`}>
          <path d="M0 0 V9" stroke="var(--tape-ink)" strokeWidth={2} />
          <text
            y={24}
            textAnchor={x < 40 ? 'start' : x > width - 60 ? 'end' : 'middle'}
            fill="var(--tape-ink)"
            fontSize={13}
          >
            {words.distance(km)}
          </text>
        </g>
      ))}
      {pins.map(({ visit, x, row }) => (
        <g key={visit.jobId} transform={`translate(${x} ${TAPE_PX})`}>
          <path d={`M0 0 V${row * ROW_PX + 20}`} stroke="var(--ink2)" strokeWidth={1} />
          <FateMark fate={visit.filter} />
        </g>
      ))}
    </svg>
  );
}
