import { describe, expect, it } from 'vitest';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { toldCauses } from './toldCauses.ts';

const cause = (id: string, probability: number) => ({ id, probability });
const diagnosis = {
  posterior: {
    causes: [
      cause('ash', 0.6),
      cause('soot', 0.3),
      cause('pipe', 0.13),
      cause('oil', 0.125),
      cause('crack', 0.05),
    ],
  },
};
const told = (toldPercent: number) => toldCauses(diagnosis, { toldPercent }).map(({ id }) => id);

describe('the causes that a person is shown', () => {
  it('are the likeliest three', () => {
    expect(told(DEFAULT_LIMITS.toldPercent)).toEqual(['ash', 'soot', 'pipe']);
  });
  it('are those from the limit of the profile on', () => {
    expect(told(30)).toEqual(['ash', 'soot']);
    expect(told(61)).toEqual([]);
  });
});
