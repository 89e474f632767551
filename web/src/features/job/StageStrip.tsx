import * as wording from '@white-ember/core/words/screens/job';
import { useWords } from '../../data/words.ts';
import { STAGES, type Stage } from '@white-ember/core/job';

/** The eight stages in a row, with the one in work filled: how far a job is, at a glance. */
export function StageStrip({ stage }: { stage: string }) {
  const words = useWords();
  const at = STAGES.indexOf(stage as Stage);
  return (
    <span
      className="flex gap-0.5 items-center"
      role="img"
      aria-label={wording.stage(words.name('stages', stage as Stage) ?? stage)}
    >
      {STAGES.map((name, i) => (
        <span
          key={name}
          className={`h-3 w-5 border-2 border-ink ${i < at ? 'bg-ink' : i === at ? 'bg-ember' : 'bg-transparent'}`}
        />
      ))}
    </span>
  );
}
