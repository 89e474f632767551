import { say, type Said } from '../words/index.ts';
import { FLUID_ENTRIES, type FluidEntry, type PartId, type PartState } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';

/** How the sensor in the port before the filter sits, as far as it was tried. */
export const SENSOR_SEATS = ['untried', 'free', 'seized'] as const;
export type SensorSeat = (typeof SENSOR_SEATS)[number];

export interface AccessQuestion {
  readonly fitted: readonly PartId[];
  readonly parts: ReadonlyMap<PartId, { readonly state: PartState }>;
  readonly seat: SensorSeat;
  readonly limits: Limits;
}

export interface AccessOption {
  readonly entry: FluidEntry;
  /** Whether this line has it at all. */
  readonly fits: boolean;
  readonly minutes: number;
  /** Labour, and what may go wrong times how likely it is, in the currency of the profile. */
  readonly expectedCost: number;
  /** What goes into the price, with its figures. */
  readonly reasons: readonly Said[];
}

/** The port before the filter by which fluid can go in. */
const PORTS: readonly PartId[] = ['egt3', 'egt2'];

/**
 * Ways in for the fluid, the cheapest first: labour, and the price of what may break times its chance. A seized sensor costs more than
 * the high pipe; a pipe that is not open has to be cleared before anything goes through it.
 */
export function rankAccess(question: AccessQuestion): readonly AccessOption[] {
  return FLUID_ENTRIES.map((entry) => optionOf(entry, question)).toSorted(
    (a, b) => Number(b.fits) - Number(a.fits) || a.expectedCost - b.expectedCost,
  );
}

function optionOf(entry: FluidEntry, { fitted, parts, seat, limits }: AccessQuestion): AccessOption {
  const labour = (minutes: number): number => (minutes / 60) * limits.labourPerHour;
  switch (entry) {
    case 'high-pipe': {
      const state = parts.get('high-pipe')?.state;
      const shut = state === 'failed' || state === 'doubtful';
      const minutes = limits.highPipeMinutes + (shut ? limits.pipeClearMinutes : 0);
      return {
        entry,
        fits: fitted.includes('high-pipe'),
        minutes,
        expectedCost: labour(minutes),
        reasons: [
          say('treatment.min', {
            minutes,
            what: shut
              ? say('treatment.of-them-to-clear', { pipeClearMinutes: limits.pipeClearMinutes, state })
              : '',
          }),
          say('treatment.nothing-to-snap'),
        ],
      };
    }
    case 'sensor-port': {
      const port = PORTS.find((id) => fitted.includes(id));
      const percent = {
        free: limits.snapFreePercent,
        untried: limits.snapUntriedPercent,
        seized: limits.snapSeizedPercent,
      }[seat];
      const snapped = limits.snappedCost + labour(limits.snappedMinutes);
      return {
        entry,
        fits: port !== undefined,
        minutes: limits.sensorPortMinutes,
        expectedCost: labour(limits.sensorPortMinutes) + (percent / 100) * snapped,
        reasons: [
          say('treatment.min-2', { sensorPortMinutes: limits.sensorPortMinutes }),
          say('treatment.to-snap-or-strip', {
            percent,
            what: seat === 'untried' ? say('treatment.not-tried') : seat,
            snapped,
          }),
        ],
      };
    }
    case 'before-turbine':
      return {
        entry,
        fits: fitted.includes('turbine'),
        minutes: limits.beforeTurbineMinutes,
        expectedCost:
          labour(limits.beforeTurbineMinutes) + (limits.turbineHarmPercent / 100) * limits.turbineHarmCost,
        reasons: [
          say('treatment.min-3', { beforeTurbineMinutes: limits.beforeTurbineMinutes }),
          say('treatment.to-harm-turbo-or-engine', {
            turbineHarmPercent: limits.turbineHarmPercent,
            turbineHarmCost: limits.turbineHarmCost,
          }),
          say('treatment.the-catalyst-before-the-filter'),
        ],
      };
  }
}

/** The surroundings where nothing else is known, °C. */
const AMBIENT_C = 15;

/**
 * Minutes until a standing filter has cooled from one temperature to another, by Newton’s law with the time constant of the
 * profile: t = τ·ln((T − Tₐ)/(T₂ − Tₐ)). 0 where it is there already.
 */
export function coolingMinutes(fromC: number, toC: number, limits: Pick<Limits, 'filterCoolsMin'>): number {
  if (fromC <= toC) return 0;
  const over = Math.max(toC - AMBIENT_C, 1);
  return limits.filterCoolsMin * Math.log((fromC - AMBIENT_C) / over);
}
