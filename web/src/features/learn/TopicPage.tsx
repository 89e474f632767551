import * as wording from '@white-ember/core/words/screens/learn';
import { checksOf, TOPIC_IDS, type TopicId } from '@white-ember/core/learn';
import { filterVolumeL } from '@white-ember/core/filter';
import { EXAMPLE } from '@white-ember/core/learn';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { useWords } from '../../data/words.ts';
import { Button } from '../../ui/Button.tsx';
import { TryIt } from './TryIt.tsx';

const isTopic = (id: string | undefined): id is TopicId =>
  (TOPIC_IDS as readonly (string | undefined)[]).includes(id);

/** One topic: what it is in half a screen of words, and its model. */
export function TopicPage() {
  const { topic } = useParams();
  return isTopic(topic) ? <Topic key={topic} topic={topic} /> : <NoTopic />;
}

function NoTopic() {
  return (
    <main className="p-4 grid gap-3 justify-items-start">
      <h1 className="text-3xl">{wording.noSuchTopic}</h1>
      <Link to="/learn" className="underline underline-offset-4 min-h-11 content-center">
        {wording.allTopics}
      </Link>
    </main>
  );
}

function Topic({ topic }: { topic: TopicId }) {
  const words = useWords();
  const text = wording.topics[topic]?.(words);
  const next = TOPIC_IDS[TOPIC_IDS.indexOf(topic) + 1];
  const checks = checksOf(topic);
  if (!text) return <NoTopic />;
  return (
    <main className="p-3 sm:p-5 w-full max-w-6xl mx-auto grid gap-5">
      <header className="flex flex-wrap gap-x-6 items-baseline">
        <Link to="/learn" className="no-print underline underline-offset-4 min-h-11 inline-flex items-center">
          {wording.allTopics}
        </Link>
        <h1 className="text-3xl grow basis-72">{words.name('topics', topic)}</h1>
        <p className="text-lg basis-full">{text.gist}</p>
      </header>
      <TryIt topic={topic} />
      <div className="grid gap-x-8 gap-y-4 md:grid-cols-2">
        <Part title={wording.whatItIs}>{text.is}</Part>
        <Part title={wording.whereItSits}>{text.sits}</Part>
        <Part title={wording.whatFails}>
          <ul className="list-disc pl-5">
            {text.fails.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </Part>
        <Part title={wording.testIt}>
          <ol className="list-decimal pl-6">
            {text.test.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
        </Part>
        <Part title={wording.mayIDrive}>{text.drive}</Part>
        <Part title={wording.ignored}>{text.ignored}</Part>
        {checks.length > 0 ? (
          <Part title={wording.checksOnAJob}>
            <ul className="list-disc pl-5">
              {checks.map((id) => (
                <li key={id}>{words.name('checkNames', id)}</li>
              ))}
            </ul>
          </Part>
        ) : null}
      </div>
      <footer className="flex flex-wrap gap-x-8 items-center text-sm text-ink2">
        <p>
          {wording.example(words.engineSize(EXAMPLE.engineL), words.volume(filterVolumeL(EXAMPLE.filter), 1))}
        </p>
        <span className="no-print">
          <Button onClick={() => window.print()}>{wording.print}</Button>
        </span>
        {next ? (
          <Link
            to={`/learn/${next}`}
            className="no-print text-ink underline underline-offset-4 min-h-11 inline-flex items-center"
          >
            {wording.next(words.name('topics', next))}
          </Link>
        ) : null}
      </footer>
    </main>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section>
      <h2 className="text-lg border-b-2 border-ink mb-1">{title}</h2>
      <div className="leading-snug">{children}</div>
    </section>
  );
}
