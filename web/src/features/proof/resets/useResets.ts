import { useSpoken } from '../../../data/words.ts';
import type { Spoken } from '@white-ember/core/words';
import { useMemo } from 'react';
import { planResets, type ResetStep } from '@white-ember/core/proof';
import { useJudgement } from '../../diagnosis/useDiagnosis.ts';
import type { OpenJob } from '../../../job/useJob.ts';

const NONE: readonly Spoken<ResetStep>[] = [];

/**
 * What is to be set back on a job, in its order. What is cleared or set back can release a burn: the drop to idle of that burn holds it
 * off too, and is known a moment later. On a job that is signed off nothing is set back any more: the list says what was.
 */
export function useResets(open: OpenJob): {
  readonly steps: readonly Spoken<ResetStep>[];
  readonly forecasting: boolean;
} {
  const judgement = useJudgement(open);
  const { sealed, derived, limits } = open;
  const done = useSpoken(
    useMemo(
      () =>
        sealed
          ? planResets({
              entries: derived.entries,
              parts: derived.parts,
              causes: derived.causes,
              shownAtEqualFlow: derived.proof?.verdict === 'proved',
              limits,
              held: () => [],
            })
          : undefined,
      [sealed, derived, limits],
    ),
  );
  return {
    steps: done ?? judgement?.resets ?? NONE,
    forecasting: !done && (judgement?.forecasting ?? true),
  };
}
