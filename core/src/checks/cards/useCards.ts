import { say } from '../../words/index.ts';
import { against, between, NOTHING, type CheckCard } from '../card.ts';
import { itself } from '../grades.ts';

const fuelLevel: CheckCard = {
  id: 'fuel-level',
  about: ['engine'],
  outcomes: {
    'fuel-under': {
      why: 'as seen',
      leak: 0.0002,
      shows: { 'fuel-low': itself },
    },
  },
  otherwise: 'fuel-enough',
  minutes: 1,
  cost: 0,
  by: 'looked',
  needs: [],
  cautions: [],
  steps: [say('checks.read-the-gauge')],
  fields: [
    {
      kind: 'number',
      id: 'fuelPercent',
      label: say('checks.fuel-in-the-tank'),
      unit: 'percent',
      live: 'fuelLevel',
      possible: between(0, 105, say('checks.is-it-per-cent-of')),
    },
  ],
  judge: (read, { limits }) => {
    const fuel = read.number('fuelPercent');
    if (fuel === undefined) return NOTHING;
    const low = limits.fuelLowPercent;
    return {
      findings: { 'fuel-under': fuel < low },
      figures: [against(say('checks.fuel'), fuel, { unit: 'percent', low })],
      sentences: [fuel < low ? say('checks.too-little-many-ecus-will') : 'Enough.'],
    };
  },
};

const useHistory: CheckCard = {
  id: 'use-history',
  about: ['filter'],
  outcomes: {
    'use-slow': {
      why: 'short trips, or idling',
      leak: 0.0002,
      shows: { 'short-trips': itself },
    },
  },
  otherwise: 'use-fits',
  minutes: 2,
  cost: 0,
  by: 'looked',
  needs: ['scan-tool'],
  cautions: [],
  steps: [say('checks.read-distance-and-engine-hours'), say('checks.distance-over-hours')],
  fields: [
    {
      kind: 'number',
      id: 'distanceKm',
      label: say('checks.distance'),
      unit: 'km',
      possible: between(1, 3e6, say('checks.is-it-the-whole-distance')),
    },
    {
      kind: 'number',
      id: 'hours',
      label: say('checks.engine-hours'),
      suffix: 'h',
      possible: between(0.1, 1e5, say('checks.is-it-in-hours')),
    },
  ],
  judge: (read, { limits }) => {
    const [distance, hours] = [read.number('distanceKm'), read.number('hours')];
    if (distance === undefined || hours === undefined) return NOTHING;
    const average = distance / hours;
    const low = limits.useAverageKmPerH;
    const slow = average < low;
    return {
      findings: { 'use-slow': slow },
      figures: [against(say('checks.average-speed'), average, { unit: 'kmPerH', low })],
      sentences: [slow ? say('checks.short-slow-trips-or-long') : say('checks.driven-far-and-fast-enough')],
    };
  },
};

/** What the tank and the counters say of how it is used. */
export const USE_CARDS: readonly CheckCard[] = [fuelLevel, useHistory];
