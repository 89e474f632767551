import { CHECK_LABELS, type CheckId } from '@white-ember/core/checks';
import { KNOWN_CAUSES, KNOWN_FINDINGS } from '@white-ember/core/diagnosis';
import type { Diagnosis } from '../../workers/diagnosisWorker.ts';
import type { OpenJob } from '../job/useJob.ts';
import { useDiagnosis } from './useDiagnosis.ts';

const SENTENCES = new Map(
  [...KNOWN_CAUSES, ...KNOWN_FINDINGS].map(({ id, sentence }): [string, string] => [id, sentence]),
);
const sentenceOf = (id: string): string => SENTENCES.get(id) ?? id;

const SHOWN = 3;
const LEAST = 0.12;
/** A reason that shifts the odds by less than a tenth is none. */
const LEAST_WEIGHT = 0.1;

/** What is likely behind it, each with what speaks for and against, and the check that is worth the next minutes. */
export function LikelyCauses({ open }: { open: OpenJob }) {
  const diagnosis = useDiagnosis(open);
  if (!diagnosis) return null;
  const likely = diagnosis.posterior.causes.filter(({ probability }) => probability >= LEAST).slice(0, SHOWN);
  const [next] = diagnosis.next;
  return (
    <section>
      <h2 className="text-lg mb-1">Most likely, as it came</h2>
      <ul aria-label="Likely causes" className="grid gap-1">
        {likely.map((cause) => (
          <Likely key={cause.id} cause={cause} evidence={diagnosis.evidence} />
        ))}
      </ul>
      {next && next.bits > 0.02 ? (
        <p className="text-[15px] mt-2">
          Check worth the next minutes: <b>{CHECK_LABELS[next.check as CheckId]}</b>, {next.minutes} min.
        </p>
      ) : null}
      {diagnosis.posterior.unexplained.length > 0 ? (
        <p className="text-[15px] mt-2">
          Does not fit:{' '}
          {diagnosis.posterior.unexplained
            .map(
              ({ finding }) => `${diagnosis.evidence[finding] === true ? '' : 'not '}${sentenceOf(finding)}`,
            )
            .join('; ')}
          .
        </p>
      ) : null}
    </section>
  );
}

function Likely({
  cause: { id, probability, reasons },
  evidence,
}: {
  cause: Diagnosis['posterior']['causes'][number];
  evidence: Diagnosis['evidence'];
}) {
  const percent = Math.round(100 * probability);
  return (
    <li>
      <details>
        <summary className="min-h-11 py-1 cursor-pointer list-none">
          <span className="flex justify-between gap-3 text-[15px] leading-snug">
            <span>{sentenceOf(id)}</span>
            <span className="figure-text whitespace-nowrap">{percent} %</span>
          </span>
          <span aria-hidden className="block h-2 bg-rule mt-1">
            <span className="block h-2 bg-ink" style={{ width: `${percent}%` }} />
          </span>
        </summary>
        <ul className="text-sm leading-snug grid gap-1 pb-2">
          {reasons
            .filter(({ weight }) => Math.abs(weight) >= LEAST_WEIGHT)
            .slice(0, SHOWN)
            .map(({ finding, weight }) => (
              <li key={finding}>
                {weight > 0 ? 'For it' : 'Against it'}: {evidence[finding] === true ? '' : 'not seen: '}
                {sentenceOf(finding)}
              </li>
            ))}
        </ul>
      </details>
    </li>
  );
}
