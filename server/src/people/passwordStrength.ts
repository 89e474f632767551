import { plainly, say } from '@white-ember/core/words';
import type { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { Refusal } from '../http/problem.ts';

/** Guesses grow with each step by a factor of a thousand or so; 3 withstands guessing at a stolen hash for a while. */
const LEAST_SCORE = 3;
/** What is looked at of a password: the time grows with the square of its length, and no guesser goes further. */
const LOOKED_AT = 72;

let making: Promise<ZxcvbnFactory> | undefined;

/** Its word lists take a second and some memory: they are loaded when the first password is chosen. */
async function makeGuesser(): Promise<ZxcvbnFactory> {
  const [{ ZxcvbnFactory: Factory }, common, english] = await Promise.all([
    import('@zxcvbn-ts/core'),
    import('@zxcvbn-ts/language-common'),
    import('@zxcvbn-ts/language-en'),
  ]);
  return new Factory({
    translations: english.translations,
    graphs: common.adjacencyGraphs,
    dictionary: { ...common.dictionary, ...english.dictionary },
  });
}

/**
 * Refuses a password that is soon guessed, with the reason.
 * @param about names that it must not be made of: of the person, of the workshop
 */
export async function refuseWeakPassword(password: string, about: readonly string[]): Promise<void> {
  const guesser = await (making ??= makeGuesser());
  const { score, feedback } = guesser.check(
    password.slice(0, LOOKED_AT),
    about.flatMap((name) => [name, ...name.split(/\s+/)]),
  );
  if (score >= LEAST_SCORE) return;
  const why = [feedback.warning, ...feedback.suggestions].filter(Boolean).join(' ');
  const said = plainly(say('faults.weak-password', { why }));
  throw new Refusal(400, say('refusals.the-input-is-not-right'), said, { password: said });
}
