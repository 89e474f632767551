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
        {broken ? 'waits for the network at ' : ''}
        {Math.floor(share * 100)} %{more.length > 0 ? ` · ${more.length} more` : ''}
      </span>
    </p>
  );
}
