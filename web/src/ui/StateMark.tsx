import { useWords } from '../data/words.ts';
import { type PartState } from '@white-ember/core/ledger';

/** The state of a part by shape, so that it reads without colour. Drawn around (0, 0), 16 wide. */
export function StateShape({ state }: { state: PartState }) {
  const line = { fill: 'none', stroke: 'currentColor', strokeWidth: 2 } as const;
  switch (state) {
    case 'not-looked-at':
      return <circle r={6.5} {...line} strokeDasharray="2.600 2.500" />;
    case 'sound':
    case 'proven-clear':
      return (
        <g>
          <circle r={7.5} fill="currentColor" />
          <path d="M-3.500 0.200 L-1 2.900 L3.800 -2.600" fill="none" stroke="var(--card)" strokeWidth={2} />
        </g>
      );
    case 'doubtful':
      return (
        <g>
          <path d="M0 -8 L8 0 L0 8 L-8 0 Z" {...line} />
          <path d="M0 -8 L0 8 L-8 0 Z" fill="currentColor" />
        </g>
      );
    case 'failed':
      return (
        <g>
          <path d="M-3 -7.500 H3 L7.500 -3 V3 L3 7.500 H-3 L-7.500 3 V-3 Z" {...line} />
          <path d="M-3.200 -3.200 L3.200 3.200 M3.200 -3.200 L-3.200 3.200" {...line} />
        </g>
      );
    case 'replaced':
      return (
        <g>
          <circle r={7} {...line} />
          <path d="M-3.800 0 H3.800 M0 -3.800 V3.800" {...line} />
        </g>
      );
  }
}

export function StateMark({ state, size = 20 }: { state: PartState; size?: number }) {
  const words = useWords();
  return (
    <svg
      width={size}
      height={size}
      viewBox="-10 -10 20 20"
      role="img"
      aria-label={words.name('partStates', state)}
      className="shrink-0"
    >
      <StateShape state={state} />
    </svg>
  );
}
