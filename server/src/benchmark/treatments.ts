import type { Row } from './bench.ts';
import { shareVehicles } from './shareVehicles.ts';

const VEHICLES = 200;
const PROVED = 0.9;

/** Random simulated vehicles with soot and ash, treated by what the choice puts first, until proved or three treatments were done. */
export async function measureTreatments(): Promise<Row[]> {
  const all = await shareVehicles('treated', VEHICLES);
  const curable = all.filter((one) => one.curable);
  const proved = curable.filter(({ verdict }) => verdict === 'proved');
  for (const { about } of curable.filter(({ verdict }) => verdict !== 'proved'))
    process.stderr.write(`not proved: ${about}\n`);
  const tooHot = all.filter(({ peakC, limitC }) => peakC > limitC);
  const forbidden = all.flatMap((one) => one.forbidden);
  const burns = all.filter(({ treatments }) => treatments.some((id) => id === 'drive' || id === 'standing'));
  const dropped = await shareVehicles('dropped', VEHICLES);
  const burnt = dropped.filter(({ began }) => began);
  for (const { about } of burnt.filter(({ peakC, limitC }) => peakC > limitC))
    process.stderr.write(`too hot: ${about}\n`);
  const none = (what: string, count: number): Row => ({
    what,
    measured: String(count),
    against: 'none',
    ratio: count === 0 ? 0 : 2,
  });
  return [
    {
      what: `Of ${VEHICLES} random simulated vehicles with soot and ash the curable ones that end proved, by what the choice of treatment puts first, at most three of them`,
      measured: `${proved.length} of ${curable.length}, ${((100 * proved.length) / curable.length).toFixed(1)} %`,
      against: `at least ${100 * PROVED} %`,
      ratio: PROVED / (proved.length / curable.length),
    },
    none(`Of these ${VEHICLES}, beds that passed their limit in one of ${burns.length} burns`, tooHot.length),
    none('Of these, burns begun though an interlock held them off', forbidden.length),
    none(
      `Of ${VEHICLES} others with 1–9 g/L of soot a burn is allowed in ${dropped.filter(({ allowed }) => allowed).length}; driven and dropped to idle at a random moment, beds that passed their limit`,
      burnt.filter(({ peakC, limitC }) => peakC > limitC).length,
    ),
  ];
}
