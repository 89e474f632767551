import { pipeTimeS } from '../../bench/index.ts';
import { DEFAULT_LIMITS } from '../../limits/index.ts';
import { approach } from '../../quantities/index.ts';
import { dropAt, FILTER_L, standing } from '../example.ts';
import { setChoice, setFigure, type Model } from '../model.ts';

const HELD_RPM = 3000;
const IDLE_RPM = 800;
const SOOT_G = 5 * FILTER_L;
/** Time in which the engine itself falls to idle, s. */
const REVS_FALL_S = 0.35;
const STEP_S = 0.01;
const AFTER_S = 6;
/** Back once so much of the difference is left. */
const BACK = 0.1;
/** Fewer readings than these within the return say nothing of it. */
const LEAST_READINGS = 3;

export const SAMPLE_RATES = ['10', '1', '50'] as const;

/**
 * What the sensor shows after the throttle is let go at 3000 rpm, through a high pipe whose bore is open by so much.
 * Share in; s and mbar out, every 10 ms over 6 s. Valid 0.02–1.
 */
export function returnOf(
  open: number,
): { readonly atS: number; readonly truth: number; readonly shown: number }[] {
  const highAt = (rpm: number): number =>
    standing(rpm).outletMbar + dropAt(rpm, { sootG: SOOT_G, ashG: 0 }).mbar;
  const [held, idle] = [highAt(HELD_RPM), highAt(IDLE_RPM)];
  const low = standing(IDLE_RPM).outletMbar;
  let atSensor = held;
  return Array.from({ length: AFTER_S / STEP_S + 1 }, (_, i) => {
    const atS = i * STEP_S;
    const port = idle + (held - idle) * Math.exp(-atS / REVS_FALL_S);
    const timeS = pipeTimeS(open, port - atSensor);
    if (i > 0) atSensor += (port - atSensor) * approach(STEP_S, timeS);
    return { atS, truth: port - low, shown: atSensor - low };
  });
}

const moves = [
  { id: 'open', from: 4, to: 100, step: 2, start: 100, unit: 'percent' },
  { id: 'rate', options: SAMPLE_RATES, start: '10' },
] as const;

/** A pipe that soots up: slow first, then it shows what was once there. */
export const pipes: Model<'quick' | 'slow' | 'shut' | 'too-few-readings'> = {
  moves,
  answer(settings) {
    const open = setFigure(moves, settings, 'open') / 100;
    const rateHz = Number(setChoice(SAMPLE_RATES, settings, 'rate'));
    const course = returnOf(open);
    const [first, last] = [course[0], course.at(-1)];
    const left = (first?.shown ?? 0) - (last?.truth ?? 0);
    const back = course.find(({ shown }) => shown - (last?.truth ?? 0) <= BACK * left)?.atS;
    const limit = DEFAULT_LIMITS.slowResponseS;
    const readings = Math.floor((back ?? AFTER_S) * rateHz);
    const every = Math.max(1, Math.round(1 / rateHz / STEP_S));
    return {
      figures: [
        {
          id: 'return-time',
          quantity: 'seconds',
          value: back,
          limit,
          within: back !== undefined && back <= limit,
        },
        { id: 'readings', quantity: 'count', value: readings },
        { id: 'shown-after-two', quantity: 'pressure', value: course[Math.round(2 / STEP_S)]?.shown },
        { id: 'true-after-two', quantity: 'pressure', value: course[Math.round(2 / STEP_S)]?.truth },
      ],
      picture: {
        kind: 'lines',
        x: { id: 'after-release', quantity: 'seconds' },
        y: { id: 'pressure-drop', quantity: 'pressure' },
        lines: [
          {
            id: 'true-drop',
            points: course.filter((_, i) => i % 10 === 0).map(({ atS, truth }) => [atS, truth]),
          },
          {
            id: 'shown',
            points: course.filter((_, i) => i % 10 === 0).map(({ atS, shown }) => [atS, shown]),
          },
        ],
        marks: course
          .filter((_, i) => i % every === 0)
          .map(({ atS, shown }) => ({ id: 'reading', at: [atS, shown] })),
      },
      tells:
        back === undefined
          ? 'shut'
          : back > limit
            ? 'slow'
            : readings < LEAST_READINGS
              ? 'too-few-readings'
              : 'quick',
    };
  },
};
