import { Say } from '../../ui/Say.tsx';
import { spokenNow, useWords } from '../../app/words.ts';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
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
import { describeFailure } from '@white-ember/core/quantities';
import {
  problemOf,
  useLimitsQuery,
  useSessionQuery,
  useSetLimitsMutation,
  useVehiclesQuery,
} from '../../app/api.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { Notice, ProblemNotice } from '../../ui/Notice.tsx';

const GROUPS: readonly (readonly [LimitDefinition['group'], string])[] = [
  ['pressure', 'Pressure and soot'],
  ['proof', 'Proof'],
  ['outlook', 'When it is due again'],
  ['sensor', 'Sensors'],
  ['treatment', 'Before a treatment'],
  ['choice', 'Treatment chances'],
  ['burn', 'Regeneration'],
  ['run', 'A regeneration, watched'],
  ['clean', 'Cleaning in place'],
  ['price', 'Time and price'],
  ['clock', 'Waits'],
  ['check', 'Guided checks'],
  ['readiness', 'Conditions for judging'],
  ['judgement', 'Likelihood thresholds'],
  ['assumption', 'Assumed without a reading'],
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
      <h1 className="text-3xl mb-1">Limits</h1>
      <p className="text-ink2 mb-4 max-w-[70ch]">
        Every judgement uses these. Starting values are working rules; the vehicle maker’s data come first.
        Changes make a new version; signed-off jobs keep their limits.
      </p>
      <Field label="Profile" className="max-w-md mb-6">
        <select
          className="input-box"
          value={family}
          onChange={(event) => setParams(event.target.value ? { family: event.target.value } : {})}
        >
          <option value="">General, for every family without its own</option>
          {families.map((name) => (
            <option key={name} value={name}>
              {name}
              {(profiles.data ?? []).some((p) => p.family === name) ? '' : ' (no profile of its own yet)'}
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
  readonly value: string;
  readonly source: string;
}

const rowsFrom = (profile: LimitsProfile | undefined): Record<LimitId, Row> =>
  Object.fromEntries(
    LIMIT_IDS.map((id) => {
      const own = profile?.overrides[id];
      return [id, { value: String(own?.value ?? LIMIT_DEFINITIONS[id].value), source: own?.source ?? '' }];
    }),
  ) as Record<LimitId, Row>;

/** Only what differs from the starting values is stored, so that better starting values reach everybody else. */
function overridesFrom(
  rows: Record<LimitId, Row>,
): { overrides: LimitOverrides } | { problems: Record<string, string> } {
  const overrides: Partial<Record<LimitId, { value: number; source: string }>> = {};
  const problems: Record<string, string> = {};
  for (const id of LIMIT_IDS) {
    const value = typedNumber(rows[id].value);
    if (value === undefined || Number.isNaN(value)) problems[id] = 'Enter a number';
    else if (value !== LIMIT_DEFINITIONS[id].value || rows[id].source.trim() !== '') {
      overrides[id] = { value, source: rows[id].source.trim() };
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
          ? `Version ${profile.version}, ${profile.createdBy}, ${words.shortDate(profile.createdAt)}`
          : family && general
            ? `No profile of its own yet: judged by the general one, version ${general.version}, whose values stand here.`
            : 'Starting values; nothing changed yet.'}
        {mayEdit ? '' : ' A lead can change them.'}
      </p>
      {GROUPS.map(([group, title]) => (
        <fieldset key={group} className="mb-8" disabled={!mayEdit}>
          <legend className="text-2xl mb-2">{title}</legend>
          <div className="border-t-2 border-ink">
            {LIMIT_IDS.filter((id) => LIMIT_DEFINITIONS[id].group === group).map((id) => {
              const definition: LimitDefinition = LIMIT_DEFINITIONS[id];
              const changed = typedNumber(rows[id].value) !== definition.value;
              return (
                <div
                  key={id}
                  className="grid md:grid-cols-[1fr_12rem_14rem] gap-x-4 gap-y-2 py-3 border-b-2 border-rule items-start"
                >
                  <div>
                    <p className="font-bold" id={`limit-${id}`}>
                      <Say it={definition.label} />
                      {changed ? (
                        <span className="text-ember-text"> · changed from {definition.value}</span>
                      ) : null}
                    </p>
                    <p className="text-sm text-ink2">
                      <Say it={definition.reason} />
                    </p>
                    {problems[id] ? (
                      <p className="text-sm text-ember-text font-bold">✕ {problems[id]}</p>
                    ) : null}
                  </div>
                  <div className="flex items-center gap-2">
                    <input
                      className="input-box"
                      inputMode="decimal"
                      aria-labelledby={`limit-${id}`}
                      aria-invalid={problems[id] !== undefined}
                      value={rows[id].value}
                      onChange={(event) => set(id, { value: event.target.value })}
                    />
                    <span data-unit className="text-sm w-14 shrink-0">
                      {definition.unit}
                    </span>
                  </div>
                  <input
                    className="input-box"
                    placeholder="Why this value"
                    aria-label={`Source for: ${words.say(definition.label)}`}
                    value={rows[id].source}
                    onChange={(event) => set(id, { source: event.target.value })}
                  />
                </div>
              );
            })}
          </div>
        </fieldset>
      ))}
      {mayEdit ? (
        <div className="grid gap-4 max-w-2xl">
          <Field label="Note on this version">
            <textarea
              className="input-box"
              rows={2}
              value={note}
              onChange={(event) => setNote(event.target.value)}
            />
          </Field>
          {problems['whole'] ? <Notice title={problems['whole']} tone="alarm" /> : null}
          {Object.keys(problems).length > 0 && !problems['whole'] ? (
            <Notice title="Some values are not right; they are marked above." tone="alarm" />
          ) : null}
          {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
          {state.isSuccess ? <Notice title="Applied. Open jobs now use these limits." /> : null}
          <Button type="submit" weight="main" disabled={state.isLoading}>
            Apply
          </Button>
        </div>
      ) : null}
    </form>
  );
}
