import * as wording from '@white-ember/core/words/screens/readings';
import * as common from '@white-ember/core/words/screens/common';
import { spokenNow } from '../../data/words.ts';
import { useState } from 'react';
import {
  ASKED,
  roleName,
  channelsSaid,
  isChannelRole,
  leftToSay,
  saidByHeading,
  sayWord,
  spellOut,
  type Asked,
  type ChannelRole,
  type Said,
} from '@white-ember/core/readings';
import { Chip } from '../../ui/Chip.tsx';
import { Sheet } from '../../ui/Sheet.tsx';

const ASKED_AS: Readonly<Record<Asked, string>> = {
  measures: wording.itMeasures,
  of: wording.ofIt,
  at: wording.where,
  number: common.number,
};

export const channelName = (role: string): string =>
  isChannelRole(role) ? spokenNow(roleName(role)) : role === '' ? wording.noneOfThese : role;

/** What each word of a heading was taken for; nothing where none is known. */
export function HeadingRead({ heading, role }: { heading: string; role?: string }) {
  const words = spellOut(heading, role !== undefined && isChannelRole(role) ? role : undefined);
  if (!words.some(({ means }) => means !== '')) return <span>{wording.noKnownWord}</span>;
  return (
    <span>
      {words.map(({ word, means }, at) => (
        <span key={`${word} ${at}`} className="whitespace-nowrap">
          {at > 0 ? ' · ' : ''}
          {word}
          {means === '' ? <span className="text-ink2"> ?</span> : means === word ? '' : ` = ${means}`}
        </span>
      ))}
    </span>
  );
}

/** Says what a column is: by what it measures, of what and where, down to one channel; or out of all of them. */
export function ChannelChooser({
  heading,
  role,
  name,
  disabled = false,
  onChoose,
}: {
  /** As the log writes it. */
  heading: string;
  /** The channel that it is now; '' for none. */
  role: string;
  /** What the button is called beside what it shows. */
  name: string;
  disabled?: boolean;
  onChoose: (role: ChannelRole | '') => void;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="input-box text-left flex items-center justify-between gap-2"
        aria-haspopup="dialog"
        aria-label={`${name}: ${channelName(role)}`}
        disabled={disabled}
        onClick={() => setOpen(true)}
      >
        <span>{channelName(role)}</span>
        <span aria-hidden className="font-bold">
          …
        </span>
      </button>
      <ChoiceSheet open={open} setOpen={setOpen} heading={heading} role={role} onChoose={onChoose} />
    </>
  );
}

/** The channels, in a sheet of their own. */
function ChoiceSheet({
  open,
  setOpen,
  heading,
  role,
  onChoose,
}: {
  open: boolean;
  setOpen: (value: boolean) => void;
  heading: string;
  role: string;
  onChoose: (role: ChannelRole | '') => void;
}) {
  return (
    <Sheet
      open={open}
      onOpenChange={setOpen}
      title={heading.trim() === '' ? wording.whatItIs : wording.whatIs(heading)}
    >
      {open ? (
        <Choice
          heading={heading}
          role={role}
          onChoose={(chosen) => {
            setOpen(false);
            onChoose(chosen);
          }}
        />
      ) : null}
    </Sheet>
  );
}

function Choice({
  heading,
  role,
  onChoose,
}: {
  heading: string;
  role: string;
  onChoose: (role: ChannelRole | '') => void;
}) {
  const [said, setSaid] = useState<readonly Said[]>(() => saidByHeading(heading));
  const left = leftToSay(said);
  const channels = channelsSaid(said);
  return (
    <div className="grid gap-4">
      {heading.trim() === '' ? null : (
        <p className="text-sm">
          <HeadingRead heading={heading} role={role} />
        </p>
      )}
      {said.length > 0 ? <SaidSoFar said={said} setSaid={setSaid} /> : null}
      {ASKED.map((asked) =>
        left[asked].length === 0 ? null : (
          <fieldset key={asked}>
            <legend className="font-bold mb-1">{ASKED_AS[asked]}</legend>
            <div className="flex flex-wrap gap-2">
              {left[asked].map((one) => (
                <Chip key={one} label={sayWord(one)} on={false} onChange={() => setSaid([...said, one])} />
              ))}
            </div>
          </fieldset>
        ),
      )}
      <ChannelButtons channels={channels} role={role} onChoose={onChoose} />
    </div>
  );
}

/** The channels that are left. */
function ChannelButtons({
  channels,
  role,
  onChoose,
}: {
  channels: readonly ChannelRole[];
  role: string;
  onChoose: (role: ChannelRole | '') => void;
}) {
  return (
    <div
      role="group"
      aria-label={wording.channels}
      className="border-t-2 border-ink pt-3 grid gap-2 sm:grid-cols-2"
    >
      {channels.map((one) => (
        <button
          key={one}
          type="button"
          aria-current={one === role || undefined}
          className={`min-h-11 px-3 text-left border-2 border-ink rounded-sm bg-card ${one === role ? 'font-bold' : ''}`}
          onClick={() => onChoose(one)}
        >
          {channelName(one)}
        </button>
      ))}
      <button
        type="button"
        aria-current={role === '' || undefined}
        className={`min-h-11 px-3 text-left border-2 border-rule rounded-sm ${role === '' ? 'font-bold' : ''}`}
        onClick={() => onChoose('')}
      >
        {wording.noneOfThese}
      </button>
    </div>
  );
}

/** What was said of the channel until now. */
function SaidSoFar({ said, setSaid }: { said: readonly Said[]; setSaid: (value: readonly Said[]) => void }) {
  return (
    <div>
      <p id="said-so-far" className="font-bold mb-1">
        {wording.saidSoFarTapOneToRemove}
      </p>
      <div role="group" aria-labelledby="said-so-far" className="flex flex-wrap gap-2">
        {said.map((one) => (
          <Chip
            key={one}
            label={sayWord(one)}
            on
            onChange={() => setSaid(said.filter((other) => other !== one))}
          />
        ))}
      </div>
    </div>
  );
}
