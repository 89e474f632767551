import * as wording from '@white-ember/core/words/screens/checks';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import { type CheckCard } from '@white-ember/core/checks';
import { KNOWN_CHECKS, type ProposedCheck } from '@white-ember/core/diagnosis';
import type { MadeCheck } from '@white-ember/core/job';
import { outcomeWords } from './outcomeWords.ts';

const PROMPT_BITS = 0.02;

/** A check in the list: what it tells for its minutes as a bar, what it needs, what stands against it. */
export function CheckRow({
  card,
  proposed,
  made,
  first,
  most,
  onChoose,
}: {
  card: CheckCard;
  proposed: ProposedCheck | undefined;
  made: MadeCheck | undefined;
  first: boolean;
  /** Of the check that tells most, bits per minute. */
  most: number;
  onChoose: () => void;
}) {
  const words = useWords();
  const known = KNOWN_CHECKS.find(({ id }) => id === card.id);
  const likely = proposed?.outcomes
    .filter(({ outcome, probability }) => outcome !== card.otherwise && probability >= 0.1)
    .sort((a, b) => b.probability - a.probability)[0];
  const share = proposed && most > 0 ? Math.max(0.02, proposed.bitsPerMinute / most) : 0;
  return (
    <li className={`border-b-2 border-rule ${first ? 'bg-card' : ''}`}>
      <button className="w-full text-left px-2 py-2 min-h-14 grid gap-1 hover:bg-card" onClick={onChoose}>
        {first ? <span className="text-sm text-ember-text font-bold">{wording.bestNextCheck}</span> : null}
        <span className="flex gap-3 justify-between items-baseline">
          <span className={`font-head font-semibold ${first ? 'text-xl' : 'text-lg'}`}>
            {words.name('checkNames', card.id)}
          </span>
          {known ? <span className="figure-text whitespace-nowrap">{common.min(known.minutes)}</span> : null}
        </span>
        {proposed ? (
          <span aria-hidden className="block h-1.5 bg-rule">
            <span className="block h-1.5 bg-steel" style={{ width: `${100 * share}%` }} />
          </span>
        ) : null}
        <WhatItTells made={made} proposed={proposed} card={card} likely={likely} />
      </button>
    </li>
  );
}

/** What a check told or may tell, and what it takes. */
function WhatItTells({
  made,
  proposed,
  card,
  likely,
}: {
  made: MadeCheck | undefined;
  proposed: ProposedCheck | undefined;
  card: CheckCard;
  likely: { readonly outcome: string; readonly probability: number } | undefined;
}) {
  const words = useWords();
  return (
    <span className="text-sm text-ink2">
      {[
        ...(made
          ? [
              wording.made(
                made.outcome === undefined ? wording.notDecided : words.say(outcomeWords(made.outcome)),
              ),
            ]
          : []),
        ...(proposed?.heldOff ? [words.say(proposed.heldOff)] : []),
        ...(proposed && proposed.lacking.length > 0
          ? [wording.notOnTheVan(proposed.lacking.map((kit) => words.name('kit', kit)).join(', '))]
          : card.needs.length > 0
            ? [card.needs.map((kit) => words.name('kit', kit)).join(', ')]
            : [wording.needsNothing]),
        ...(likely
          ? [`${Math.round(100 * likely.probability)} %: ${words.within(outcomeWords(likely.outcome))}`]
          : proposed && proposed.bits < PROMPT_BITS
            ? [wording.littleToLearnFromThisNow]
            : []),
      ].join(' · ')}
    </span>
  );
}
