import { say } from '@white-ember/core/words';
import { spokenNow } from '../../data/words.ts';
import type { ShownClock } from './clocks.ts';

export const clockName = ({ clock }: Pick<ShownClock, 'clock'>): string => spokenNow(say(`clocks.${clock}`));
