import * as wording from '@white-ember/core/words/screens/learn';
import {
  isRange,
  movesOf,
  startOf,
  type Answer,
  type Model,
  type Picture,
  type Settings,
  type TopicId,
} from '@white-ember/core/learn';
import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useWords } from '../../data/words.ts';
import { Field } from '../../ui/Field.tsx';
import { Say } from '../../ui/Say.tsx';
import { Slide } from '../../ui/Slide.tsx';
import { StateMark } from '../../ui/StateMark.tsx';
import { BarsPicture } from './BarsPicture.tsx';
import { figureText, labelOf } from './learnWords.ts';
import { LinesPicture } from './LinesPicture.tsx';
import { useAnswer } from './useAnswer.ts';

/** The address follows when the hand has come to rest: browsers refuse to change it many times a second. */
const RESTS_MS = 400;

/** What the address says, where it says something that can be set. */
function settingsIn(moves: Model['moves'], address: URLSearchParams): Settings {
  return Object.fromEntries(
    moves.map((move) => {
      const asked = address.get(move.id);
      if (asked === null) return [move.id, move.start];
      if (!isRange(move)) return [move.id, move.options.includes(asked) ? asked : move.start];
      const figure = Number(asked);
      return [move.id, figure >= move.from && figure <= move.to ? figure : move.start];
    }),
  );
}

/** Something to move, and the figures that answer. */
export function TryIt({ topic }: { topic: TopicId }) {
  const moves = movesOf(topic);
  const [address, setAddress] = useSearchParams();
  const [settings, setSettings] = useState(() => settingsIn(moves, address));
  useEffect(() => {
    const begin = startOf(moves);
    const changed = Object.entries(settings).filter(([id, value]) => value !== begin[id]);
    const wanted = new URLSearchParams(changed.map(([id, value]) => [id, String(value)]));
    const timer = window.setTimeout(() => {
      if (wanted.toString() !== new URLSearchParams(location.search).toString())
        setAddress(wanted, { replace: true, preventScrollReset: true });
    }, RESTS_MS);
    return () => window.clearTimeout(timer);
  }, [moves, settings, setAddress]);
  const answer = useAnswer(topic, settings);
  return (
    <section aria-label={wording.tryIt} className="border-2 border-ink bg-card p-3 sm:p-4 grid gap-4">
      <h2 className="text-xl">{wording.tryIt}</h2>
      <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2">
        <Movers
          topic={topic}
          settings={settings}
          onSet={(id, value) => setSettings((was) => ({ ...was, [id]: value }))}
        />
      </div>
      {answer === undefined ? <p className="text-ink2">{wording.working}</p> : null}
      {answer === 'none' ? <p>{wording.cannotBeWorkedOut}</p> : null}
      {answer && answer !== 'none' ? <Answered topic={topic} answer={answer} /> : null}
    </section>
  );
}

function Movers({
  topic,
  settings,
  onSet,
}: {
  topic: TopicId;
  settings: Settings;
  onSet: (id: string, value: number | string) => void;
}) {
  const words = useWords();
  return movesOf(topic).map((move) =>
    isRange(move) ? (
      <Slide
        key={move.id}
        label={labelOf(words, topic, move.id)}
        shown={figureText(words, move.unit, Number(settings[move.id]))}
        value={Number(settings[move.id])}
        low={move.from}
        high={move.to}
        step={move.step}
        onValue={(value) => onSet(move.id, value)}
      />
    ) : (
      <Field key={move.id} label={labelOf(words, topic, move.id)}>
        <select
          className="input-box"
          value={settings[move.id]}
          onChange={(event) => onSet(move.id, event.target.value)}
        >
          {move.options.map((option) => (
            <option key={option} value={option}>
              {labelOf(words, topic, option)}
            </option>
          ))}
        </select>
      </Field>
    ),
  );
}

const OfPicture = ({ topic, picture }: { topic: TopicId; picture: Picture }) =>
  picture.kind === 'lines' ? (
    <LinesPicture picture={picture} topic={topic} />
  ) : (
    <BarsPicture picture={picture} topic={topic} />
  );

function Answered({ topic, answer }: { topic: TopicId; answer: Answer }) {
  const words = useWords();
  return (
    <>
      <p className="border-l-8 border-ember pl-3 font-head font-semibold text-xl" role="status">
        {wording.tells[topic]?.[answer.tells]}
      </p>
      <div className="grid gap-4 lg:grid-cols-[minmax(0,5fr)_minmax(0,4fr)]">
        {answer.picture ? <OfPicture topic={topic} picture={answer.picture} /> : null}
        <div className="grid gap-3 content-start">
          <dl className="grid grid-cols-[1fr_auto] gap-x-4">
            {answer.figures.map(({ id, quantity, value, limit, within }) => (
              <div key={id} className="contents">
                <dt className="border-b border-rule py-1.5">
                  {labelOf(words, topic, id)}
                  {limit === undefined ? null : (
                    <span className="text-sm text-ink2">
                      {' '}
                      · {wording.goodTo(figureText(words, quantity, limit))}
                    </span>
                  )}
                </dt>
                <dd className="border-b border-rule py-1.5 figure-text text-lg text-right whitespace-nowrap">
                  {within === undefined ? null : (
                    <span className="inline-block align-middle mr-1.5">
                      <StateMark state={within ? 'sound' : 'failed'} size={18} />
                    </span>
                  )}
                  {value === undefined ? '–' : figureText(words, quantity, value)}
                </dd>
              </div>
            ))}
          </dl>
        </div>
        {answer.holds ? (
          <div>
            <h3 className="text-lg">{wording.inTheWay}</h3>
            {answer.holds.length === 0 ? <p>{wording.nothingInTheWay}</p> : null}
            <ul className="list-disc pl-5">
              {answer.holds.map((said, i) => (
                <li key={i}>
                  <Say it={said} />
                </li>
              ))}
            </ul>
          </div>
        ) : null}
      </div>
    </>
  );
}
