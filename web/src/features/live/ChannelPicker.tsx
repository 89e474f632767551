import * as wording from '@white-ember/core/words/screens/live';
import { type LinkChannel } from '@white-ember/core/link';
import { spokenNow } from '../../data/words.ts';
import { CHANNEL_PRESETS, roleName } from '@white-ember/core/readings';
import type { LiveSession } from './liveSession.ts';
import type { LiveState } from './liveState.ts';

const OWN = 'own';

/** The preset whose channels, as far as they are fitted, are those that are streamed. */
export function presetOf({ channels, chosen }: LiveState): string {
  const streamed = new Set(chosen);
  const fitted = channels.filter(({ status }) => status !== 'not-fitted');
  const match = CHANNEL_PRESETS.find(({ roles }) => {
    const ids = fitted
      .filter(({ role }) => roles.includes(role) || role === 'vehicleSpeed')
      .map(({ id }) => id);
    return ids.length === streamed.size && ids.every((id) => streamed.has(id));
  });
  return match?.id ?? OWN;
}

/** Which channels are streamed: those that a stage of the work calls for, or any others. */
export function ChannelPicker({ session, state }: { session: LiveSession; state: LiveState }) {
  const { channels, chosen } = state;
  const fixed = state.recording !== undefined || state.link.status !== 'connected';
  const preset = presetOf(state);
  const toggle = (id: string): void =>
    void session.stream(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id]);
  return (
    <>
      <label className="flex items-center gap-2">
        <span className="sr-only">{wording.channelsFor}</span>
        <select
          className="input-box w-auto!"
          value={preset}
          disabled={fixed}
          onChange={(event) => {
            const next = CHANNEL_PRESETS.find(({ id }) => id === event.target.value);
            if (next) void session.choose(next.roles);
          }}
        >
          {preset === OWN ? <option value={OWN}>{wording.custom}</option> : null}
          {CHANNEL_PRESETS.map(({ id, label }) => (
            <option key={id} value={id}>
              {spokenNow(label)}
            </option>
          ))}
        </select>
      </label>
      <ChannelList channels={channels} chosen={chosen} fixed={fixed} toggle={toggle} />
    </>
  );
}

/** Every channel that the vehicle has. */
function ChannelList({
  channels,
  chosen,
  fixed,
  toggle,
}: {
  channels: readonly LinkChannel[];
  chosen: readonly string[];
  fixed: boolean;
  toggle: (id: string) => void;
}) {
  return (
    <details className="basis-full order-last">
      <summary className="min-h-11 content-center underline underline-offset-4">
        {wording.channelsOneByOne}
      </summary>
      <ul className="grid sm:grid-cols-2 gap-x-4">
        {channels.map(({ id, name, role, status }) => (
          <li key={id}>
            <label className="flex items-center gap-2 min-h-11">
              <input
                type="checkbox"
                className="size-5 shrink-0 accent-(--ember)"
                checked={chosen.includes(id)}
                disabled={fixed || status === 'not-fitted'}
                onChange={() => toggle(id)}
              />
              <span>
                {spokenNow(roleName(role))}
                <span className="text-sm text-ink2">
                  {name === spokenNow(roleName(role)) ? '' : ` ${name}`}
                  {status === 'not-fitted' ? wording.notFitted : status === 'volts' ? wording.voltsOnly : ''}
                </span>
              </span>
            </label>
          </li>
        ))}
      </ul>
    </details>
  );
}
