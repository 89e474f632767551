export { ENGLISH, GERMAN } from '@white-ember/core/words';
