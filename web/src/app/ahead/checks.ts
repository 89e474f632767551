export { CHECK_CARDS as ahead } from '@white-ember/core/checks';
