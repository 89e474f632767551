import { say, type Said } from '../words/index.ts';
import { bedOf } from '../burn/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import type { FluidEntry } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import { success, type Result } from '../quantities/index.ts';
import type { KnownFilter } from './sootLoad.ts';

/** What a fluid’s data sheet says, as far as the plan needs it. */
export interface FluidSheet {
  readonly name: string;
  readonly kind: 'soak' | 'rinse';
  /** Parts of water to one of concentrate; 0: used as it is. */
  readonly waterParts: number;
  /** Hottest filter that it may go into, °C. */
  readonly filterUpToC: number;
  readonly coatedFilters: boolean;
  readonly laterBricks: boolean;
  readonly dwellMin: number;
  readonly burstS: number;
  readonly lineUpToBar: number;
}

export interface ChemicalQuestion {
  readonly sheet: FluidSheet;
  readonly filter: KnownFilter;
  readonly entry: FluidEntry;
  readonly limits: Limits;
  /** Concentrate that is left in the van or on the shelf, L. */
  readonly stockL?: number;
  /** Soot, g/L, by the last reading. */
  readonly sootGPerL?: number;
  /** Of the filter now, °C; absent: not read. */
  readonly filterC?: number;
  readonly lineBar?: number;
  /** Whether a brick or a sensor stands behind the filter in the way of the fluid. */
  readonly laterBrick: boolean;
}

export interface ChemicalPlan {
  /** Mixed fluid of one fill, and what it is mixed of, L. */
  readonly fillL: number;
  readonly concentrateL: number;
  readonly waterL: number;
  /** Fills that such a load usually takes; the readings between them decide. */
  readonly fills: number;
  readonly bursts: number;
  readonly burstS: number;
  readonly dwellMin: number;
  readonly lineBar: number;
  /** By how much one burst cools a warm filter, °C: that it arrives is seen by that. Absent on a cold one. */
  readonly dropPerBurstC?: number;
  /** What must be put right before any fluid goes in. */
  readonly held: readonly Said[];
  /** What to mind at this entry and with this fluid. */
  readonly minds: readonly Said[];
}

/** Of water, near enough for a fluid that mostly is, J/(kg·K). */
const FLUID_J_PER_KG_K = 4186;
const FLUID_C = 15;

const ENTRY_MINDS: Readonly<Record<FluidEntry, readonly Said[]>> = {
  'high-pipe': [say('treatment.dp-sensor-off-its-hose')],
  'sensor-port': [say('treatment.a-seized-sensor-can-snap'), say('treatment.sensor-out-and-dry-fluid')],
  'before-turbine': [
    say('treatment.small-metered-bursts-engine-off'),
    say('treatment.turn-the-engine-by-hand'),
  ],
};

/**
 * The plan of one fill: so much per litre of filter as the limits profile says, mixed as the sheet says, in bursts of its length
 * at what the gun gives. A burst of m kg cools a warm bed of capacity C from T by (T − 15 °C)·m·c/(C + m·c), until it boils.
 * @returns a failure for a filter size that does not exist
 */
export function chemicalPlan(question: ChemicalQuestion): Result<ChemicalPlan> {
  const { sheet, filter, entry, limits, sootGPerL = 0, filterC, laterBrick } = question;
  const bed = bedOf(filter, filter.material ?? 'unknown', 0);
  if (!bed.ok) return bed;
  const fillL = roundUp(Math.max(limits.leastFillL, limits.fillPerFilterL * filterVolumeL(filter)));
  const concentrateL = fillL / (1 + sheet.waterParts);
  const burstKg = (limits.gunMlPerS * sheet.burstS) / 1000;
  const bursts = Math.ceil(fillL / burstKg);
  const heat = burstKg * FLUID_J_PER_KG_K;
  const warm = filterC !== undefined && filterC > limits.touchableC;
  const lineBar = Math.min(question.lineBar ?? limits.usualLineBar, sheet.lineUpToBar);
  return success({
    fillL,
    concentrateL,
    waterL: fillL - concentrateL,
    fills: sootGPerL > limits.twoFillsGPerL ? 3 : sootGPerL > limits.oneFillGPerL ? 2 : 1,
    bursts,
    burstS: sheet.burstS,
    dwellMin: sheet.dwellMin,
    lineBar,
    ...(warm ? { dropPerBurstC: ((filterC - FLUID_C) * heat) / (bed.value.capacityJPerK + heat) } : {}),
    held: heldBy(question, concentrateL),
    minds: [
      ...ENTRY_MINDS[entry],
      ...(filterC === undefined ? [say('treatment.filter-temperature-unknown-touch')] : []),
      ...(laterBrick && sheet.laterBricks ? [say('treatment.a-brick-after-the-filter')] : []),
      say('treatment.run-off-is-hazardous-waste'),
    ],
  });
}

function heldBy(
  { sheet, filter, filterC, stockL, lineBar, laterBrick }: ChemicalQuestion,
  concentrateL: number,
): Said[] {
  return [
    ...(filterC !== undefined && filterC > sheet.filterUpToC
      ? [
          say('treatment.the-filter-is-at-c', {
            filterC,
            sheetName: sheet.name,
            filterUpToC: sheet.filterUpToC,
          }),
        ]
      : []),
    ...(!sheet.coatedFilters && filter.catalyst !== 'none' && filter.catalyst !== 'fuel-borne'
      ? [
          say('treatment.the-data-sheet-of-does', {
            sheetName: sheet.name,
            what:
              filter.catalyst === 'coated'
                ? say('treatment.is-coated')
                : say('treatment.may-be-coated-as-most'),
          }),
        ]
      : []),
    ...(laterBrick && !sheet.laterBricks
      ? [say('treatment.the-data-sheet-of-does-not', { sheetName: sheet.name })]
      : []),
    ...(stockL !== undefined && stockL < concentrateL
      ? [say('treatment.l-of-needed', { concentrateL, sheetName: sheet.name, stockL })]
      : []),
    ...(lineBar !== undefined && lineBar > sheet.lineUpToBar
      ? [
          say('treatment.the-line-is-at-bar', {
            lineBar,
            sheetName: sheet.name,
            lineUpToBar: sheet.lineUpToBar,
          }),
        ]
      : []),
  ];
}

/** To what can be measured by eye on a bottle, L. */
const roundUp = (litres: number): number => Math.ceil(litres * 20 - 1e-9) / 20;
