import { wrap, type Remote } from 'comlink';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { QUICK, type Answer, type Settings, type SLOW_MOVES, type TopicId } from '@white-ember/core/learn';
import type { BenchWorker } from '../../workers/benchWorker.ts';
import { burnRemote } from '../../workers/burnRemote.ts';
import { diagnosisRemote } from '../diagnosis/judging.ts';

type Slow = keyof typeof SLOW_MOVES;
const isQuick = (topic: TopicId): topic is keyof typeof QUICK => topic in QUICK;

let vehicle: Remote<BenchWorker> | undefined;
const vehicleRemote = (): Remote<BenchWorker> =>
  (vehicle ??= wrap<BenchWorker>(
    new Worker(new URL('../../workers/benchWorker.ts', import.meta.url), { type: 'module' }),
  ));

/** Where those are worked out that take longer than a frame: beside the page, where the same is done for jobs. */
const BESIDE: Readonly<Record<Slow, (settings: Settings) => Promise<Answer>>> = {
  temperatures: async (settings) => vehicleRemote().learn(settings),
  'drop-to-idle': async (settings) => burnRemote().learn(settings),
  judging: async (settings) => diagnosisRemote().learn(settings),
};

/** What the model of a topic answers; the last answer stays until the next is there. */
export function useAnswer(topic: TopicId, settings: Settings): Answer | 'none' | undefined {
  const atOnce = useMemo(
    () => (isQuick(topic) ? QUICK[topic].answer(settings) : undefined),
    [topic, settings],
  );
  const wanted = useDeferredValue(settings);
  const [told, setTold] = useState<Answer | 'none'>();
  useEffect(() => {
    if (isQuick(topic)) return undefined;
    let asked = true;
    BESIDE[topic](wanted).then(
      (answer) => asked && setTold(answer),
      () => asked && setTold('none'),
    );
    return () => {
      asked = false;
    };
  }, [topic, wanted]);
  return atOnce ?? told;
}
