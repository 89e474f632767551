export { KNOWN_FINDINGS as ahead } from '@white-ember/core/diagnosis';
