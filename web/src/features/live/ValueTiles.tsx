import * as wording from '@white-ember/core/words/screens/live';
import { type UnitChoice } from '@white-ember/core/words';
import { type LinkChannel } from '@white-ember/core/link';
import { spokenNow } from '../../data/words.ts';
import { roleName } from '@white-ember/core/readings';
import { useAppSelector } from '../../data/store.ts';
import { cleanNowMbar, limitNow, type LiveFacts, type LimitNow } from './liveLimits.ts';
import type { LiveSession } from './liveSession.ts';
import type { LiveState } from './liveState.ts';
import { shownLive } from './shownLive.ts';
import { withUnit } from '../../ui/format.ts';

/** The chosen channels as figures, with the limit that they stand against where there is one. */
export function ValueTiles({
  session,
  state,
  facts,
}: {
  session: LiveSession;
  state: LiveState;
  facts: LiveFacts;
}) {
  const { units } = useAppSelector((app) => app.preferences);
  const shown = state.channels.filter(({ id }) => state.chosen.includes(id));
  const clean = cleanNowMbar(facts);
  return (
    <ul aria-label={wording.values} className="grid gap-1.5 grid-cols-2 sm:grid-cols-3 xl:grid-cols-5">
      {shown.map((channel) => {
        const base = session.traces.get(channel.id)?.last;
        const { figure, unit } =
          base === undefined ? { figure: '–', unit: channel.unit } : shownLive(channel, base, units);
        const isDeltaP = channel.role === 'dpfDeltaP' && channel.status === 'live';
        const limit = channel.status === 'live' ? limitNow(channel.role, facts, units) : undefined;
        return (
          <ValueTile
            key={channel.id}
            channel={channel}
            isDeltaP={isDeltaP}
            figure={figure}
            unit={unit}
            limit={limit}
            clean={clean}
            units={units}
          />
        );
      })}
    </ul>
  );
}

/** One channel with its limit. */
function ValueTile({
  channel,
  isDeltaP,
  figure,
  unit,
  limit,
  clean,
  units,
}: {
  channel: LinkChannel;
  isDeltaP: boolean;
  figure: string;
  unit: string;
  limit: LimitNow | undefined;
  clean: number | undefined;
  units: UnitChoice;
}) {
  return (
    <li
      className={`border-2 px-2 py-1 bg-card min-w-0 ${isDeltaP ? 'border-steel col-span-2 order-first' : 'border-rule'}`}
    >
      <p className="text-[13px] leading-4 text-ink2 min-h-4">
        {spokenNow(roleName(channel.role))}
        {channel.status === 'volts' ? wording.voltsOnly : ''}
      </p>
      <p className={`figure-text leading-7 ${isDeltaP ? 'text-3xl text-steel' : 'text-2xl'}`}>
        {figure} <span className="text-base">{unit}</span>
      </p>
      {limit ? (
        <p className={`text-[13px] leading-4 ${limit.over ? 'text-ember-text font-bold' : 'text-ink2'}`}>
          {limit.over ? wording.look : ''}
          {limit.text}
          {clean === undefined || !isDeltaP ? '' : wording.cleanAtThisFlow(withUnit(clean, units.pressure))}
        </p>
      ) : null}
    </li>
  );
}
