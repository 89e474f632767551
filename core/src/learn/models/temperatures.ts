import { BENCH_FAMILIES, type BenchFamily, BenchVehicle, Driver, egtOpenC } from '../../bench/index.ts';
import { DEFAULT_LIMITS } from '../../limits/index.ts';
import { setChoice, setFigure, type Model } from '../model.ts';

const AMBIENT_C = 12;
const HELD_RPM = 2500;
const LONGEST_MIN = 15;
const EVERY_S = 5;
const SENSORS = ['in-order', 'stuck', 'reads-high', 'open', 'two-swapped'] as const;
const STUCK_C = 20;
const HIGH_BY_C = 45;

type Four = readonly [number, number, number, number];

const FAMILY = BENCH_FAMILIES[0] as BenchFamily;

/** A cold vehicle started and held at 2500 rpm: its four gas temperatures every 5 s. Always the same one, so it is driven once. */
let driven: readonly Four[] | undefined;
function warmingUp(): readonly Four[] {
  if (driven) return driven;
  const vehicle = new BenchVehicle({
    family: FAMILY,
    seed: 1,
    start: { ambientC: AMBIENT_C, engineC: AMBIENT_C },
  });
  const driver = new Driver(vehicle, { unsteady: 0 });
  const four = (): Four => vehicle.plant.egtC.slice(0, 4) as unknown as Four;
  const course: Four[] = [four()];
  driver.follow({ do: 'key-on' }, 2);
  driver.follow({ do: 'start' }, 3);
  while (course.length <= (LONGEST_MIN * 60) / EVERY_S) {
    driver.follow({ do: 'hold', rpm: HELD_RPM }, EVERY_S);
    course.push([...four()]);
  }
  driven = course;
  return course;
}

export const temperaturesMoves = [
  { id: 'minutes', from: 0, to: LONGEST_MIN, step: 0.5, start: 5, unit: 'minutes' },
  { id: 'sensor', options: SENSORS, start: 'in-order' },
] as const;

/** Four temperatures from the engine outward, cold and warming up, with one that lies. */
export const temperatures: Model<(typeof SENSORS)[number] | 'cold-and-equal'> = {
  moves: temperaturesMoves,
  answer(settings) {
    const sensor = setChoice(SENSORS, settings, 'sensor');
    const minutes = setFigure(temperaturesMoves, settings, 'minutes');
    const shown = ([first, second, third, fourth]: Four): Four =>
      sensor === 'stuck'
        ? [first, second, STUCK_C, fourth]
        : sensor === 'reads-high'
          ? [first, second, third + HIGH_BY_C, fourth]
          : sensor === 'open'
            ? [first, second, egtOpenC(FAMILY), fourth]
            : sensor === 'two-swapped'
              ? [first, third, second, fourth]
              : [first, second, third, fourth];
    const course = warmingUp().map(shown);
    const now = course[Math.round((minutes * 60) / EVERY_S)] ?? course[0];
    const limit = DEFAULT_LIMITS.egtColdMismatchC;
    const cold = course[0] ?? [0, 0, 0, 0];
    const spread = Math.max(...cold) - Math.min(...cold);
    const scale = sensor === 'open' ? course.map(([a, b, , d]) => [a, b, 0, d] as const) : course;
    return {
      figures: [
        ...[1, 2, 3, 4].map((number, i) => ({
          id: `egt${number}`,
          quantity: 'temperature' as const,
          value: now?.[i],
        })),
        { id: 'cold-spread', quantity: 'temperature-change', value: spread, limit, within: spread <= limit },
      ],
      picture: {
        kind: 'lines',
        x: { id: 'minutes-on', quantity: 'minutes' },
        y: { id: 'gas', quantity: 'temperature' },
        lines: [0, 1, 2, 3]
          .filter((i) => sensor !== 'open' || i !== 2)
          .map((i) => ({
            id: `egt${i + 1}`,
            points: scale.map((four, at) => [(at * EVERY_S) / 60, four[i] as number] as const),
          })),
        marks: [],
      },
      tells: minutes === 0 && sensor === 'in-order' ? 'cold-and-equal' : sensor,
    };
  },
};
