export { DEFAULT_LIMITS as ahead } from '@white-ember/core/limits';
