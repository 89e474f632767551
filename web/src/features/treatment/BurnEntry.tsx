import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/treatment';
import { fixed } from '../../ui/format.ts';
import { useWords } from '../../data/words.ts';
import { Link } from 'react-router';
import { burnsOf } from '@white-ember/core/treatment';
import type { OpenJob } from '../../job/useJob.ts';

/** The way from the job to its burn, with how the last one stands. */
export function BurnEntry({ open, kind }: { open: OpenJob; kind: 'drive' | 'standing' }) {
  const words = useWords();
  const last = burnsOf(open.derived.entries).at(-1);
  const running = last?.goesOn === true;
  return (
    <section aria-label={common.regeneration} className="grid gap-2 border-2 border-ink bg-card p-3">
      <h2 className="text-2xl">{kind === 'drive' ? common.driveRegeneration : common.parkedRegeneration}</h2>
      <p>
        {running
          ? wording.aRegenerationWasStartedAndHasNo
          : last?.ended
            ? wording.theLastRegenerationAfterMin(
                words.name('burnEnds', last.ended.body.how),
                fixed(last.ended.body.minutes),
              )
            : wording.preconditionsTemperaturesBed}
      </p>
      <Link
        to={`/jobs/${open.job.id}/burn?kind=${kind}`}
        className="font-head font-semibold min-h-14 px-4 rounded-sm inline-flex items-center justify-center text-lg bg-ember-button text-ember-button-text justify-self-start"
      >
        {running ? wording.goToTheRegeneration : last ? common.seeTheResult : wording.prepareTheRegeneration}
      </Link>
    </section>
  );
}
