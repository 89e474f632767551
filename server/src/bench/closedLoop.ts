import type { Row } from './bench.ts';
import { shareVehicles } from './shareVehicles.ts';

const VEHICLES = 300;
const RIGHT = 0.92;
const SHORTER = 0.35;

const median = (values: number[]): number => values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** Random bench vehicles with one to three faults, by the recommended checks until one explanation holds, by fault. */
export async function measureClosedLoop(): Promise<Row[]> {
  const byFault = new Map<string, { right: number; of: number }>();
  const recommended: number[] = [];
  const fixed: number[] = [];
  let [right, dangerous] = [0, 0];
  for (const one of await shareVehicles('diagnosed', VEHICLES)) {
    recommended.push(one.recommended.minutes);
    fixed.push(one.fixed.minutes);
    dangerous += one.recommended.dangerous.length;
    if (one.right) right++;
    else
      process.stderr.write(
        `${one.about}: ${one.recommended.finished ? 'took for' : 'unfinished at'} ${one.recommended.roots.join(' + ') || 'nothing'}, ${one.recommended.minutes} min\n`,
      );
    for (const id of one.faults) {
      const its = byFault.get(id) ?? { right: 0, of: 0 };
      byFault.set(id, { right: its.right + (one.right ? 1 : 0), of: its.of + 1 });
    }
  }
  const faults = [...byFault].sort(([, a], [, b]) => a.right / a.of - b.right / b.of);
  process.stderr.write(
    `By fault: ${faults.map(([id, { right: r, of }]) => `${id} ${r}/${of}`).join(', ')}\n`,
  );
  const [short, long] = [median(recommended), median(fixed)];
  return [
    {
      what: `Right set of causes of ${VEHICLES} random bench vehicles with one to three faults, by recommended checks until one explanation holds 90 %; what is sure on the pressure path, in the wiring or the intake is put right at once and read again`,
      measured: `${right} of ${VEHICLES}, ${((100 * right) / VEHICLES).toFixed(1)} %; least by fault: ${faults
        .slice(0, 4)
        .map(([id, { right: r, of }]) => `${id} ${r} of ${of}`)
        .join(', ')}`,
      against: `at least ${100 * RIGHT} %`,
      ratio: RIGHT / (right / VEHICLES),
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
