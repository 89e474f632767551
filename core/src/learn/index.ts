export { checksOf, TOPIC_IDS, topicOf, type TopicId } from './topics.ts';
export { EXAMPLE } from './example.ts';
export { MODELS, movesOf, QUICK, SLOW_MOVES } from './models/index.ts';
export { dropToIdle } from './models/dropToIdle.ts';
export { judging } from './models/judging.ts';
export { temperatures } from './models/temperatures.ts';
export {
  isRange,
  startOf,
  type Answer,
  type Choice,
  type Figure,
  type Model,
  type Picture,
  type Quantity,
  type Range,
  type Settings,
} from './model.ts';
