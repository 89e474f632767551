import * as wording from '@white-ember/core/words/screens/learn';
import { sentenceOf } from '@white-ember/core/diagnosis';
import type { Quantity, TopicId } from '@white-ember/core/learn';
import { fromBase, unitLabel, type Unit } from '@white-ember/core/quantities';
import { named, type Words } from '@white-ember/core/words';
import { CHECK_IDS } from '@white-ember/core/checks';

/** Units that core counts these in; what has none is a bare figure. */
const BASE: Partial<Record<Quantity, Unit>> = {
  pressure: 'mbar',
  temperature: 'degC',
  flow: 'm3PerH',
  soot: 'g',
  'per-litre': 'gPerL',
  distance: 'km',
};

const WITH_WORDS: Partial<Record<Quantity, (figure: string) => string>> = {
  volts: wording.inVolts,
  'times-clean': wording.timesClean,
  rpm: wording.revs,
  minutes: wording.inMinutes,
  seconds: wording.inSeconds,
};
const DECIMALS: Partial<Record<Quantity, number>> = {
  volts: 2,
  'times-clean': 1,
  seconds: 2,
  count: 0,
  rpm: 0,
};

/** A figure of a model as this person reads it. */
export function figureText(words: Words, quantity: Quantity, value: number): string {
  if (quantity === 'pressure') return words.pressure(value);
  if (quantity === 'percent') return words.percent(value, 0);
  if (quantity === 'per-litre') return words.loading(value, 1);
  if (quantity === 'soot') return words.soot(value, 1);
  if (quantity === 'temperature') return words.temperature(value, 0);
  if (quantity === 'temperature-change') return words.temperatureChange(value, 0);
  if (quantity === 'flow') return words.volumeFlow(value);
  if (quantity === 'distance') return words.distance(value, 0);
  const figure = words.number(value, quantity === 'minutes' ? undefined : DECIMALS[quantity]);
  return WITH_WORDS[quantity]?.(figure) ?? figure;
}

/** The same as a place on an axis: in the unit chosen, and what stands at its end. */
export function axisOf(
  words: Words,
  quantity: Quantity,
): { readonly to: (value: number) => number; readonly unit: string } {
  const base = BASE[quantity];
  if (base === undefined)
    return {
      to: (value) => value,
      unit: quantity === 'percent' ? '%' : (WITH_WORDS[quantity]?.('').trim() ?? ''),
    };
  const unit = words.chosen(base);
  return { to: (value) => fromBase(value, unit), unit: unitLabel(unit) };
}

/** What something of a topic’s model is called; causes, checks and codes by their own names. */
export function labelOf(words: Words, topic: TopicId, id: string): string {
  const own = wording.labelsOf[topic]?.[id] ?? wording.labels[id];
  if (own !== undefined) return own;
  if (id.startsWith('next ')) {
    const check = id.slice('next '.length);
    return wording.bestNext(words.say(named('checkNames', check)));
  }
  if (topic !== 'judging') return id;
  return words.say((CHECK_IDS as readonly string[]).includes(id) ? named('checkNames', id) : sentenceOf(id));
}
