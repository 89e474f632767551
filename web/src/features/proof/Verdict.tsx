import * as wording from '@white-ember/core/words/screens/proof';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import { Say } from '../../ui/Say.tsx';
import type { OpenJob } from '../../job/useJob.ts';
import { chanceText } from '@white-ember/core/job';
import type { Limits } from '@white-ember/core/limits';
import { StateMark } from '../../ui/StateMark.tsx';
import { atMost } from '../../ui/format.ts';

/** How sure the verdict is, by the readings and by what is weaker than it could be. */
export function ConfidenceReasons({ derived, limits }: { derived: OpenJob['derived']; limits: Limits }) {
  const { confidence } = derived;
  if (!confidence) return null;
  const { level, percent: chance, reasons } = confidence;
  return (
    <p className="text-[15px] mt-2">
      {wording.confidence} <b>{level}</b>: <Say it={chanceText(chance)} />{' '}
      {wording.fromTheScatterOfTheReadingsHigh(
        atMost(limits.confidenceHighPercent, 1),
        atMost(limits.confidenceFairPercent, 1),
        reasons.length > 0 ? wording.loweredBy(reasons.join('; ')) : '',
      )}
    </p>
  );
}

/** Each figure with the limit that it is judged by, and the reasons in sentences. */
export function VerdictReasons({ derived, limits }: { derived: OpenJob['derived']; limits: Limits }) {
  const words = useWords();
  const { proof, comparison } = derived;
  if (!proof) return null;
  const assumed = [
    ...new Set([...(comparison?.before.assumptions ?? []), ...(comparison?.after.assumptions ?? [])]),
  ];
  return (
    <details open={proof.verdict !== 'proved'}>
      <summary className="font-head font-semibold text-lg min-h-9">{common.why}</summary>
      <ul className="grid gap-1.5 text-[15px]">
        {proof.missing.map((sentence) => (
          <li key={sentence} className="border-l-8 border-ember pl-3">
            <b>{wording.missing}</b> {sentence}
          </li>
        ))}
        {proof.reasons.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
      {proof.judgements.length > 0 ? (
        <ul className="mt-2 grid gap-1 text-[15px]">
          {proof.judgements.map((judgement) => (
            <li key={judgement.name} className="flex gap-2">
              <StateMark state={judgement.holds ? 'sound' : 'failed'} size={18} />
              <span>
                {judgement.name}: <b>{words.figure(judgement.value, judgement.unit)}</b>, {judgement.sense}{' '}
                {words.figure(judgement.limit, judgement.unit)}
                <span className="block text-sm text-ink2">{judgement.reason}</span>
              </span>
            </li>
          ))}
        </ul>
      ) : null}
      <ConfidenceReasons derived={derived} limits={limits} />
      {assumed.length > 0 ? (
        <p className="text-sm text-ink2 mt-2">{wording.assumed(assumed.join('; '))}</p>
      ) : null}
    </details>
  );
}
