import * as wording from '@white-ember/core/words/screens/learn';
import type { Picture, TopicId } from '@white-ember/core/learn';
import { useWords } from '../../data/words.ts';
import { figureText, labelOf } from './learnWords.ts';

type Bars = Extract<Picture, { kind: 'bars' }>;

/** Bars of one quantity, each with its figure; what it was before as a line across it, the limit as a rule. */
export function BarsPicture({ picture, topic }: { picture: Bars; topic: TopicId }) {
  const words = useWords();
  const { bars, quantity, limit } = picture;
  const most = Math.max(
    1e-9,
    limit ?? 0,
    ...bars.flatMap(({ value, before }) => [value, before ?? 0]),
    quantity === 'percent' ? 100 : 0,
  );
  const share = (value: number): string => `${(100 * Math.max(0, value)) / most}%`;
  return (
    <ul className="grid gap-3" aria-label={wording.figures}>
      {bars.map(({ id, value, before }) => (
        <li key={id} className="grid gap-1">
          <span className="flex justify-between gap-3 items-baseline">
            <span>{labelOf(words, topic, id)}</span>
            <span className="figure-text whitespace-nowrap">
              {before === undefined ? '' : `${figureText(words, quantity, before)} → `}
              {figureText(words, quantity, value)}
            </span>
          </span>
          <span className="relative block h-5 bg-rule" aria-hidden>
            {before === undefined ? null : (
              <span
                className="absolute inset-y-0 left-0 border-2 border-steel"
                style={{ width: share(before) }}
              />
            )}
            <span className="absolute inset-y-1 left-0 bg-ink" style={{ width: share(value) }} />
            {limit === undefined ? null : (
              <span className="absolute -inset-y-1 w-1 bg-ember" style={{ left: share(limit) }} />
            )}
          </span>
        </li>
      ))}
      {bars.some(({ before }) => before !== undefined) ? (
        <li className="text-sm text-ink2">{wording.outlines[topic]}</li>
      ) : null}
      {limit === undefined ? null : (
        <li className="text-sm text-ink2">{wording.goodTo(figureText(words, quantity, limit))}</li>
      )}
    </ul>
  );
}
