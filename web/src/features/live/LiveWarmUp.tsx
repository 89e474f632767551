import * as wording from '@white-ember/core/words/screens/live';
import { useWords } from '../../data/words.ts';
import { useMemo } from 'react';
import { fillsOf, warmUpOf, warmUpPoints } from '@white-ember/core/treatment';
import type { OpenJob } from '../../job/useJob.ts';
import { WarmUpLine } from '../readings/WarmUpLine.tsx';
import type { LiveSession } from './liveSession.ts';
import type { LiveState } from './liveState.ts';
import { KEPT_S } from './liveTrace.ts';

/** Judged anew this often, s of the vehicle: it goes by minutes. */
const EVERY_S = 3;

/** After a chemical clean: whether the filter is still wet, drying, or may be read. */
export function LiveWarmUp({
  open: { derived, vehicle, limits },
  session,
  state,
}: {
  open: OpenJob;
  session: LiveSession;
  state: LiveState;
}) {
  const words = useWords();
  const { filter } = vehicle;
  const cleaned = fillsOf(derived.entries).length > 0;
  const { channels } = state;
  const beat = Math.floor((state.vehicle?.timeS ?? 0) / EVERY_S);
  const warmUp = useMemo(() => {
    if (!filter || !cleaned) return undefined;
    const traceOf = new Map(
      channels
        .filter(({ status }) => status === 'live')
        .map(({ role, id }) => [role, session.traces.get(id)]),
    );
    const toS = beat * EVERY_S;
    const points = warmUpPoints(
      (role, atS) => traceOf.get(role)?.at(atS),
      { fromS: Math.max(0, toS - KEPT_S), toS },
      filter,
      limits,
    );
    return points.length === 0 ? undefined : warmUpOf(points, limits);
  }, [filter, cleaned, channels, session, beat, limits]);
  if (!cleaned || !filter) return null;
  return warmUp ? (
    <WarmUpLine warmUp={warmUp} live />
  ) : (
    <p className="text-ink2">
      {wording.afterTheCleanStartIdleWarmTo(words.temperature(limits.coolantWarmC))}
    </p>
  );
}
