import { howItWorksOf } from '@white-ember/core/words/screens/common';
import { topicOf } from '@white-ember/core/learn';
import { Link } from 'react-router';
import { useWords } from '../data/words.ts';

/** From a check, a cause or a caution to how it works; nothing where no page explains it. */
export function LearnLink({ what, id }: { what: 'checks' | 'causes' | 'cautions'; id: string }) {
  const words = useWords();
  const topic = topicOf(what, id);
  return topic === undefined ? null : (
    <Link
      to={`/learn/${topic}`}
      className="no-print underline underline-offset-4 min-h-11 inline-flex items-center"
    >
      {howItWorksOf(words.name('topics', topic))}
    </Link>
  );
}
