import * as wording from '@white-ember/core/words/screens/job';
import { PanelRightClose, PanelRightOpen } from 'lucide-react';
import { memo, useState } from 'react';
import { sentenceOf } from '@white-ember/core/diagnosis';
import { toldCauses } from '@white-ember/core/job';
import { preferred } from '../../data/preferences.ts';
import { useAppDispatch, useAppSelector } from '../../data/store.ts';
import { useWords } from '../../data/words.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { Later } from '../../ui/Later.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { LikelyAtFirst } from '../diagnosis/LikelyCauses.tsx';
import { useDiagnosis } from '../diagnosis/useDiagnosis.ts';
import { WhatWeKnow } from './WhatWeKnow.tsx';

interface Of {
  readonly open: OpenJob;
  readonly canWork: boolean;
}

/** The verdict once there is one; before that the likeliest cause; nothing where neither says anything. */
function useGist(open: OpenJob): { readonly what: string; readonly percent?: number } | undefined {
  const words = useWords();
  const diagnosis = useDiagnosis(open);
  if (open.derived.after) return { what: open.derived.headline };
  const [best] = diagnosis ? toldCauses(diagnosis, open.limits) : [];
  return best
    ? { what: words.say(sentenceOf(best.id)), percent: Math.round(100 * best.probability) }
    : undefined;
}

/** On a wide screen beside the work, folded to a tab by whoever wants the room. */
export const KnownPanel = memo(function KnownPanel({ open, canWork }: Of) {
  const folded = useAppSelector((state) => state.preferences.knownFolded === true);
  const dispatch = useAppDispatch();
  const gist = useGist(open);
  return (
    <aside
      className={`relative bg-card border-l-2 border-rule min-h-0 max-lg:hidden ${folded ? 'overflow-hidden' : 'overflow-auto p-4 pt-2 w-80'}`}
      aria-label={wording.whatWeKnow}
      tabIndex={0}
    >
      <button
        type="button"
        className={
          folded
            ? 'h-full w-11 flex flex-col items-center gap-3 pt-3'
            : 'absolute right-2 top-2 size-11 grid place-items-center'
        }
        aria-expanded={!folded}
        onClick={() => dispatch(preferred({ knownFolded: !folded }))}
      >
        {folded ? <PanelRightOpen aria-hidden size={20} /> : <PanelRightClose aria-hidden size={20} />}
        {folded ? (
          <span className="[writing-mode:vertical-rl] font-head font-semibold whitespace-nowrap">
            {wording.whatWeKnowWithPart(
              gist ? ` · ${gist.what}${gist.percent === undefined ? '' : `, ${gist.percent} %`}` : '',
            )}
          </span>
        ) : (
          <span className="sr-only">{wording.foldWhatWeKnow}</span>
        )}
      </button>
      {folded ? null : (
        <Later
          meanwhile={
            <div className="grid gap-4 content-start">
              <div className="h-[46px] border-b-2 border-rule lg:mr-11" />
              <LikelyAtFirst open={open} />
            </div>
          }
        >
          {() => <WhatWeKnow open={open} canWork={canWork} />}
        </Later>
      )}
    </aside>
  );
});

/** On a phone: the gist in one row under the line, the rest in a sheet. */
export function KnownRow({ open, canWork }: Of) {
  const gist = useGist(open);
  const [whole, setWhole] = useState(false);
  return (
    <div className="lg:hidden border-b-2 border-rule bg-card">
      <button
        type="button"
        className="w-full min-h-11 px-3 sm:px-4 flex items-center gap-3 text-left"
        aria-haspopup="dialog"
        onClick={() => setWhole(true)}
      >
        <span className="min-w-0 grow leading-tight line-clamp-2">
          {gist ? (
            <>
              {gist.percent === undefined ? null : (
                <span className="text-sm text-ink2">{wording.mostLikely} </span>
              )}
              <b className="font-head">{gist.what}</b>
            </>
          ) : (
            <span className="text-ink2">{wording.nothingStandsOutYet}</span>
          )}
        </span>
        {gist?.percent === undefined ? null : (
          <span className="figure-text text-lg whitespace-nowrap">{gist.percent} %</span>
        )}
        <span className="underline underline-offset-4 decoration-1 text-sm whitespace-nowrap">
          {wording.whatWeKnow}
        </span>
      </button>
      <Sheet open={whole} onOpenChange={setWhole} title={wording.whatWeKnow}>
        <WhatWeKnow open={open} canWork={canWork} />
      </Sheet>
    </div>
  );
}
