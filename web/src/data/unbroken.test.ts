import { measuresOf, say, wordsOf } from '@white-ember/core/words';
import { describe, expect, it } from 'vitest';
import { unbroken, withoutBreaks } from './unbroken.ts';

describe('a figure and its unit', () => {
  it('stay on one line, and words after a figure do not', () => {
    expect(withoutBreaks('84 % of 12 g/L at 2500 rpm')).toBe('84\u00a0% of 12\u00a0g/L at 2500\u00a0rpm');
    expect(withoutBreaks('26 g (19–33 g), 3 steps, 2 readings')).toBe(
      '26\u00a0g (19–33\u00a0g), 3 steps, 2 readings',
    );
  });

  it('in sentences and in bare figures', () => {
    const words = unbroken(wordsOf([], measuresOf()));
    expect(words.pressure(84)).toBe('84\u00a0mbar');
    expect(words.say({ say: 'none.known', text: 'It is at 80 °C.' })).toBe('It is at 80\u00a0°C.');
    expect(words.say(say('text.quoted', { words: 'x' }))).toBe('text.quoted');
    expect(words.units.pressure).toBe('mbar');
  });
});
