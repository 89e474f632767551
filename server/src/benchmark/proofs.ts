import type { Covered } from '@white-ember/core/testing';
import type { Row } from './bench.ts';
import { shareVehicles } from './shareVehicles.ts';

const JOBS = 300;
const PROVED = 0.95;
/** A 90 % interval covers the truth as often as it says, give or take. */
const COVERS = { least: 86, most: 94 } as const;

/** Bench jobs whose truth is known: what the proof says of blocked, lying and cured ones, and whether its intervals hold. */
export async function measureProofs(): Promise<Row[]> {
  const all = await shareVehicles('proved', JOBS);
  const wrong = all.filter(({ verdict, blocked, lies }) => verdict === 'proved' && (blocked || lies));
  for (const { about } of wrong) process.stderr.write(`proved wrongly: ${about}\n`);
  const cured = all.filter((job) => job.cured);
  const proved = cured.filter(({ verdict }) => verdict === 'proved');
  for (const { about, notShown } of cured.filter(({ verdict }) => verdict !== 'proved'))
    process.stderr.write(`not proved: ${about}: ${notShown.join('; ')}\n`);
  const covers = (what: string, said: readonly Covered[]): Row => {
    const covered = said.filter(({ truth, low, high }) => truth >= low && truth <= high).length;
    const percent = (100 * covered) / said.length;
    return {
      what: `Of these, 90 % intervals of ${what} that hold the truth`,
      measured: `${covered} of ${said.length}, ${percent.toFixed(1)} %`,
      against: `${COVERS.least} to ${COVERS.most} %`,
      ratio: Math.max(COVERS.least / percent, percent / COVERS.most),
    };
  };
  return [
    {
      what: `Of ${JOBS} bench jobs, ${all.filter(({ blocked }) => blocked).length} still blocked and ${all.filter(({ lies }) => lies).length} with a sensor, pipe or hose that lies at the end: said to be proved`,
      measured: String(wrong.length),
      against: 'none',
      ratio: wrong.length === 0 ? 0 : 2,
    },
    {
      what: `Of these, really cured ones that end proved, by doing what the proof asks for`,
      measured: `${proved.length} of ${cured.length}, ${((100 * proved.length) / cured.length).toFixed(1)} %`,
      against: `at least ${100 * PROVED} %`,
      ratio: PROVED / (proved.length / cured.length),
    },
    covers(
      'what was removed',
      all.flatMap(({ removed }) => (removed ? [removed] : [])),
    ),
    covers(
      'the restriction after',
      all.flatMap(({ restriction }) => (restriction ? [restriction] : [])),
    ),
  ];
}
