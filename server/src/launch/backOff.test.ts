import { expect, it } from 'vitest';
import { BackOff } from './backOff.ts';

it('waits longer from fault to fault, half a minute at most, and never gives up', () => {
  const backOff = new BackOff();
  let now = 0;
  const waits = Array.from({ length: 12 }, () => {
    const wait = backOff.next(now);
    now += wait + 500;
    return wait;
  });
  expect(waits.slice(0, 5)).toEqual([200, 400, 800, 1600, 3200]);
  expect(waits.slice(-3)).toEqual([30_000, 30_000, 30_000]);
});

it('begins anew after a minute in which all was well', () => {
  const backOff = new BackOff();
  backOff.next(0);
  backOff.next(700);
  expect(backOff.next(200_000)).toBe(200);
});
