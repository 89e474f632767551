import type { Row } from './bench.ts';
import { shareVehicles } from './shareVehicles.ts';

const JOBS = 500;
const TRUE_SHARE = 0.88;
const IN_FAMILY = 0.8;

/** Jobs as they come in, in life: whether what is said to be nearly certain is so, and whether the first step is about what is wrong. */
export async function measureArrival(): Promise<Row[]> {
  const all = await shareVehicles('arrived', JOBS);
  const sure = all.flatMap(({ sureOf, about }) => sureOf.map((one) => ({ ...one, about })));
  for (const { cause, probability, about } of sure.filter(({ really }) => !really))
    process.stderr.write(`not so: ${cause} ${probability.toFixed(3)}: ${about}\n`);
  const so = sure.filter(({ really }) => really).length;
  const clear = all.filter((one) => one.clear);
  for (const { next, about } of clear.filter(({ inFamily }) => !inFamily))
    process.stderr.write(`first step ${next}: ${about}\n`);
  const about = clear.filter(({ inFamily }) => inFamily).length;
  const atFault = clear.filter((one) => one.atFault).length;
  return [
    {
      what: `Over ${JOBS} jobs of simulated vehicles as in life, told, scanned and read: causes over 90 % that are really there`,
      measured: `${so} of ${sure.length}, ${((100 * so) / sure.length).toFixed(1)} %`,
      against: `at least ${100 * TRUE_SHARE} %`,
      ratio: TRUE_SHARE / (so / sure.length),
    },
    {
      what: 'Of these, with one fault and a code or a finding that points to it: the first step is about that fault',
      measured: `${atFault} of ${clear.length}, ${((100 * atFault) / clear.length).toFixed(1)} % (with looks at the pressure’s own way before a full filter is treated ${((100 * about) / clear.length).toFixed(1)} %)`,
      against: `at least ${100 * IN_FAMILY} %`,
      ratio: IN_FAMILY / (atFault / clear.length),
    },
  ];
}
