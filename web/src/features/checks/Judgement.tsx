import { figureText, type CheckJudgement, type Figure } from '@white-ember/core/checks';
import { KNOWN_FINDINGS } from '@white-ember/core/diagnosis';
import { StateMark } from '../../ui/StateMark.tsx';
import { shownUnit, type ShownUnits } from './typedCheck.ts';

const SENTENCES = new Map(KNOWN_FINDINGS.map(({ id, sentence }) => [id, sentence]));

/** An outcome in words; one that no table knows is said as it was named. */
export const outcomeWords = (outcome: string): string =>
  SENTENCES.get(outcome) ?? GOOD_WORDS[outcome] ?? outcome.replaceAll('-', ' ');

const GOOD_WORDS: Readonly<Record<string, string>> = {
  'zero-good': 'Zero is good',
  'volts-good': 'Supply, ground and signal are good',
  'ladder-good': 'The sensor follows the pump as it should',
  'swap-same': 'The same with a known-good sensor',
  'hoses-good': 'Hoses are good',
  'response-quick': 'The pipes let the value back at once',
  'pipes-open': 'The pipes are open',
  'absolutes-agree': 'The absolute sensors agree',
  'compare-same': 'Both sensors read the same',
  'soak-alike': 'All alike after a cold soak',
  'egt-good': 'All EGTs are on their curve',
  'intake-tight': 'Intake and charge pipes are tight',
  'air-fits': 'Air mass fits speed and pressure',
  'shaft-good': 'The shaft is good',
  'vanes-move': 'The vanes move',
  'egr-good': 'Valve and cooler are good',
  'dosing-sprays': 'Fuel comes into the exhaust as it should',
  'glow-good': 'Glow plugs and relay are good',
  'oil-good': 'The oil is good',
  'coolant-warm': 'The coolant gets warm',
  'no-section': 'No section is restricted',
  'gauge-low': 'Low by gauge',
  'faces-good': 'Both faces look good',
  'counter-fits': 'The counter fits the pressure',
  'fuel-enough': 'Fuel enough',
  'use-fits': 'Driven far and fast enough',
  'supply-good': 'The 5 V and its ground are good',
  'injectors-good': 'The injectors are alike',
};

const STATE = { sound: 'sound', doubtful: 'doubtful', failed: 'failed' } as const;

/** What a check says so far: the outcome, each figure with its limit, the reasons, and what is asked back. */
export function Judgement({ judgement, shown }: { judgement: CheckJudgement; shown: ShownUnits }) {
  const { outcome, figures, sentences, questions } = judgement;
  return (
    <div className="grid gap-3" role="status" aria-label="Judgement">
      {questions.length > 0 ? (
        <div className="border-l-8 border-ember bg-card p-3">
          <p className="font-head font-semibold">Can that be?</p>
          <ul className="grid gap-1">
            {questions.map(({ field, text }) => (
              <li key={`${field} ${text}`}>{text}</li>
            ))}
          </ul>
          <p className="text-sm text-ink2 mt-1">
            Nothing is decided by it. Measure again and enter what you find.
          </p>
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
