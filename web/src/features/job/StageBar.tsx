import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import { useEffect, useRef } from 'react';
import { STAGES, type Stage } from '@white-ember/core/job';
import { RunningClocks } from '../clocks/RunningClocks.tsx';

/** For the thumb, where the tape lies far down: stages and the running clock at the lower edge, always. */
export function StageBar({ stage, onStage }: { stage: Stage; onStage: (stage: Stage) => void }) {
  const words = useWords();
  const current = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    // With the frame, which lays the page out in any case.
    const frame = requestAnimationFrame(() =>
      current.current?.scrollIntoView({ block: 'nearest', inline: 'center' }),
    );
    return () => cancelAnimationFrame(frame);
  }, [stage]);
  return (
    <nav
      aria-label={common.stages}
      className="no-print lg:hidden fixed inset-x-0 bottom-0 z-40 bg-tape text-tape-ink border-t-2 border-ink flex items-center gap-2 px-1 pb-[env(safe-area-inset-bottom)]"
    >
      <div className="grow min-w-0 flex overflow-x-auto" tabIndex={-1}>
        {STAGES.map((name) => (
          <button
            key={name}
            ref={name === stage ? current : undefined}
            type="button"
            aria-current={name === stage ? 'step' : undefined}
            className={`shrink-0 min-h-14 px-3 font-head font-semibold border-b-4 ${name === stage ? 'border-ember' : 'border-transparent'}`}
            onClick={() => onStage(name)}
          >
            {words.name('stages', name)}
          </button>
        ))}
      </div>
      <div className="shrink-0">
        <RunningClocks />
      </div>
    </nav>
  );
}
