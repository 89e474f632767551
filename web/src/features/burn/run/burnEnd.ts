import type { BodyOf } from '@white-ember/core/ledger';
import type { BurnMoment, JobBurn, RunEstimate } from '@white-ember/core/treatment';

const most = (values: readonly (number | undefined)[]): number | undefined => {
  const known = values.filter((value) => value !== undefined);
  return known.length === 0 ? undefined : Math.max(...known);
};

type EndBody = BodyOf<'burn-ended'>;

/** Most minutes that the ledger takes for a burn. */
const LONGEST_MIN = 600;

/** What is stored of a burn that has ended, from what was read in it. */
export function burnEndBody(
  about: Pick<EndBody, 'burn' | 'how' | 'source'> & {
    readonly why: string | undefined;
    readonly endedAtS: number;
  },
  read: {
    readonly moments: readonly BurnMoment[];
    readonly estimate: RunEstimate | undefined;
    readonly burn: JobBurn | undefined;
  },
): EndBody {
  const { moments, estimate } = read;
  const counted = moments.flatMap(({ sootG }) => sootG ?? []);
  const figures = {
    peakInletC: most(moments.map(({ egt3C }) => egt3C)),
    peakOutletC: most(moments.map(({ egt4C }) => egt4C)),
    peakBedC: estimate?.bed.peakC,
    sootBeforeG: read.burn?.plan.sootG,
    sootLeftG: estimate?.bed.sootG,
    counterBeforeG: counted[0],
    counterAfterG: counted.at(-1),
  };
  const minutes = Math.min(LONGEST_MIN, Math.max(0, about.endedAtS / 60));
  return {
    kind: 'burn-ended',
    burn: about.burn,
    how: about.how,
    ...(about.why?.trim() ? { why: about.why.trim() } : {}),
    source: about.source,
    minutes: Number(minutes.toFixed(1)),
    ...Object.fromEntries(
      Object.entries(figures).flatMap(([name, value]) =>
        value === undefined ? [] : [[name, Number(value.toFixed(1))]],
      ),
    ),
    course: courseOf(moments, estimate),
  };
}

/** How many points of the course are kept with the job. */
const KEPT_POINTS = 120;

/** The course of a burn as the ledger keeps it: thinned, with the bed by the model beside what was read. */
function courseOf(
  moments: readonly BurnMoment[],
  estimate: RunEstimate | undefined,
): NonNullable<EndBody['course']> {
  const every = Math.max(1, Math.ceil(moments.length / KEPT_POINTS));
  const series = estimate?.run.series;
  const bedAt = (atS: number): number | undefined => {
    const i = series?.timeS.findIndex((time) => time >= atS) ?? -1;
    return i < 0 ? undefined : series?.peakC[i];
  };
  return moments
    .filter((_, i) => i % every === 0)
    .map(({ atS, egt3C, egt4C, sootG }) => ({
      atS: Math.round(atS),
      ...Object.fromEntries(
        Object.entries({ egt3C, egt4C, bedC: bedAt(atS), sootG }).flatMap(([name, value]) =>
          value === undefined ? [] : [[name, Number(value.toFixed(1))]],
        ),
      ),
    }));
}
