import * as wording from '@white-ember/core/words/screens/learn';
import { learn } from '@white-ember/core/words/screens/common';
import { TOPIC_IDS, type TopicId } from '@white-ember/core/learn';
import type { Words } from '@white-ember/core/words';
import { useState } from 'react';
import { Link } from 'react-router';
import { useWords } from '../../data/words.ts';
import { Field } from '../../ui/Field.tsx';

/** All that a topic says, to look for a word in. */
function textOf(words: Words, topic: TopicId): string {
  const { gist, is, sits, fails, test, also } = wording.topics[topic]?.(words) ?? NOTHING;
  return [words.name('topics', topic), gist, is, sits, ...fails, ...test, also].join(' ').toLowerCase();
}
const NOTHING = { gist: '', is: '', sits: '', fails: [], test: [], also: '' };

/** All topics, in the order in which one builds on another. */
export function LearnPage() {
  const words = useWords();
  const [find, setFind] = useState('');
  const wanted = find.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const found = TOPIC_IDS.filter((topic) => {
    const text = textOf(words, topic);
    return wanted.every((word) => text.includes(word));
  });
  return (
    <main className="p-3 sm:p-5 w-full max-w-4xl mx-auto grid gap-4 content-start">
      <header className="grid sm:grid-cols-[1fr_auto] gap-x-6 gap-y-2 items-end">
        <div>
          <h1 className="text-3xl">{learn}</h1>
          <p className="text-ink2">{wording.learnWhat}</p>
        </div>
        <Field label={wording.findATopic} className="sm:w-72">
          <input
            type="search"
            className="input-box"
            value={find}
            onChange={(event) => setFind(event.target.value)}
          />
        </Field>
      </header>
      <ol className="border-t-2 border-ink">
        {found.map((topic) => (
          <li key={topic} className="border-b border-rule">
            <Link
              to={`/learn/${topic}`}
              className="grid sm:grid-cols-[18rem_1fr] gap-x-6 min-h-14 py-2 items-baseline"
            >
              <span className="font-head font-semibold text-lg">{words.name('topics', topic)}</span>
              <span>{wording.topics[topic]?.(words).gist}</span>
            </Link>
          </li>
        ))}
      </ol>
      {found.length === 0 ? <p role="status">{wording.noTopic}</p> : null}
    </main>
  );
}
