import * as wording from '@white-ember/core/words/screens/live';
import * as common from '@white-ember/core/words/screens/common';
import { Say } from '../../ui/Say.tsx';
import { spokenNow } from '../../data/words.ts';
import { say } from '@white-ember/core/words';
import type { LinkCode, RoutineId } from '@white-ember/core/link';
import { useWords } from '../../data/words.ts';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  entriesOfKind,
  RESETS,
  type BodyOf,
  type EntryBody,
  type Reset,
  type ResetValue,
} from '@white-ember/core/ledger';
import { roleName, type ChannelRole } from '@white-ember/core/readings';
import { useAppSelector } from '../../data/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { useAddEntry } from '../../job/useAddEntry.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { HeldOff } from '../proof/resets/HeldOff.tsx';
import { useResets } from '../proof/resets/useResets.ts';
import { clockText } from '../readings/logs/traceLanes.ts';
import type { LiveSession } from './liveSession.ts';
import type { LiveState } from './liveState.ts';
import { shownLive } from './shownLive.ts';

/** The ECU: its codes, and what can be asked of it, with what holds that off. */
export function ModulePanel({
  open,
  session,
  state,
  canCommand,
}: {
  open: OpenJob;
  session: LiveSession;
  state: LiveState;
  canCommand: boolean;
}) {
  const connected = state.link.status === 'connected';
  return (
    <section aria-label={wording.ecu} className="grid gap-3 border-t-2 border-ink pt-2">
      <h2 className="text-xl">{wording.ecu}</h2>
      <div className="grid gap-x-6 gap-y-4 sm:grid-cols-2 items-start">
        <Codes open={open} session={session} state={state} canKeep={canCommand} />
        {canCommand && connected ? <Routines open={open} session={session} state={state} /> : null}
      </div>
    </section>
  );
}

function Codes({
  open,
  session,
  state,
  canKeep,
}: {
  open: OpenJob;
  session: LiveSession;
  state: LiveState;
  canKeep: boolean;
}) {
  const addEntry = useAddEntry(open.job.id);
  const { codes } = state;
  const [kept, setKept] = useState<readonly LinkCode[]>();
  const keep = async (): Promise<void> => {
    if (!codes) return;
    const body: EntryBody = {
      kind: 'code-scan',
      when: whenOf(open, state),
      codes: codes.map(({ code, status, present, module, freezeFrame }) => ({
        code,
        status: `${status}, ${present ? 'present' : wording.notPresent}`,
        module,
        ...(freezeFrame === undefined ? {} : { freezeFrame: { ...freezeFrame.values, km: freezeFrame.km } }),
      })),
    };
    if (!(await addEntry(body))) setKept(codes);
  };
  return (
    <CodeButtons state={state} session={session} codes={codes} canKeep={canKeep} kept={kept} keep={keep} />
  );
}

/** Read, keep. */
function CodeButtons({
  state,
  session,
  codes,
  canKeep,
  kept,
  keep,
}: {
  state: LiveState;
  session: LiveSession;
  codes: readonly LinkCode[] | undefined;
  canKeep: boolean;
  kept: readonly LinkCode[] | undefined;
  keep: () => Promise<void>;
}) {
  return (
    <div className="grid gap-3">
      <Button disabled={state.link.status !== 'connected'} onClick={() => void session.readCodes()}>
        {common.readCodes}
      </Button>
      {codes === undefined ? null : codes.length === 0 ? (
        <p role="status">{wording.noCodesStored}</p>
      ) : (
        <ul aria-label={wording.codesOfTheModule} className="border-t-2 border-rule">
          {codes.map((code) => (
            <CodeLine key={code.code} code={code} />
          ))}
        </ul>
      )}
      {codes && canKeep ? (
        kept === codes ? (
          <p role="status">{wording.keptWithTheJob}</p>
        ) : (
          <Button onClick={() => void keep()}>{wording.keepThisListWithTheJob}</Button>
        )
      ) : null}
    </div>
  );
}

/** Before the work, after clearing or after the drive: by what has happened on this job. */
function whenOf({ derived }: OpenJob, { cleared }: LiveState): BodyOf<'code-scan'>['when'] {
  if (entriesOfKind(derived.entries, 'drive').length > 0) return 'after-drive';
  return cleared ? 'after-clear' : 'before';
}

function CodeLine({ code: { code, module, status, present, freezeFrame } }: { code: LinkCode }) {
  const words = useWords();
  const { units } = useAppSelector((app) => app.preferences);
  const values = Object.entries(freezeFrame?.values ?? {}) as [ChannelRole, number][];
  return (
    <li className="border-b-2 border-rule py-1">
      <p>
        <span className="figure-text text-lg">{code}</span> {status}
        {present ? '' : wording.notPresentNow} · {module.toLowerCase()}
      </p>
      {freezeFrame ? (
        <details>
          <summary className="min-h-11 content-center underline underline-offset-4">
            {wording.freezeFrame(words.distance(freezeFrame.km))}
          </summary>
          <dl className="grid grid-cols-[1fr_auto] gap-x-3 text-sm pb-2">
            {values.map(([role, value]) => {
              const { figure, unit } = shownLive({ role, status: 'live', decimals: 1 }, value, units);
              return (
                <div key={role} className="contents">
                  <dt>{spokenNow(roleName(role))}</dt>
                  <dd className="figure-text text-right">
                    {figure} {unit}
                  </dd>
                </div>
              );
            })}
          </dl>
        </details>
      ) : null}
    </li>
  );
}

/** Burns are begun where they are watched. */
const BURNS: Readonly<Partial<Record<RoutineId, 'standing' | 'drive'>>> = {
  'regenerate-standing': 'standing',
  'regenerate-driving': 'drive',
};

/** What can be set back by the link; the rest of its routines need no plan. */
const asReset = (id: RoutineId): Reset | undefined => RESETS.find((reset) => reset === id);

function Routines({ open, session, state }: { open: OpenJob; session: LiveSession; state: LiveState }) {
  const { job } = open;
  const addEntry = useAddEntry(job.id);
  const [chosen, setChosen] = useState<RoutineId>('clear-codes');
  const [why, setWhy] = useState('');
  const [oilLife, setOilLife] = useState('');
  const { steps, forecasting } = useResets(open);
  const reset = asReset(chosen);
  const step = steps.find((one) => one.reset === reset);
  const held = step?.held ?? [];
  const warnings = step?.warnings ?? [];
  const offered = [
    { id: 'clear-codes' as const, label: spokenNow(say('routines.clear-codes')) },
    ...state.routines
      .filter(({ id }) => id !== 'stop' && id !== 'clear-codes' && BURNS[id] === undefined)
      .map(({ id, label }) => ({ id, label: spokenNow(label) })),
  ];
  const burns = state.routines.filter(({ id }) => BURNS[id] !== undefined);
  const running = state.routine?.status === 'running';
  const typed = typedNumber(oilLife);
  const asksOil = step?.keep.includes('oilLifePercent') === true;
  const unread = step?.keep.find((value) =>
    value === 'oilLifePercent' ? typed === undefined : readOf(session, value) === undefined,
  );
  const start = async (): Promise<void> => {
    const before = {
      ...valuesOf(session, step?.keep ?? []),
      ...(asksOil && typed !== undefined ? { oilLifePercent: typed } : {}),
    };
    const answer = await session.command(chosen);
    if (!answer || answer.status === 'refused') return;
    if (!reset || !step) {
      const label = offered.find(({ id }) => id === chosen)?.label ?? chosen;
      await addEntry({ kind: 'note', text: wording.scanLink(label.toLowerCase(), spokenNow(answer.text)) });
      return;
    }
    await session.readAgain();
    await addEntry({
      kind: 'reset',
      reset,
      source: 'live',
      before,
      after: valuesOf(session, step.keep),
      answer: spokenNow(answer.text),
      ...(why.trim() === '' ? {} : { why }),
    });
    setWhy('');
  };
  return (
    <div className="grid gap-2">
      <label className="grid gap-1">
        <span className="font-head font-semibold">{wording.askItTo}</span>
        <select
          className="input-box"
          value={chosen}
          onChange={(event) => setChosen(event.target.value as RoutineId)}
        >
          {offered.map(({ id, label }) => (
            <option key={id} value={id}>
              {label}
            </option>
          ))}
        </select>
      </label>
      <HeldOff held={held} warnings={held.length === 0 ? warnings : []} />
      {held.length === 0 && warnings.length > 0 ? (
        <Field label={common.reasonForDoingItAnyway}>
          <input className="input-box" value={why} onChange={(event) => setWhy(event.target.value)} />
        </Field>
      ) : null}
      {held.length === 0 && asksOil ? (
        <Field label={wording.oilLifeBefore} unit="%">
          <input
            className="input-box"
            inputMode="numeric"
            value={oilLife}
            onChange={(event) => setOilLife(event.target.value)}
          />
        </Field>
      ) : null}
      {held.length === 0 && unread ? <p className="text-[15px]">{READ_FIRST[unread]}</p> : null}
      <Button
        disabled={
          held.length > 0 ||
          running ||
          forecasting ||
          unread !== undefined ||
          (warnings.length > 0 && why.trim() === '')
        }
        onClick={() => void start()}
      >
        {wording.doIt}
      </Button>
      {state.routine ? (
        <p role="status" className="figure-text">
          {state.routine.status === 'refused' ? '' : running ? `${clockText(state.routine.elapsedS)} · ` : ''}
          <Say it={state.routine.text} />
        </p>
      ) : null}
      {running ? (
        <Button weight="main" onClick={() => void session.command('stop')}>
          {wording.stopIt}
        </Button>
      ) : null}
      {burns.map(({ id, label }) => (
        <Link
          key={id}
          to={`/jobs/${job.id}/burn?kind=${BURNS[id] ?? 'standing'}`}
          className="font-head font-semibold min-h-12 px-4 border-2 border-ink rounded-sm inline-flex items-center justify-center"
        >
          {wording.getItReady(spokenNow(label))}
        </Link>
      ))}
    </div>
  );
}

/** How a value comes to be read that is gone after the reset. */
const READ_FIRST: Readonly<Record<ResetValue, string>> = {
  sootG: wording.chooseTheSootCounterAmongThe,
  ashG: wording.chooseTheAshCounterAmongThe,
  deltaPZeroMbar: wording.chooseDeltapAmongTheChannelsFirst,
  oilLifePercent: wording.enterTheOilLifeThatStandsThere,
  codes: wording.readTheCodesFirstTheListIs,
};

const CHANNEL_OF: Readonly<Partial<Record<ResetValue, ChannelRole>>> = {
  sootG: 'sootMass',
  ashG: 'ashMass',
  deltaPZeroMbar: 'dpfDeltaP',
};

/** What the link shows of a value now. The oil life is no channel of it: a person reads it off the dash. */
function readOf(session: LiveSession, value: ResetValue): number | undefined {
  if (value === 'codes') return session.get().codes?.length;
  const role = CHANNEL_OF[value];
  return role === undefined ? undefined : session.latest(role);
}

const valuesOf = (session: LiveSession, values: readonly ResetValue[]): Partial<Record<ResetValue, number>> =>
  Object.fromEntries(
    values.flatMap((value) => {
      const read = readOf(session, value);
      return read === undefined ? [] : [[value, Number(read.toFixed(2))]];
    }),
  );
