import * as wording from '@white-ember/core/words/screens/finder';
import * as common from '@white-ember/core/words/screens/common';
import { unitLabel, type Unit } from '@white-ember/core/quantities';
import {
  METRIC,
  UNIT_CHOICES,
  US_CUSTOMARY,
  type UnitChoice,
  type UnitChoiceOf,
  type Language,
} from '@white-ember/core/words';
import { Button } from '../ui/Button.tsx';
import { Field } from '../ui/Field.tsx';
import { LanguageSelect } from '../ui/LanguageSelect.tsx';
import { Sheet } from '../ui/Sheet.tsx';
import { preferred, unitsPreferred } from '../data/preferences.ts';
import { useAppDispatch, useAppSelector } from '../data/store.ts';
import { useWords } from '../data/words.ts';

const LABELS: Readonly<Record<UnitChoiceOf, string>> = {
  pressure: wording.pressure,
  temperature: wording.temperature,
  distance: wording.distanceAndSpeed,
  massFlow: common.airMass,
  volumeFlow: common.exhaustFlow,
  soot: wording.sootAndAsh,
  weight: wording.weight,
  volume: wording.fluids,
  engineSize: common.engineSize,
  length: wording.length,
  torque: common.torque,
};

/** Ways to write figures and dates that differ; the first is the device’s own. */
const LOCALES = ['', 'en-GB', 'en-US', 'de-DE', 'fr-FR'] as const;
const EXAMPLE = 12_345.6;

const SETS = [
  [wording.metric, METRIC],
  [wording.usCustomary, US_CUSTOMARY],
] as const;

/** The units that this person reads and types in, on this device. What is stored does not change with them. */
export function UnitsSheet({ onClose }: { onClose: () => void }) {
  const dispatch = useAppDispatch();
  const { units, locale, language } = useAppSelector((state) => state.preferences);
  const words = useWords();
  const isSet = (set: UnitChoice): boolean =>
    (Object.keys(set) as UnitChoiceOf[]).every((of) => units[of] === set[of]);
  return (
    <Sheet open onOpenChange={(open) => (open ? undefined : onClose())} title={wording.unitsAndLanguage}>
      <div className="flex gap-3 flex-wrap mb-4" role="group" aria-label={wording.setsOfUnits}>
        {SETS.map(([label, set]) => (
          <Button
            key={label}
            aria-pressed={isSet(set)}
            className={isSet(set) ? 'bg-ink! text-card!' : ''}
            onClick={() => dispatch(unitsPreferred(set))}
          >
            {label}
          </Button>
        ))}
      </div>
      <UnitChoices units={units} locale={locale} language={language} />
      <p className="figure-text mt-4" aria-live="polite">
        {words.pressure(96)} · {words.temperature(600)} · {words.distance(12_345)} · {words.soot(12)} ·{' '}
        {words.loading(4)} · {words.volume(1.5)}
      </p>
      <p className="text-sm text-ink2 mt-1">{wording.forReadingAndTypingOnThisDevice}</p>
    </Sheet>
  );
}

/** A select for every quantity, and how numbers and languages are written. */
function UnitChoices({
  units,
  locale,
  language,
}: {
  units: UnitChoice;
  locale: string | undefined;
  language: Language;
}) {
  const dispatch = useAppDispatch();
  return (
    <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
      {(Object.keys(UNIT_CHOICES) as UnitChoiceOf[]).map((of) => (
        <UnitSelect key={of} of={of} units={units} />
      ))}
      <Field label={wording.numbersAndDates}>
        <select
          className="input-box"
          value={locale ?? ''}
          onChange={(event) =>
            dispatch(preferred({ locale: event.target.value === '' ? undefined : event.target.value }))
          }
        >
          {LOCALES.map((tag) => (
            <option key={tag} value={tag}>
              {tag === ''
                ? wording.asThisDevice
                : `${EXAMPLE.toLocaleString(tag)} · ${new Date(2026, 11, 31).toLocaleDateString(tag)}`}
            </option>
          ))}
        </select>
      </Field>
      <Field label={wording.cautionsAndCustomersReport} className="col-span-2">
        <LanguageSelect value={language} onChange={(chosen) => dispatch(preferred({ language: chosen }))} />
      </Field>
    </div>
  );
}

/** In which unit one quantity is shown. */
function UnitSelect({ of, units }: { of: UnitChoiceOf; units: UnitChoice }) {
  const dispatch = useAppDispatch();
  return (
    <Field label={LABELS[of]}>
      <select
        className="input-box"
        value={units[of]}
        onChange={(event) => dispatch(unitsPreferred({ [of]: event.target.value as Unit }))}
      >
        {UNIT_CHOICES[of].map((unit) => (
          <option key={unit} value={unit}>
            {unitLabel(unit)}
          </option>
        ))}
      </select>
    </Field>
  );
}
