import { PLAIN_WORDS, type Catalogue, type DataOf } from '@white-ember/core/words';

type Key = keyof Catalogue['commandLine'];
type Data<K extends Key> = DataOf<`commandLine.${K}`>;

/** A line of the command line, in its words. */
export const told = <K extends Key>(
  key: K,
  ...[of]: Data<K> extends undefined ? [] : [of: Data<K>]
): string =>
  PLAIN_WORDS.say({
    say: `commandLine.${key}`,
    ...(of === undefined ? {} : { of: of as Readonly<Record<string, unknown>> }),
  });
