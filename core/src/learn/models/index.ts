import type { Model } from '../model.ts';
import type { TopicId } from '../topics.ts';
import { counter } from './counter.ts';
import { dpSensor } from './dpSensor.ts';
import { dropToIdle, dropToIdleMoves } from './dropToIdle.ts';
import { equalFlow } from './equalFlow.ts';
import { inhibitors } from './inhibitors.ts';
import { judging, judgingMoves } from './judging.ts';
import { pipes } from './pipes.ts';
import { restriction } from './restriction.ts';
import { sootAndAsh } from './sootAndAsh.ts';
import { temperatures, temperaturesMoves } from './temperatures.ts';

/** Models that answer within a frame. */
export const QUICK = {
  'dp-sensor': dpSensor,
  'equal-flow': equalFlow,
  'soot-and-ash': sootAndAsh,
  restriction,
  pipes,
  inhibitors,
  counter,
} as const satisfies Partial<Readonly<Record<TopicId, Model>>>;

/** What can be moved of those that take longer: they are asked where the simulated vehicle, the burn model and the judgement are at home. */
export const SLOW_MOVES = {
  temperatures: temperaturesMoves,
  'drop-to-idle': dropToIdleMoves,
  judging: judgingMoves,
} as const satisfies Partial<Readonly<Record<TopicId, Model['moves']>>>;

/** What can be moved of a topic. */
export const movesOf = (topic: TopicId): Model['moves'] =>
  topic in QUICK ? QUICK[topic as keyof typeof QUICK].moves : SLOW_MOVES[topic as keyof typeof SLOW_MOVES];

/** The model of each topic. */
export const MODELS = {
  ...QUICK,
  temperatures,
  'drop-to-idle': dropToIdle,
  judging,
} as const satisfies Readonly<Record<TopicId, Model>>;
