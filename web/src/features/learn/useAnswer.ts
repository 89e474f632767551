import { wrap, type Remote } from 'comlink';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { MODELS, type Answer, type Model, type Settings, type TopicId } from '@white-ember/core/learn';
import type { LearnWorker } from '../../workers/learnWorker.ts';

let shared: Remote<LearnWorker> | undefined;
const remote = (): Remote<LearnWorker> =>
  (shared ??= wrap<LearnWorker>(
    new Worker(new URL('../../workers/learnWorker.ts', import.meta.url), { type: 'module' }),
  ));

/** What the model of a topic answers: at once, or beside the page where that takes longer than a frame. */
export function useAnswer(topic: TopicId, settings: Settings): Answer | 'none' | undefined {
  const model: Model = MODELS[topic];
  const atOnce = useMemo(() => (model.slow ? undefined : model.answer(settings)), [model, settings]);
  const wanted = useDeferredValue(settings);
  const [told, setTold] = useState<{ topic: TopicId; answer: Answer | 'none' }>();
  useEffect(() => {
    if (!model.slow) return undefined;
    let asked = true;
    remote()
      .answer(topic, wanted)
      .then(
        (answer) => asked && setTold({ topic, answer }),
        () => asked && setTold({ topic, answer: 'none' }),
      );
    return () => {
      asked = false;
    };
  }, [topic, model, wanted]);
  return model.slow ? (told?.topic === topic ? told.answer : undefined) : atOnce;
}
