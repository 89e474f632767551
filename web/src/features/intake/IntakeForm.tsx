import * as wording from '@white-ember/core/words/screens/intake';
import * as common from '@white-ember/core/words/screens/common';
import { KIT_IDS } from '@white-ember/core/checks';
import { intakeOf, KNOWN_FINDINGS, sentenceOf } from '@white-ember/core/diagnosis';
import { identityMismatch } from '@white-ember/core/job';
import { USE_PATTERNS, type BodyOf, type UsePattern } from '@white-ember/core/ledger';
import { useWords } from '../../data/words.ts';
import { ChoiceField, FigureField, SaveButton, TextField } from '../../form/FieldForm.tsx';
import { asIs, choice, figure, optionalText, text, yesNo } from '../../form/kinds.ts';
import { Button } from '../../ui/Button.tsx';
import { Chip, ThreeWayChip } from '../../ui/Chip.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { Say } from '../../ui/Say.tsx';
import { EntryForm } from '../../job/EntryForm.tsx';
import { useEntryForm, type FieldsOf } from '../../job/useEntryForm.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { useSessionOf } from '../live/openSession.ts';
import { keepKit, LAMPS, usualKit } from './intakeValues.ts';

const USE_WORDS: Record<UsePattern, string> = {
  'short-trips': wording.shortTripsTown,
  mixed: common.mixed,
  long: wording.longDistances,
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

const FIELDS: FieldsOf<'complaint'> = {
  text: text(),
  distanceKm: figure('km'),
  powerLimited: yesNo(),
  use: choice(),
  seen: asIs({}),
  lamps: asIs([]),
  servicedKm: figure('km'),
  oilChangedKm: figure('km'),
  oilSpecification: optionalText(),
  regenEveryKm: figure('km'),
  kit: asIs([]),
  'toolSaw.vehicle': optionalText(),
  'toolSaw.displacementL': figure('L', 'engineSize'),
};

/** The intake by thumb: words, distance and power first; the rest as chips, all of it optional. */
export function IntakeForm({ open, onDone }: { open: OpenJob; onDone: () => void }) {
  const words = useWords();
  const session = useSessionOf(open.job.id);
  const intake = intakeOf(open.derived.entries);
  const form = useEntryForm(open, 'complaint', FIELDS, {
    draft: 'intake',
    corrects: true,
    start: { kit: usualKit(), ...intake },
    onSaved: () => {
      keepKit(form.form.getValues('kit') as string[]);
      if (!form.correcting) onDone();
    },
  });
  const { setValue } = form.form;
  const [use, lamps, seen, kit] = ['use', 'lamps', 'seen', 'kit'].map(form.typed) as [
    string,
    string[],
    Record<string, boolean>,
    string[],
  ];
  const toolVehicle = form.typed('toolSaw.vehicle') as string;
  const { toolSaw } = form.read() as Pick<BodyOf<'complaint'>, 'toolSaw'>;
  const first = Object.keys(intake).length === 0;
  const identity = session?.get().identity;
  const mismatch = toolVehicle === '' || !toolSaw ? undefined : identityMismatch(toolSaw, open.vehicle);
  return (
    <EntryForm of={form} className="grid gap-5">
      <TextField name="text" label={first ? wording.whatTheCustomerSays : wording.whatElseIsSaid} rows={2} />
      <div className="grid grid-cols-2 gap-4">
        <FigureField name="distanceKm" label={common.distance} />
        <ChoiceField
          name="powerLimited"
          label={wording.power}
          options={[
            ['', common.notAsked],
            ['yes', wording.powerIsLimited],
            ['no', wording.fullPower],
          ]}
        />
      </div>
      <ChipRow title={wording.use}>
        {USE_PATTERNS.map((id) => (
          <Chip
            key={id}
            on={use === id}
            onChange={(on) => setValue('use', on ? id : '')}
            label={USE_WORDS[id]}
          />
        ))}
      </ChipRow>
      <ChipRow title={wording.lampsThatAreOn}>
        {LAMPS.map(([id, label]) => (
          <Chip
            key={id}
            on={lamps.includes(id)}
            onChange={(on) => setValue('lamps', withOrWithout(lamps, id, on))}
            label={label}
          />
        ))}
      </ChipRow>
      <ChipRow title={wording.seenAndHeard} hint={wording.tapOnceYesTwiceNoThreeTimes}>
        {ASKED.map(({ id }) => (
          <ThreeWayChip
            key={id}
            state={seen[id]}
            label={words.say(sentenceOf(id))}
            onChange={(state) => {
              const { [id]: _old, ...others } = seen;
              setValue('seen', state === undefined ? others : { ...others, [id]: state });
            }}
          />
        ))}
      </ChipRow>
      <details className="border-2 border-rule bg-card">
        <summary className="font-head font-semibold min-h-12 px-3 content-center">
          {wording.serviceOilAndRegenerations}
        </summary>
        <div className="grid sm:grid-cols-2 gap-4 p-3 pt-0">
          <FigureField name="servicedKm" label={wording.lastServiceAt} />
          <FigureField name="oilChangedKm" label={wording.oilChangedAt} />
          <TextField name="oilSpecification" label={wording.oil} hint={wording.specificationLowInAsh} />
          <FigureField
            name="regenEveryKm"
            label={wording.betweenTwoRegenerations}
            hint={wording.asTheVehicleCountsItByThe}
          />
        </div>
      </details>
      <details className="border-2 border-rule bg-card">
        <summary className="font-head font-semibold min-h-12 px-3 content-center">
          {wording.onTheVanToday}
          <span className="text-ink2 font-medium">
            {' '}
            · {kit.length === 0 ? wording.notSaid : wording.ofIt(kit.length, KIT_IDS.length)}
          </span>
        </summary>
        <div className="p-3 pt-0">
          <ChipRow title="" hint={wording.checksNeedingMissingToolsComeLast}>
            {KIT_IDS.map((id) => (
              <Chip
                key={id}
                on={kit.includes(id)}
                onChange={(on) => setValue('kit', withOrWithout(kit, id, on))}
                label={words.name('kit', id)}
              />
            ))}
          </ChipRow>
        </div>
      </details>
      <details className="border-2 border-rule bg-card" open={toolVehicle !== ''}>
        <summary className="font-head font-semibold min-h-12 px-3 content-center">
          {wording.whatTheScanToolIdentified}
        </summary>
        <div className="grid sm:grid-cols-[2fr_1fr] gap-4 p-3 pt-0">
          <TextField name="toolSaw.vehicle" label={wording.vehicleAsTheToolShowsIt} />
          <FigureField name="toolSaw.displacementL" label={common.engineSize} />
          {identity ? (
            <Button
              onClick={() => {
                setValue('toolSaw.vehicle', identity.vehicle);
                setValue(
                  'toolSaw.displacementL',
                  identity.displacementL === undefined
                    ? ''
                    : figure('L', 'engineSize').write(identity.displacementL, form.units),
                );
              }}
            >
              {wording.useTheLinksData}
            </Button>
          ) : null}
        </div>
        {mismatch ? (
          <div className="p-3 pt-0">
            <Notice title={wording.theToolTakesItForAnotherVehicle} tone="alarm">
              <Say it={mismatch} />
            </Notice>
          </div>
        ) : null}
      </details>
      <SaveButton main>{wording.saveTheComplaint}</SaveButton>
    </EntryForm>
  );
}

const withOrWithout = (list: readonly string[], id: string, on: boolean): string[] =>
  on ? [...list, id] : list.filter((one) => one !== id);

function ChipRow({ title, hint, children }: { title: string; hint?: string; children: React.ReactNode }) {
  return (
    <fieldset className="min-w-0">
      <legend className={title === '' ? 'sr-only' : 'mb-1'}>{title === '' ? wording.kit : title}</legend>
      {hint ? <p className="text-sm text-ink2 mb-2">{hint}</p> : null}
      <div className="flex flex-wrap gap-2">{children}</div>
    </fieldset>
  );
}
