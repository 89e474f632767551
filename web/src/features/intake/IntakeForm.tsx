import { useState } from 'react';
import { Controller, useWatch } from 'react-hook-form';
import { KIT, KIT_IDS } from '@white-ember/core/checks';
import { intakeOf, KNOWN_FINDINGS } from '@white-ember/core/diagnosis';
import { identityMismatch } from '@white-ember/core/job';
import { USE_PATTERNS, type UsePattern } from '@white-ember/core/ledger';
import { unitLabel } from '@white-ember/core/quantities';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Chip, ThreeWayChip } from '../../ui/Chip.tsx';
import { Field } from '../../ui/Field.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { CorrectingNotice } from '../job/CorrectingNotice.tsx';
import { useAddEntry } from '../job/useAddEntry.ts';
import { useCorrecting } from '../job/useCorrecting.ts';
import { useEntryForm } from '../job/useEntryForm.ts';
import type { OpenJob } from '../job/useJob.ts';
import { useSessionOf } from '../live/openSession.ts';
import { intakeBody, keepKit, LAMPS, typedIntake } from './intakeValues.ts';

const USE_WORDS: Record<UsePattern, string> = {
  'short-trips': 'Short trips, town',
  mixed: 'Mixed',
  long: 'Long distances',
};

/** Told by the other fields of the form, so not asked twice. */
const ASKED_ELSEWHERE = new Set([
  'power-limited',
  'filter-lamp',
  'high-distance',
  'short-trips-told',
  'sensor-changed',
]);
const ASKED = KNOWN_FINDINGS.filter(({ id, from }) => from === 'observation' && !ASKED_ELSEWHERE.has(id));

/** The intake by thumb: words, distance and power first; the rest as chips, all of it optional. */
export function IntakeForm({ open, onDone }: { open: OpenJob; onDone: () => void }) {
  const addEntry = useAddEntry(open.job.id);
  const unit = useAppSelector((state) => state.preferences.distanceUnit);
  const session = useSessionOf(open.job.id);
  const correcting = useCorrecting(open, 'complaint');
  const intake = intakeOf(open.derived.entries);
  const { form, done, supersedes } = useEntryForm({
    draft: `intake ${open.job.id}`,
    empty: typedIntake(intake, '', unit),
    correcting,
    valuesOf: (body) => typedIntake(body, body.text, unit),
  });
  const [problems, setProblems] = useState<Record<string, string>>({});
  const [toolVehicle, toolL] = useWatch({ control: form.control, name: ['toolVehicle', 'toolL'] });
  const first = Object.keys(intake).length === 0;
  const submit = form.handleSubmit(async (typed) => {
    const wrong = await addEntry(intakeBody(typed, unit), supersedes);
    setProblems(wrong ?? {});
    if (wrong) return;
    keepKit(typed.kit);
    done();
    if (!correcting) onDone();
  });
  const identity = session?.get().identity;
  const mismatch =
    toolVehicle === ''
      ? undefined
      : identityMismatch({ vehicle: toolVehicle, displacementL: Number(toolL) || undefined }, open.vehicle);
  const km = unitLabel(unit);
  return (
    <form onSubmit={(event) => void submit(event)} className="grid gap-5" noValidate>
      <CorrectingNotice correcting={correcting} />
      <Field label={first ? 'What the customer says' : 'What else is said'} error={problems['text']}>
        <textarea className="input-box" rows={2} {...form.register('text')} />
      </Field>
      <div className="grid grid-cols-2 gap-4">
        <Field label="Distance" unit={km} error={problems['distanceKm']}>
          <input className="input-box" inputMode="numeric" {...form.register('distance')} />
        </Field>
        <Field label="Power">
          <select className="input-box" {...form.register('power')}>
            <option value="">not asked</option>
            <option value="yes">Power is limited</option>
            <option value="no">full power</option>
          </select>
        </Field>
      </div>
      <Controller
        control={form.control}
        name="use"
        render={({ field }) => (
          <ChipRow title="Use">
            {USE_PATTERNS.map((id) => (
              <Chip
                key={id}
                on={field.value === id}
                onChange={(on) => field.onChange(on ? id : '')}
                label={USE_WORDS[id]}
              />
            ))}
          </ChipRow>
        )}
      />
      <Controller
        control={form.control}
        name="lamps"
        render={({ field }) => (
          <ChipRow title="Lamps that are on">
            {LAMPS.map(([id, label]) => (
              <Chip
                key={id}
                on={field.value.includes(id)}
                onChange={(on) =>
                  field.onChange(on ? [...field.value, id] : field.value.filter((one) => one !== id))
                }
                label={label}
              />
            ))}
          </ChipRow>
        )}
      />
      <Controller
        control={form.control}
        name="seen"
        render={({ field }) => (
          <ChipRow title="Seen and heard" hint="Tap once: yes. Twice: no. Three times: not asked.">
            {ASKED.map(({ id, sentence }) => (
              <ThreeWayChip
                key={id}
                state={field.value[id]}
                label={sentence}
                onChange={(state) => {
                  const { [id]: _old, ...others } = field.value;
                  field.onChange(state === undefined ? others : { ...others, [id]: state });
                }}
              />
            ))}
          </ChipRow>
        )}
      />
      <details className="border-2 border-rule bg-card">
        <summary className="font-head font-semibold min-h-12 px-3 content-center">
          Service, oil and regenerations
        </summary>
        <div className="grid sm:grid-cols-2 gap-4 p-3 pt-0">
          <Field label="Last service at" unit={km} error={problems['servicedKm']}>
            <input className="input-box" inputMode="numeric" {...form.register('serviced')} />
          </Field>
          <Field label="Oil changed at" unit={km} error={problems['oilChangedKm']}>
            <input className="input-box" inputMode="numeric" {...form.register('oilChanged')} />
          </Field>
          <Field label="Oil" hint="Specification; low in ash?" error={problems['oilSpecification']}>
            <input className="input-box" {...form.register('oil')} />
          </Field>
          <Field
            label="Between two regenerations"
            unit={km}
            hint="As the vehicle counts it, by the tool"
            error={problems['regenEveryKm']}
          >
            <input className="input-box" inputMode="numeric" {...form.register('regenEvery')} />
          </Field>
        </div>
      </details>
      <Controller
        control={form.control}
        name="kit"
        render={({ field }) => (
          <details className="border-2 border-rule bg-card">
            <summary className="font-head font-semibold min-h-12 px-3 content-center">
              On the van today
              <span className="text-ink2 font-medium">
                {' '}
                · {field.value.length === 0 ? 'not said' : `${field.value.length} of ${KIT_IDS.length}`}
              </span>
            </summary>
            <div className="p-3 pt-0">
              <ChipRow title="" hint="Checks needing missing tools come last.">
                {KIT_IDS.map((id) => (
                  <Chip
                    key={id}
                    on={field.value.includes(id)}
                    onChange={(on) =>
                      field.onChange(on ? [...field.value, id] : field.value.filter((one) => one !== id))
                    }
                    label={KIT[id]}
                  />
                ))}
              </ChipRow>
            </div>
          </details>
        )}
      />
      <details className="border-2 border-rule bg-card" open={toolVehicle !== ''}>
        <summary className="font-head font-semibold min-h-12 px-3 content-center">
          What the scan tool identified
        </summary>
        <div className="grid sm:grid-cols-[2fr_1fr] gap-4 p-3 pt-0">
          <Field label="Vehicle, as the tool shows it" error={problems['toolSaw.vehicle']}>
            <input className="input-box" {...form.register('toolVehicle')} />
          </Field>
          <Field label="Engine size" unit="L" error={problems['toolSaw.displacementL']}>
            <input className="input-box" inputMode="decimal" {...form.register('toolL')} />
          </Field>
          {identity ? (
            <Button
              onClick={() => {
                form.setValue('toolVehicle', identity.vehicle);
                form.setValue(
                  'toolL',
                  identity.displacementL === undefined ? '' : String(identity.displacementL),
                );
              }}
            >
              Use the link’s data
            </Button>
          ) : null}
        </div>
        {mismatch ? (
          <div className="p-3 pt-0">
            <Notice title="The tool takes it for another vehicle" tone="alarm">
              {mismatch}
            </Notice>
          </div>
        ) : null}
      </details>
      <Button type="submit" weight="main">
        Save the complaint
      </Button>
    </form>
  );
}

function ChipRow({ title, hint, children }: { title: string; hint?: string; children: React.ReactNode }) {
  return (
    <fieldset className="min-w-0">
      <legend className={title === '' ? 'sr-only' : 'mb-1'}>{title === '' ? 'Kit' : title}</legend>
      {hint ? <p className="text-sm text-ink2 mb-2">{hint}</p> : null}
      <div className="flex flex-wrap gap-2">{children}</div>
    </fieldset>
  );
}
