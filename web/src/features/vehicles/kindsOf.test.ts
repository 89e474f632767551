import { expect, it } from 'vitest';
import type { Vehicle } from '@white-ember/core/contract';
import { kindsOf } from './kindsOf.ts';

const vehicle = (id: string, model: string, family = 'Tarn 2.0'): Vehicle => ({
  id,
  plate: id,
  model,
  family,
  fitted: [],
  revision: 1,
});

it('gives each kind once, the commonest first, by the vehicle of it that came last', () => {
  const kinds = kindsOf([
    vehicle('a', 'Pell hatch'),
    vehicle('b', 'Tarn van'),
    vehicle('c', 'Tarn van'),
    vehicle('d', 'Tarn van', 'Tarn 2.2'),
  ]);
  expect(kinds.map(({ id }) => id)).toEqual(['c', 'a', 'd']);
});
