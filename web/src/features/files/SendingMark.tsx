import * as wording from '@white-ember/core/words/screens/files';
import * as common from '@white-ember/core/words/screens/common';
import { useAppSelector } from '../../data/store.ts';

/** Says, small, which file is on its way and how far it is. */
export function SendingMark() {
  const [first, ...more] = useAppSelector((state) => state.sending);
  if (!first) return null;
  const { name, share, broken } = first;
  return (
    <p className="text-sm text-ink2 max-w-36 sm:max-w-64 text-right" role="status">
      <span className="inline-block max-w-full truncate align-bottom">{name}</span>{' '}
      <span className="whitespace-nowrap">
        {broken ? wording.waitsForTheNetworkAt : ''}
        {Math.floor(share * 100)} %{more.length > 0 ? common.more(more.length) : ''}
      </span>
    </p>
  );
}
