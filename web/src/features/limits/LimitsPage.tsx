import * as wording from '@white-ember/core/words/screens/limits';
import * as common from '@white-ember/core/words/screens/common';
import { Say } from '../../ui/Say.tsx';
import { spokenNow, useWords } from '../../data/words.ts';
import { useEffect, useState } from 'react';
import { useSearchParams, useLocation } from 'react-router';
import { v7 as uuidv7 } from 'uuid';
import type { LimitsProfile } from '@white-ember/core/contract';
import {
  LIMIT_DEFINITIONS,
  LIMIT_IDS,
  limitOverridesSchema,
  resolveLimits,
  type LimitDefinition,
  type LimitId,
  type LimitOverrides,
} from '@white-ember/core/limits';
import { describeFailure, faultIn, limitUnit } from '@white-ember/core/words';
import {
  problemOf,
  useLimitsQuery,
  useSessionQuery,
  useSetLimitsMutation,
  useVehiclesQuery,
} from '../../data/api.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { Notice, ProblemNotice } from '../../ui/Notice.tsx';

const GROUPS: readonly (readonly [LimitDefinition['group'], string])[] = [
  ['pressure', wording.pressureAndSoot],
  ['proof', wording.proof],
  ['outlook', common.whenItIsDueAgain],
  ['sensor', wording.sensors],
  ['treatment', wording.beforeATreatment],
  ['choice', wording.treatmentChances],
  ['burn', common.regeneration],
  ['run', wording.aRegenerationWatched],
  ['clean', wording.cleaningInPlace],
  ['price', wording.timeAndPrice],
  ['clock', common.timers],
  ['check', wording.guidedChecks],
  ['readiness', wording.conditionsForJudging],
  ['judgement', wording.likelihoodThresholds],
  ['assumption', wording.assumedWithoutAReading],
];

export function LimitsPage() {
  const profiles = useLimitsQuery();
  const vehicles = useVehiclesQuery({});
  const [params, setParams] = useSearchParams();
  const family = params.get('family') ?? '';
  const families = [
    ...new Set([
      ...(profiles.data ?? []).flatMap((p) => p.family ?? []),
      ...(vehicles.data ?? []).map((v) => v.family),
    ]),
  ].sort();
  const inForce = (name: string): LimitsProfile | undefined =>
    (profiles.data ?? []).find((p) => (p.family ?? '') === name);
  const profile = inForce(family);
  if (profiles.error) {
    return (
      <main className="p-6">
        <ProblemNotice problem={problemOf(profiles.error)} />
      </main>
    );
  }
  return (
    <main className="p-4 sm:p-6 max-w-5xl w-full mx-auto">
      <h1 className="text-3xl mb-1">{common.limits}</h1>
      <p className="text-ink2 mb-4 max-w-[70ch]">{wording.everyJudgementUsesTheseStarting}</p>
      <Field label={wording.profile} className="max-w-md mb-6">
        <select
          className="input-box"
          value={family}
          onChange={(event) => setParams(event.target.value ? { family: event.target.value } : {})}
        >
          <option value="">{wording.generalForEveryFamilyWithoutItsOwn}</option>
          {families.map((name) => (
            <option key={name} value={name}>
              {name}
              {(profiles.data ?? []).some((p) => p.family === name) ? '' : wording.noProfileOfItsOwnYet}
            </option>
          ))}
        </select>
      </Field>
      {profiles.isSuccess ? (
        <ProfileForm
          key={`${family} ${profile?.version ?? 0}`}
          family={family}
          profile={profile}
          general={inForce('')}
        />
      ) : null}
    </main>
  );
}

interface Row {
  /** As it is held; NaN where what is typed is no number. */
  readonly value: number;
  readonly source: string;
  /** As it was typed, while it is read in the unit that it was typed in. */
  readonly typed?: { readonly text: string; readonly label: string };
}

const rowsFrom = (profile: LimitsProfile | undefined): Record<LimitId, Row> =>
  Object.fromEntries(
    LIMIT_IDS.map((id) => {
      const own = profile?.overrides[id];
      return [id, { value: own?.value ?? LIMIT_DEFINITIONS[id].value, source: own?.source ?? '' }];
    }),
  ) as Record<LimitId, Row>;

const SHOWN_DIGITS = 4;
const KEPT_DIGITS = 8;
const rounded = (value: number, digits: number): number => Number(value.toPrecision(digits));

/** Only what differs from the starting values is stored, so that better starting values reach everybody else. */
function overridesFrom(
  rows: Record<LimitId, Row>,
): { overrides: LimitOverrides } | { problems: Record<string, string> } {
  const overrides: Partial<Record<LimitId, { value: number; source: string }>> = {};
  const problems: Record<string, string> = {};
  for (const id of LIMIT_IDS) {
    const { value, source } = rows[id];
    if (Number.isNaN(value)) problems[id] = common.enterANumber;
    else if (value !== LIMIT_DEFINITIONS[id].value || source.trim() !== '') {
      overrides[id] = { value, source: source.trim() };
    }
  }
  const parsed = limitOverridesSchema.safeParse(overrides);
  if (!parsed.success)
    for (const issue of parsed.error.issues) problems[String(issue.path[0])] ??= issue.message;
  if (Object.keys(problems).length > 0) return { problems };
  const resolved = resolveLimits(overrides);
  return resolved.ok ? { overrides } : { problems: { whole: spokenNow(describeFailure(resolved.failure)) } };
}

function ProfileForm({
  family,
  profile,
  general,
}: {
  family: string;
  profile: LimitsProfile | undefined;
  /** A family without its own profile is judged by this one, so its own begins with these values. */
  general: LimitsProfile | undefined;
}) {
  const words = useWords();
  const session = useSessionQuery();
  const [rows, setRows] = useState(() => rowsFrom(profile ?? general));
  const [note, setNote] = useState(profile?.sourceNote ?? '');
  const [problems, setProblems] = useState<Record<string, string>>({});
  const [store, state] = useSetLimitsMutation();
  const mayEdit = session.data?.member?.role === 'lead';
  // A limit that was found by its name is where the page opens.
  const { hash } = useLocation();
  useEffect(() => {
    if (hash) document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'center' });
  }, [hash]);
  const set = (id: LimitId, change: Partial<Row>): void =>
    setRows((old) => ({ ...old, [id]: { ...old[id], ...change } }));
  const submit = async (): Promise<void> => {
    const result = overridesFrom(rows);
    setProblems('problems' in result ? result.problems : {});
    if ('problems' in result) return;
    await store({
      id: uuidv7(),
      overrides: result.overrides,
      ...(family ? { family } : {}),
      ...(note.trim() ? { sourceNote: note.trim() } : {}),
    });
  };
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <p className="mb-4">
        {profile
          ? wording.version(profile.version, profile.createdBy, words.shortDate(profile.createdAt))
          : family && general
            ? wording.noProfileOfItsOwnYetJudged(general.version)
            : wording.startingValuesNothingChangedYet}
        {mayEdit ? '' : wording.aLeadCanChangeThem}
      </p>
      {GROUPS.map(([group, title]) => (
        <fieldset key={group} className="mb-8" disabled={!mayEdit}>
          <legend className="text-2xl mb-2">{title}</legend>
          <div className="border-t-2 border-ink">
            {LIMIT_IDS.filter((id) => LIMIT_DEFINITIONS[id].group === group).map((id) => (
              <LimitRow
                key={id}
                id={id}
                row={rows[id]}
                problem={problems[id]}
                onChange={(change) => set(id, change)}
              />
            ))}
          </div>
        </fieldset>
      ))}
      {mayEdit ? (
        <div className="grid gap-4 max-w-2xl">
          <Field label={wording.noteOnThisVersion}>
            <textarea
              className="input-box"
              rows={2}
              value={note}
              onChange={(event) => setNote(event.target.value)}
            />
          </Field>
          {problems['whole'] ? <Notice title={problems['whole']} tone="alarm" /> : null}
          {Object.keys(problems).length > 0 && !problems['whole'] ? (
            <Notice title={wording.someValuesAreNotRightTheyAre} tone="alarm" />
          ) : null}
          {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
          {state.isSuccess ? <Notice title={wording.appliedOpenJobsNowUseTheseLimits} /> : null}
          <Button type="submit" weight="main" disabled={state.isLoading}>
            {wording.apply}
          </Button>
        </div>
      ) : null}
    </form>
  );
}

function LimitRow({
  id,
  row: { value, source, typed },
  problem,
  onChange,
}: {
  id: LimitId;
  row: Row;
  problem: string | undefined;
  onChange: (change: Partial<Row>) => void;
}) {
  const words = useWords();
  const definition: LimitDefinition = LIMIT_DEFINITIONS[id];
  const unit = limitUnit(definition.unit, definition.difference === true, words);
  const shown = (held: number): string => String(rounded(unit.shown(held), SHOWN_DIGITS));
  const type = (text: string): void => {
    const number = typedNumber(text);
    // The same figure as it stood there is the same limit, however it is rounded in this unit.
    const held =
      number === undefined
        ? Number.NaN
        : text === shown(definition.value)
          ? definition.value
          : rounded(unit.held(number), KEPT_DIGITS);
    onChange({ value: held, typed: { text, label: unit.label } });
  };
  return (
    <div className="grid md:grid-cols-[1fr_12rem_14rem] gap-x-4 gap-y-2 py-3 border-b-2 border-rule items-start">
      <div>
        <p className="font-bold" id={`limit-${id}`}>
          <Say it={definition.label} />
          {value === definition.value ? null : (
            <span className="text-ember-text"> {wording.changedFrom(shown(definition.value))}</span>
          )}
        </p>
        <p className="text-sm text-ink2">
          <Say it={definition.reason} />
        </p>
        {problem ? <p className="text-sm text-ember-text font-bold">✕ {faultIn(problem, words)}</p> : null}
      </div>
      <div className="flex items-center gap-2">
        <input
          className="input-box"
          inputMode="decimal"
          aria-labelledby={`limit-${id}`}
          aria-invalid={problem !== undefined}
          value={typed?.label === unit.label ? typed.text : shown(value)}
          onChange={(event) => type(event.target.value)}
        />
        <span className="text-sm w-14 shrink-0">{unit.label}</span>
      </div>
      <input
        className="input-box"
        placeholder={wording.whyThisValue}
        aria-label={wording.sourceFor(words.say(definition.label))}
        value={source}
        onChange={(event) => onChange({ source: event.target.value })}
      />
    </div>
  );
}
