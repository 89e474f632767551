import { expose } from 'comlink';
import { MODELS, type Answer, type Settings, type TopicId } from '@white-ember/core/learn';

/** Models that take longer than a frame. */
const worker = {
  answer: (topic: TopicId, settings: Settings): Answer => MODELS[topic].answer(settings),
};

export type LearnWorker = typeof worker;

expose(worker);
