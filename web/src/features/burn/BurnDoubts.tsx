import * as wording from '@white-ember/core/words/screens/burn';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import { Say } from '../../ui/Say.tsx';
import { useEffect, useState, useRef } from 'react';
import { proxy } from 'comlink';
import { doubtsText, SOOT_DOUBT_SHARE, USUAL_DOUBTS, type BurnBatch } from '@white-ember/core/burn';
import type { BurnWish, Told } from '../../workers/burnWorker.ts';
import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { burnRemote } from '../../workers/burnRemote.ts';

const RUNS = 500;

/** The same burn many times, with all that is not known exactly drawn anew. */
export function Doubts({ wish }: { wish: BurnWish }) {
  const words = useWords();
  const [progress, setProgress] = useState<{ done: number; leftS: number }>();
  const [batch, setBatch] = useState<Told<BurnBatch>>();
  // Words of progress come on a way of their own, and may come after the answer or after a stop.
  const going = useRef(0);
  useEffect(() => () => void burnRemote().stopBatch(), []);
  const start = async (): Promise<void> => {
    const startedMs = performance.now();
    const mine = ++going.current;
    const tell = (done: number): void => {
      if (mine !== going.current) return;
      setProgress({
        done,
        leftS: ((performance.now() - startedMs) / Math.max(done, 1) / 1000) * (RUNS - done),
      });
    };
    setProgress({ done: 0, leftS: 0 });
    setBatch(undefined);
    const { sootG } = wish.plan;
    const answer = await burnRemote().batch(
      wish,
      { lowG: (1 - SOOT_DOUBT_SHARE) * sootG, highG: (1 + SOOT_DOUBT_SHARE) * sootG },
      RUNS,
      proxy(tell),
    );
    if (mine !== going.current) return;
    going.current++;
    setProgress(undefined);
    setBatch(answer);
  };
  return (
    <div className="border-t-2 border-rule pt-3 grid gap-2">
      {progress === undefined ? (
        <Button className="justify-self-start" onClick={() => void start()}>
          {wording.howCertainRunItTimes(RUNS)}
        </Button>
      ) : (
        <div className="flex items-center gap-3">
          <progress
            className="grow h-3 accent-[var(--ember-button)]"
            value={progress.done}
            max={RUNS}
            aria-label={wording.runsOf(progress.done, RUNS)}
          />
          <span className="text-sm tabular-nums">
            {wording.ofIt(
              progress.done,
              RUNS,
              progress.done > 20 ? common.sLeft(Math.ceil(progress.leftS)) : '',
            )}
          </span>
          <Button
            onClick={() => {
              void burnRemote().stopBatch();
              going.current++;
              setProgress(undefined);
            }}
          >
            {wording.stop}
          </Button>
        </div>
      )}
      {batch?.ok ? (
        <ul className="grid gap-1">
          <li>
            {wording.n90OfRunsHottestSootLeft(
              words.span(
                words.temperature(batch.value.peakBedC.low),
                words.temperature(batch.value.peakBedC.high),
              ),
              words.span(words.soot(batch.value.sootLeftG.low, 1), words.soot(batch.value.sootLeftG.high, 1)),
            )}
          </li>
          <li>
            {wording.ofRunsExceedTheBedLimitOf(
              words.percent(100 * batch.value.overLimitShare, 0),
              words.temperature(batch.value.limitC),
            )}
          </li>
          <li className="text-sm text-ink2">
            <Say it={doubtsText(USUAL_DOUBTS)} />
          </li>
        </ul>
      ) : null}
      {batch && !batch.ok ? (
        <Notice title={wording.noAnswer}>
          <Say it={batch.text} />
        </Notice>
      ) : null}
    </div>
  );
}
