import type { Row } from './bench.ts';
import { shareVehicles } from './shareVehicles.ts';

const JOBS = 200;
const PROVED = 0.95;

/** Repairs that are not of the filter, well made or in name only: what is said of them when the steps that are asked for are done. */
export async function measureRepairs(): Promise<Row[]> {
  const all = await shareVehicles('repaired', JOBS);
  const cured = all.filter((job) => job.cured);
  const wrong = all.filter((job) => !job.cured && job.verdict === 'proved');
  for (const { about, steps } of wrong)
    process.stderr.write(`proved wrongly: ${about}: ${steps.join(', ')}\n`);
  const proved = cured.filter(({ verdict }) => verdict === 'proved');
  for (const { about, notShown } of cured.filter(({ verdict }) => verdict !== 'proved'))
    process.stderr.write(`not proved: ${about}: ${notShown.join('; ')}\n`);
  return [
    {
      what: `Of ${JOBS} repairs that are not of the filter, ${all.length - cured.length} of them in name only: said to be proved though the fault is there`,
      measured: String(wrong.length),
      against: 'none',
      ratio: wrong.length === 0 ? 0 : 2,
    },
    {
      what: 'Of these, really made ones that end proved, by doing the next step that is asked for',
      measured: `${proved.length} of ${cured.length}, ${((100 * proved.length) / cured.length).toFixed(1)} %`,
      against: `at least ${100 * PROVED} %`,
      ratio: PROVED / (proved.length / cured.length),
    },
  ];
}
