import type { Model } from '../model.ts';
import type { TopicId } from '../topics.ts';
import { counter } from './counter.ts';
import { dpSensor } from './dpSensor.ts';
import { dropToIdle } from './dropToIdle.ts';
import { equalFlow } from './equalFlow.ts';
import { inhibitors } from './inhibitors.ts';
import { judging } from './judging.ts';
import { pipes } from './pipes.ts';
import { restriction } from './restriction.ts';
import { sootAndAsh } from './sootAndAsh.ts';
import { temperatures } from './temperatures.ts';

/** The model of each topic. */
export const MODELS = {
  'dp-sensor': dpSensor,
  'equal-flow': equalFlow,
  'soot-and-ash': sootAndAsh,
  restriction,
  pipes,
  temperatures,
  inhibitors,
  'drop-to-idle': dropToIdle,
  counter,
  judging,
} as const satisfies Readonly<Record<TopicId, Model>>;
