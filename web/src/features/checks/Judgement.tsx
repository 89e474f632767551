import * as wording from '@white-ember/core/words/screens/checks';
import { fixed } from '../../ui/format.ts';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import { useSpoken } from '../../data/words.ts';
import type { UnitChoice } from '@white-ember/core/words';
import { Say } from '../../ui/Say.tsx';
import { figureText, type CheckJudgement, type Figure } from '@white-ember/core/checks';
import { StateMark } from '../../ui/StateMark.tsx';
import { outcomeWords } from './outcomeWords.ts';
import { shownUnit } from './typedCheck.ts';

const STATE = { sound: 'sound', doubtful: 'doubtful', failed: 'failed' } as const;

/** What a check says so far: the outcome, each figure with its limit, the reasons, and what is asked back. */
export function Judgement({ judgement, shown }: { judgement: CheckJudgement; shown: UnitChoice }) {
  const words = useWords();
  const { outcome, figures, sentences, questions } = judgement;
  return (
    <div className="grid gap-3" role="status" aria-label={wording.judgement}>
      {questions.length > 0 ? (
        <div className="border-l-8 border-ember bg-card p-3">
          <p className="font-head font-semibold">{wording.isThatPossible}</p>
          <ul className="grid gap-1">
            {questions.map(({ field, text }, i) => (
              <li key={`${field} ${i}`}>
                <Say it={text} />
              </li>
            ))}
          </ul>
          <p className="text-sm text-ink2 mt-1">{wording.noResultFromItMeasureAgainAnd}</p>
        </div>
      ) : (
        <p className="font-head font-semibold text-xl">
          {outcome === undefined ? wording.notDecidedYet : words.say(outcomeWords(outcome))}
        </p>
      )}
      {figures.length > 0 ? (
        <ul className="border-t-2 border-ink">
          {figures.map((figure, i) => (
            <FigureRow key={i} figure={figure} shown={shown} />
          ))}
        </ul>
      ) : null}
      {sentences.map((sentence, i) => (
        <p key={i} className="text-[15px] leading-snug">
          <Say it={sentence} />
        </p>
      ))}
    </div>
  );
}

function FigureRow({ figure: said, shown }: { figure: Figure; shown: UnitChoice }) {
  const figure = useSpoken(said);
  const unit = shownUnit(figure.unit, shown);
  const text = (value: number): string => figureText(value, figure, fixed, unit);
  const limit =
    figure.low !== undefined && figure.high !== undefined
      ? wording.to(text(figure.low), text(figure.high))
      : figure.low !== undefined
        ? common.atLeast(text(figure.low))
        : figure.high !== undefined
          ? wording.atMost(text(figure.high))
          : '';
  return (
    <li className="flex gap-3 items-center border-b-2 border-rule py-1.5">
      {figure.state === 'plain' ? (
        <span className="w-5" />
      ) : (
        <StateMark state={STATE[figure.state]} size={20} />
      )}
      <span className="grow">
        {figure.label}
        {figure.state === 'plain' ? null : <span className="sr-only">: {figure.state}</span>}
        {limit === '' ? null : <span className="block text-sm text-ink2">{limit}</span>}
      </span>
      <span className="figure-text text-lg whitespace-nowrap">{text(figure.value)}</span>
    </li>
  );
}
