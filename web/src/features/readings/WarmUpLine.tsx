import * as wording from '@white-ember/core/words/screens/readings';
import { fixed } from '../../ui/format.ts';
import { joined } from '@white-ember/core/words';
import { Say } from '../../ui/Say.tsx';
import type { WarmUp, WarmUpPhase } from '@white-ember/core/treatment';

const PHASES: Readonly<Record<WarmUpPhase, string>> = {
  'too-short': wording.tooShortToTell,
  'wet-rise': wording.wetRising,
  drying: wording.dryingFalling,
  plateau: 'plateau',
};
const ORDER: readonly WarmUpPhase[] = ['wet-rise', 'drying', 'plateau'];

/** Where a filter stands in its warm-up after a wet clean: the three phases, which one it is in, and the figures. */
export function WarmUpLine({
  warmUp,
  live,
}: {
  warmUp: WarmUp;
  /** It goes on: what to do is said. A log shows where it stood at its end. */
  live: boolean;
}) {
  const { phase, text, advice, peakRatio, nowRatio } = warmUp;
  const at = ORDER.indexOf(phase);
  return (
    <section aria-label={wording.warmUp} className="grid gap-1">
      <h2 className="text-xl">{wording.warmUpAfterTheClean}</h2>
      <ol className="grid grid-cols-3 gap-0.5 text-sm" aria-hidden>
        {ORDER.map((one, i) => (
          <li
            key={one}
            className={`border-t-8 pt-0.5 ${i < at ? 'border-ink' : i === at ? 'border-steel font-bold' : 'border-rule text-ink2'}`}
          >
            {PHASES[one]}
          </li>
        ))}
      </ol>
      <p role="status" className={phase === 'plateau' ? 'font-bold' : ''}>
        {live ? (
          <Say it={joined([text, advice], ' ')} />
        ) : (
          <>
            {wording.atTheEndOfThisLog} <Say it={text} />
          </>
        )}
      </p>
      {peakRatio === undefined || nowRatio === undefined ? null : (
        <p className="text-sm text-ink2">
          {wording.highestCleanEachAtItsOwnFlow(
            fixed(peakRatio, 1),
            live ? wording.now : wording.atTheEnd,
            fixed(nowRatio, 1),
          )}
        </p>
      )}
    </section>
  );
}
