import * as wording from '@white-ember/core/words/screens/checks';
import { useWords } from '../../data/words.ts';
import { sentenceOf } from '@white-ember/core/diagnosis';
import { useWhatIf } from '../diagnosis/useDiagnosis.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { outcomeWords } from './outcomeWords.ts';
import { useState } from 'react';

/** What would be most likely after each outcome of a check, worked out when it is opened. */
export function WhatIfList({ open, check }: { open: OpenJob; check: string }) {
  const words = useWords();
  const [asked, setAsked] = useState(false);
  const answers = useWhatIf(open, asked ? check : undefined);
  return (
    <details
      className="border-2 border-rule bg-card"
      onToggle={(event) => setAsked(event.currentTarget.open)}
    >
      <summary className="font-head font-semibold min-h-11 px-3 content-center">
        {wording.whatIfThisCheckSays}
      </summary>
      <ul className="px-3 pb-2 divide-y-2 divide-rule">
        {answers.map(({ outcome, causes }) => (
          <li key={outcome} className="py-2">
            <p className="font-bold">{words.say(outcomeWords(outcome))}</p>
            <p className="text-[15px]">
              {causes
                .filter(({ probability }) => probability >= 0.05)
                .map(
                  ({ id, probability }) => `${words.say(sentenceOf(id))} ${Math.round(100 * probability)} %`,
                )
                .join(' · ')}
            </p>
          </li>
        ))}
      </ul>
      {asked && answers.length === 0 ? (
        <p className="px-3 pb-2 text-ink2">{wording.needsCodesAReadingOrTheIntake}</p>
      ) : null}
    </details>
  );
}
