import * as wording from '@white-ember/core/words/screens/ui';
import type { ComponentProps } from 'react';
import { LANGUAGES, type Language } from '@white-ember/core/words';

/** Each in its own name, as whoever looks for it reads it. */
const NAMES: Readonly<Record<Language, string>> = { en: wording.english, de: wording.deutsch };

/** A choice of the languages that cautions and the customer’s report can be had in. */
export function LanguageSelect({
  value,
  onChange,
  ...rest
}: Omit<ComponentProps<'select'>, 'value' | 'onChange'> & {
  value: Language;
  onChange: (language: Language) => void;
}) {
  return (
    <select
      className="input-box"
      {...rest}
      value={value}
      onChange={(event) => onChange(LANGUAGES.find((one) => one === event.target.value) ?? 'en')}
    >
      {LANGUAGES.map((one) => (
        <option key={one} value={one} lang={one}>
          {NAMES[one]}
        </option>
      ))}
    </select>
  );
}
