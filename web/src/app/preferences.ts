import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Unit } from '@white-ember/core/quantities';

export type Theme = 'daylight' | 'bay';

export interface Preferences {
  readonly theme: Theme;
  readonly pressureUnit: Unit;
  readonly temperatureUnit: Unit;
  readonly massFlowUnit: Unit;
  readonly distanceUnit: Unit;
}

const STORED_AS = 'white-ember preferences';

const DEFAULTS: Preferences = {
  theme: 'daylight',
  pressureUnit: 'mbar',
  temperatureUnit: 'degC',
  massFlowUnit: 'gPerS',
  distanceUnit: 'km',
};

function stored(): Preferences {
  try {
    return { ...DEFAULTS, ...(JSON.parse(localStorage.getItem(STORED_AS) ?? '{}') as Partial<Preferences>) };
  } catch {
    return DEFAULTS;
  }
}

export const preferencesSlice = createSlice({
  name: 'preferences',
  initialState: stored,
  reducers: {
    preferred: (state, { payload }: PayloadAction<Partial<Preferences>>) => ({ ...state, ...payload }),
  },
});

export const { preferred } = preferencesSlice.actions;

export function keepPreferences(preferences: Preferences): void {
  localStorage.setItem(STORED_AS, JSON.stringify(preferences));
  document.documentElement.dataset['theme'] = preferences.theme;
}
