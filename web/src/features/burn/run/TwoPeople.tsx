import { useWords } from '../../../data/words.ts';
import type { Limits } from '@white-ember/core/limits';

/** The card for the road: who does what, in the words that they use. */
export function TwoPeople({ limits }: { limits: Limits }) {
  const words = useWords();
  return (
    <section aria-label="Two people on the drive" className="border-2 border-steel bg-card">
      <h3 className="text-xl bg-steel text-card px-3 py-1">Two people on the drive</h3>
      <div className="grid sm:grid-cols-2">
        <div className="p-3">
          <p className="font-head font-semibold">Drives</p>
          <ul className="list-disc pl-5 leading-snug">
            <li>
              {words.span(words.speed(limits.driveLowKmPerH), words.speed(limits.driveHighKmPerH))} in one
              gear, even pedal, for 15–20 min
            </li>
            <li>Eyes on the road: the screen is the other one’s</li>
            <li>At a stop: neutral, hold 2000 rpm, never idle during regeneration</li>
            <li>Parks only when the reader says “cool”; never over dry grass</li>
          </ul>
        </div>
        <div className="p-3 max-sm:border-t-2 sm:border-l-2 border-rule">
          <p className="font-head font-semibold">Reads</p>
          <ul className="list-disc pl-5 leading-snug">
            <li>Says three words only: “burning”, “stop”, “cool”</li>
            <li>Starts, watches, stops it here</li>
            <li>Does not hand the screen over while it moves</li>
          </ul>
        </div>
      </div>
    </section>
  );
}
