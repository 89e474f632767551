import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { LANGUAGES, METRIC, unitChoiceFrom, type Language, type UnitChoice } from '@white-ember/core/words';

export type Theme = 'daylight' | 'bay';

export interface Preferences {
  readonly theme: Theme;
  readonly units: UnitChoice;
  /** For thousands, decimals and dates; absent: as the device has it. */
  readonly locale?: string | undefined;
  /** Of cautions and of the customer’s report. */
  readonly language: Language;
  /** Whether the line is drawn whole instead of as a strip, and the tape with its words. */
  readonly wholeLine?: boolean;
  readonly wholeTape?: boolean;
  /** Whether what we know is folded away beside the work. */
  readonly knownFolded?: boolean;
}

const STORED_AS = 'white-ember preferences';

const DEFAULTS: Preferences = { theme: 'daylight', units: METRIC, language: 'en' };

/** Names under which earlier versions kept four of the units. */
const FORMER_UNITS = {
  pressureUnit: 'pressure',
  temperatureUnit: 'temperature',
  massFlowUnit: 'massFlow',
  distanceUnit: 'distance',
} as const satisfies Readonly<Record<string, keyof UnitChoice>>;

function stored(): Preferences {
  try {
    const kept = JSON.parse(localStorage.getItem(STORED_AS) ?? '{}') as Readonly<Record<string, unknown>>;
    const former = Object.fromEntries(
      Object.entries(FORMER_UNITS).map(([name, of]): [string, unknown] => [of, kept[name]]),
    );
    return {
      theme: kept['theme'] === 'bay' ? 'bay' : 'daylight',
      units: unitChoiceFrom({ ...former, ...(kept['units'] as Record<string, unknown> | undefined) }),
      language: LANGUAGES.find((one) => one === kept['language']) ?? 'en',
      wholeLine: kept['wholeLine'] === true,
      wholeTape: kept['wholeTape'] === true,
      knownFolded: kept['knownFolded'] === true,
      ...(typeof kept['locale'] === 'string' ? { locale: kept['locale'] } : {}),
    };
  } catch {
    return DEFAULTS;
  }
}

export const preferencesSlice = createSlice({
  name: 'preferences',
  initialState: stored,
  reducers: {
    preferred: (state, { payload }: PayloadAction<Partial<Preferences>>) => ({ ...state, ...payload }),
    unitsPreferred: (state, { payload }: PayloadAction<Partial<UnitChoice>>) => ({
      ...state,
      units: { ...state.units, ...payload },
    }),
  },
});

export const { preferred, unitsPreferred } = preferencesSlice.actions;

export function keepPreferences(preferences: Preferences): void {
  localStorage.setItem(STORED_AS, JSON.stringify(preferences));
  document.documentElement.dataset['theme'] = preferences.theme;
}
