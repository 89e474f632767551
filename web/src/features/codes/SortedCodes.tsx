import * as wording from '@white-ember/core/words/screens/codes';
import { Say } from '../../ui/Say.tsx';
import { topicOf } from '@white-ember/core/learn';
import { useWords } from '../../data/words.ts';
import { LearnLink } from '../../ui/LearnLink.tsx';
import {
  CODE_GROUPS,
  sortCodes,
  type CodeGroup,
  type ListedCode,
  type SortedCode,
} from '@white-ember/core/codes';

const GROUP_WORDS: Readonly<Record<CodeGroup, string>> = {
  cause: wording.mayBeTheCause,
  'holds-regeneration-off': wording.inhibitRegeneration,
  consequence: wording.consequencesOfAnotherFault,
  bystander: wording.unrelated,
  unknown: wording.notInTheTables,
};

/** The codes of a scan in the order in which they matter, each with why it stands there. */
export function SortedCodes({ codes }: { codes: readonly ListedCode[] }) {
  const sorted = sortCodes(codes);
  return (
    <div className="grid gap-3">
      {CODE_GROUPS.map((group) => {
        const its = sorted.filter((one) => one.group === group);
        if (its.length === 0) return null;
        return (
          <section key={group} aria-label={GROUP_WORDS[group]}>
            <h3 className="font-head font-semibold border-b-2 border-ink">{GROUP_WORDS[group]}</h3>
            <ul>
              {its.map((one, i) => (
                <Code key={`${one.code} ${i}`} code={one} />
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}

const CERTAINTY = { exact: '', 'by-range': wording.onlyItsRangeIsKnown, none: '' } as const;

function Code({ code }: { code: SortedCode }) {
  const words = useWords();
  const explained = code.checks.find((id) => topicOf('checks', id) !== undefined);
  const about = [code.status, code.module].filter((text) => text !== undefined).join(' · ');
  return (
    <li className="border-b-2 border-rule">
      <details>
        <summary className="min-h-11 py-1.5 cursor-pointer">
          <span className={`figure-text text-lg ${code.active ? '' : 'text-ink2'}`}>
            {code.code}
            {code.failureType === undefined ? '' : `-${code.failureType}`}
          </span>{' '}
          <Say it={code.meaning} />
          {about === '' ? null : <span className="text-sm text-ink2"> · {about}</span>}
        </summary>
        <div className="text-[15px] pb-2 grid gap-1">
          <p>
            <Say it={code.reason} />. {CERTAINTY[code.certainty]}.
          </p>
          {code.couldBe === undefined ? null : (
            <p>
              {wording.theSameDigitsCouldBe} <Say it={code.couldBe} />.
            </p>
          )}
          {code.checks.length === 0 ? null : (
            <p>
              {wording.checksItCallsFor(code.checks.map((id) => words.name('checkNames', id)).join('; '))}
            </p>
          )}
          {explained === undefined ? null : (
            <p>
              <LearnLink what="checks" id={explained} />
            </p>
          )}
        </div>
      </details>
    </li>
  );
}
