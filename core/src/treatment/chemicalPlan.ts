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
  readonly held: readonly string[];
  /** What to mind at this entry and with this fluid. */
  readonly minds: readonly string[];
}

/** Of water, near enough for a fluid that mostly is, J/(kg·K). */
const FLUID_J_PER_KG_K = 4186;
const FLUID_C = 15;

const ENTRY_MINDS: Readonly<Record<FluidEntry, readonly string[]>> = {
  'high-pipe': [
    'ΔP sensor off its hose: no fluid into it. The fluid enters by the pipe, so the pipe must be open.',
  ],
  'sensor-port': [
    'A seized sensor can snap or strip its boss: soak, gentle heat where safe, flared spanner. The high pipe costs less.',
    'Sensor out and dry; fluid goes in through its port.',
  ],
  'before-turbine': [
    'Small metered bursts, engine off, pauses between: nothing may collect in manifold, cylinders or turbo.',
    'Turn the engine by hand before it is started. The catalyst before the filter absorbs some of the fluid.',
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
      ...(filterC === undefined ? ['Filter temperature unknown: touch it with care.'] : []),
      ...(laterBrick && sheet.laterBricks
        ? ['A brick after the filter gets the run-through: the data sheet allows it.']
        : []),
      'Run-off is hazardous waste: collect it and enter the volume.',
    ],
  });
}

function heldBy(
  { sheet, filter, filterC, stockL, lineBar, laterBrick }: ChemicalQuestion,
  concentrateL: number,
): string[] {
  return [
    ...(filterC !== undefined && filterC > sheet.filterUpToC
      ? [
          `The filter is at ${filterC.toFixed(0)} °C; ${sheet.name} may go in up to ${sheet.filterUpToC} °C: let it cool.`,
        ]
      : []),
    ...(!sheet.coatedFilters && filter.catalyst !== 'none' && filter.catalyst !== 'fuel-borne'
      ? [
          `The data sheet of ${sheet.name} does not allow coated filters; this one ${filter.catalyst === 'coated' ? 'is coated' : 'may be coated, as most are'}.`,
        ]
      : []),
    ...(laterBrick && !sheet.laterBricks
      ? [`The data sheet of ${sheet.name} does not allow bricks after the filter; there is one on this line.`]
      : []),
    ...(stockL !== undefined && stockL < concentrateL
      ? [`${concentrateL.toFixed(2)} L of ${sheet.name} needed for a fill;  ${stockL.toFixed(2)} L are left.`]
      : []),
    ...(lineBar !== undefined && lineBar > sheet.lineUpToBar
      ? [`The line is at ${lineBar} bar; ${sheet.name} and its gun take up to ${sheet.lineUpToBar} bar.`]
      : []),
  ];
}

/** To what can be measured by eye on a bottle, L. */
const roundUp = (litres: number): number => Math.ceil(litres * 20 - 1e-9) / 20;
