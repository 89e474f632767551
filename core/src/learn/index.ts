export { checksOf, TOPIC_IDS, topicOf, type TopicId } from './topics.ts';
export { EXAMPLE } from './example.ts';
export { MODELS } from './models/index.ts';
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
