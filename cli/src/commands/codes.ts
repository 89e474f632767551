import { told } from '../told.ts';
import { PLAIN_WORDS } from '@white-ember/core/words';
import { codeMeaning } from '@white-ember/core/codes';
import type { Options } from '../input.ts';
import { InputError } from '../InputError.ts';
import { print, printJson } from '../output.ts';
import { LONGEST_CODE } from '../scannedCodes.ts';

/** What each code means, in the order in which they were given. */
export function codes(texts: readonly string[], options: Options): void {
  for (const text of texts) {
    if (text.trim() === '') throw new InputError(told('code-an-empty-one-tells-nothing'));
    if (text.length > LONGEST_CODE)
      throw new InputError(
        told('code-longer-than-characters', { text: text.slice(0, 40), most: LONGEST_CODE }),
      );
  }
  const known = texts.map(codeMeaning);
  if (options['json']) {
    printJson(
      known.map(
        ({
          code,
          notation,
          failureType,
          couldBe,
          meaning,
          role,
          holdsRegenerationOff,
          certainty,
          checks,
        }) => ({
          code,
          notation,
          ...(failureType === undefined ? {} : { failureType }),
          meaning: PLAIN_WORDS.say(meaning),
          role,
          checks,
          holdsRegenerationOff,
          certainty,
          ...(couldBe === undefined ? {} : { couldBe: PLAIN_WORDS.say(couldBe) }),
        }),
      ),
    );
    return;
  }
  for (const one of known) {
    print(
      `${one.code}  ${PLAIN_WORDS.say(one.meaning)}${one.certainty === 'exact' ? '' : ` [${one.certainty === 'by-range' ? told('by-its-range') : told('not-known')}]`}`,
      `    ${one.role}${one.holdsRegenerationOff ? told('inhibits-regeneration-while-active') : ''}`,
      one.couldBe === undefined ? '' : told('could-be', { couldBe: PLAIN_WORDS.say(one.couldBe) }),
      one.checks.length === 0
        ? ''
        : told('check-named', { id: one.checks.map((id) => PLAIN_WORDS.name('checkNames', id)).join('; ') }),
    );
  }
}
