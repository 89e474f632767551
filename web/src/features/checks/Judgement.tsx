import { figureText, type CheckJudgement, type Figure } from '@white-ember/core/checks';
import { StateMark } from '../../ui/StateMark.tsx';
import { outcomeWords } from './outcomeWords.ts';
import { shownUnit, type ShownUnits } from './typedCheck.ts';

const STATE = { sound: 'sound', doubtful: 'doubtful', failed: 'failed' } as const;

/** What a check says so far: the outcome, each figure with its limit, the reasons, and what is asked back. */
export function Judgement({ judgement, shown }: { judgement: CheckJudgement; shown: ShownUnits }) {
  const { outcome, figures, sentences, questions } = judgement;
  return (
    <div className="grid gap-3" role="status" aria-label="Judgement">
      {questions.length > 0 ? (
        <div className="border-l-8 border-ember bg-card p-3">
          <p className="font-head font-semibold">Is that possible?</p>
          <ul className="grid gap-1">
            {questions.map(({ field, text }) => (
              <li key={`${field} ${text}`}>{text}</li>
            ))}
          </ul>
          <p className="text-sm text-ink2 mt-1">No result from it. Measure again and enter the value.</p>
        </div>
      ) : (
        <p className="font-head font-semibold text-xl">
          {outcome === undefined ? 'Not decided yet' : outcomeWords(outcome)}
        </p>
      )}
      {figures.length > 0 ? (
        <ul className="border-t-2 border-ink">
          {figures.map((figure) => (
            <FigureRow key={figure.label} figure={figure} shown={shown} />
          ))}
        </ul>
      ) : null}
      {sentences.map((sentence) => (
        <p key={sentence} className="text-[15px] leading-snug">
          {sentence}
        </p>
      ))}
    </div>
  );
}

function FigureRow({ figure, shown }: { figure: Figure; shown: ShownUnits }) {
  const unit = shownUnit(figure.unit, shown);
  const text = (value: number): string => figureText(value, figure, unit);
  const limit =
    figure.low !== undefined && figure.high !== undefined
      ? `${text(figure.low)} to ${text(figure.high)}`
      : figure.low !== undefined
        ? `at least ${text(figure.low)}`
        : figure.high !== undefined
          ? `at most ${text(figure.high)}`
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
