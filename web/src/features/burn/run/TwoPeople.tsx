import * as wording from '@white-ember/core/words/screens/burn';
import { useWords } from '../../../data/words.ts';
import type { Limits } from '@white-ember/core/limits';

/** The card for the road: who does what, in the words that they use. */
export function TwoPeople({ limits }: { limits: Limits }) {
  const words = useWords();
  return (
    <section aria-label={wording.twoPeopleOnTheDrive} className="border-2 border-steel bg-card">
      <h3 className="text-xl bg-steel text-card px-3 py-1">{wording.twoPeopleOnTheDrive}</h3>
      <div className="grid sm:grid-cols-2">
        <div className="p-3">
          <p className="font-head font-semibold">{wording.drives}</p>
          <ul className="list-disc pl-5 leading-snug">
            <li>
              {wording.inOneGearEvenPedalFor15(
                words.span(words.speed(limits.driveLowKmPerH), words.speed(limits.driveHighKmPerH)),
              )}
            </li>
            <li>{wording.eyesOnTheRoadTheScreenIs}</li>
            <li>{wording.atAStopNeutralHold2000Rpm}</li>
            <li>{wording.parksOnlyWhenTheReaderSaysCool}</li>
          </ul>
        </div>
        <div className="p-3 max-sm:border-t-2 sm:border-l-2 border-rule">
          <p className="font-head font-semibold">{wording.reads}</p>
          <ul className="list-disc pl-5 leading-snug">
            <li>{wording.saysThreeWordsOnlyBurningStopCool}</li>
            <li>{wording.startsWatchesStopsItHere}</li>
            <li>{wording.doesNotHandTheScreenOverWhile}</li>
          </ul>
        </div>
      </div>
    </section>
  );
}
