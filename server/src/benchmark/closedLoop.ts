import type { Row } from './bench.ts';
import { shareVehicles } from './shareVehicles.ts';

const VEHICLES = 150;
const RIGHT = { ordinary: 0.92, inLife: 0.85 } as const;
const SHORTER = 0.35;

const median = (values: number[]): number => values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** Right of how many, by whatever a vehicle is counted under. */
class Counted {
  readonly #by = new Map<string, { right: number; of: number }>();

  add(name: string, right: boolean): void {
    const its = this.#by.get(name) ?? { right: 0, of: 0 };
    this.#by.set(name, { right: its.right + (right ? 1 : 0), of: its.of + 1 });
  }

  /** The least right first. */
  get sentences(): string[] {
    return [...this.#by]
      .sort(([, a], [, b]) => a.right / a.of - b.right / b.of)
      .map(([name, { right, of }]) => `${name} ${right} of ${of}`);
  }
}

/** What simulated vehicles came to that were diagnosed by the recommended checks, and by the fixed checklist. */
type Diagnosed = Awaited<ReturnType<typeof shareVehicles<'ordinary'>>>[number];

function rowsOf(what: string, all: readonly Diagnosed[], least: number, by: string): Row[] {
  const byFault = new Counted();
  const dangerous = all.reduce((sum, { recommended }) => sum + recommended.dangerous.length, 0);
  const right = all.filter((one) => one.right).length;
  for (const one of all) {
    if (!one.right)
      process.stderr.write(
        `${one.about}: took for ${one.recommended.roots.join(' + ') || 'nothing'}, ${one.recommended.minutes} min\n`,
      );
    for (const id of one.faults) byFault.add(id, one.right);
  }
  process.stderr.write(`By fault: ${byFault.sentences.join(', ')}\n`);
  const [short, long] = [
    median(all.map(({ recommended }) => recommended.minutes)),
    median(all.flatMap(({ fixed }) => (fixed ? [fixed.minutes] : []))),
  ];
  return [
    {
      what: `Right set of causes of ${all.length} ${what}, by recommended checks until one explanation holds 93 % or no check is worth its minutes; what is sure on the pressure path, in the wiring or the intake is put right at once and read again`,
      measured: `${right} of ${all.length}, ${((100 * right) / all.length).toFixed(1)} %; ${by}least by fault: ${byFault.sentences.slice(0, 4).join(', ')}`,
      against: `at least ${100 * least} %`,
      ratio: least / (right / all.length),
    },
    {
      what: 'Of these, median time of the checks, with 8 min for each reading again',
      measured: `${short} min`,
      against: `${long} min by the fixed checklist; at least ${100 * SHORTER} % less`,
      ratio: short / ((1 - SHORTER) * long),
    },
    {
      what: 'Of these, checks or readings in which the engine was revved with fuel in the oil or oil in the filter that a check had shown',
      measured: String(dangerous),
      against: 'none',
      ratio: dangerous === 0 ? 0 : 2,
    },
  ];
}

/** Bench vehicles with faults as in life, an ordinary computer, and a whole scan. */
export async function measureClosedLoop(): Promise<Row[]> {
  return rowsOf(
    'simulated vehicles with ordinary computers and whole scans',
    await shareVehicles('ordinary', VEHICLES),
    RIGHT.ordinary,
    '',
  );
}

/** The same as in life: computers of any temper, memories with a history, tools that tell less, customers who tell otherwise. */
export async function measureLife(): Promise<Row[]> {
  const all = await shareVehicles('lively', VEHICLES);
  const counted = new Counted();
  for (const { right, life } of all)
    for (const name of [
      `${life.temper} computer`,
      `${life.memory} memory`,
      `tool with ${life.tool}`,
      `${life.customer} customer`,
    ])
      counted.add(name, right);
  return rowsOf(
    'simulated vehicles as in life, over all tempers and memories',
    all,
    RIGHT.inLife,
    `${counted.sentences.join(', ')}; `,
  );
}
