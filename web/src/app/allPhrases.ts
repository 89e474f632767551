export { ENGLISH } from '@white-ember/core/words';
