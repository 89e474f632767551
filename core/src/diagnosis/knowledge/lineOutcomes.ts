import { atTimes, hardly, itself, mostly, often, seldom, sometimes, surely } from './grades.ts';
import type { FindingEntry } from './finding.ts';

/** What checks of air, engine, line and filter find. */
export const LINE_OUTCOMES = {
  'smoke-before': {
    why: 'leak',
    leak: 0.0002,
    shows: { 'intake-leak': itself },
  },
  'smoke-behind': {
    why: 'leak',
    leak: 0.0002,
    shows: { 'charge-leak': itself },
  },
  'air-low': {
    why: 'not counted, or displaced by EGR',
    leak: 0.0002,
    shows: { 'intake-leak': itself, 'air-meter-failed:low': itself, 'egr-stuck-open': often },
  },
  'air-high': {
    why: 'lost downstream, or reads high',
    leak: 0.0015,
    shows: {
      'charge-leak': itself,
      'air-meter-failed:high': itself,
      'sensor-wiring:supply': mostly,
      'air-meter-failed:low': hardly,
    },
    hides: { 'intake-leak': surely },
  },
  'shaft-worn': {
    why: 'worn',
    leak: 0.0002,
    shows: { 'turbocharger-worn': itself },
  },
  'vanes-still': {
    why: 'stuck',
    leak: 0.0002,
    shows: { 'vanes-stuck': itself },
  },
  'egr-open': {
    why: 'stuck',
    leak: 0.0002,
    shows: { 'egr-stuck-open': itself },
  },
  'egr-shut': {
    why: 'stuck, or blocked',
    leak: 0.0002,
    shows: { 'egr-stuck-shut': itself },
  },
  'egr-hot': {
    why: 'fouled',
    leak: 0.0002,
    shows: { 'egr-cooler-fouled': itself },
  },
  'dosing-blocked': {
    why: 'as seen',
    leak: 0.0002,
    shows: { 'dosing-injector-blocked': itself },
  },
  'glow-bad': {
    why: 'measured',
    leak: 0.0002,
    shows: { 'glow-plugs-failed': itself },
  },
  'oil-diluted': {
    why: 'fuel in it',
    leak: 0.0002,
    shows: { 'oil-counter:diluted': itself },
  },
  'counter-zero': {
    why: 'not reset',
    leak: 0.0002,
    shows: { 'oil-counter:counter': itself },
  },
  'coolant-cool': {
    why: 'stuck open',
    leak: 0.0002,
    shows: { 'thermostat-stuck-open': itself },
  },
  'section-catalyst': {
    why: 'gone with the line open before it',
    leak: 0.0002,
    shows: { 'catalyst-restricted': itself },
  },
  'section-behind': {
    why: 'gone with the line open there',
    leak: 0.0015,
    shows: {
      'downstream-restricted': itself,
      'injector-over-fuelling': seldom,
      'vanes-stuck:shut': seldom,
      'ash-full': hardly,
      'low-pipe-blocked': hardly,
      'short-trips': hardly,
    },
    hides: { 'egr-stuck-open': mostly },
  },
  'section-filter': {
    why: 'gone with the line open before it, not after',
    leak: 0.0015,
    shows: {
      'soot-loaded': itself,
      'ash-full': mostly,
      'injector-over-fuelling': atTimes,
      'short-trips': seldom,
      'egr-cooler-fouled': hardly,
    },
    hides: { 'filter-cracked': surely },
  },
  'gauge-high': {
    why: 'whatever the sensor says',
    leak: 0.0015,
    shows: {
      'downstream-restricted': itself,
      'soot-loaded': itself,
      'catalyst-restricted': itself,
      'ash-full': mostly,
      'injector-over-fuelling': sometimes,
      'short-trips': sometimes,
    },
  },
  'outlet-sooty': {
    why: 'cracked',
    leak: 0.0002,
    shows: { 'filter-cracked': itself },
  },
  'inlet-oily': {
    why: 'oil',
    leak: 0.0002,
    shows: { 'oil-in-exhaust': itself },
  },
  'inlet-ash': {
    why: 'ash',
    leak: 0.0002,
    shows: { 'ash-full': itself },
  },
  'counter-reset': {
    why: 'it counts less than any engine makes, or stores the reset distance',
    leak: 0.0002,
    shows: { 'soot-counter-reset': itself },
  },
  'counter-low': {
    why: 'reset, or ash, or a false pressure',
    leak: 0.03,
    shows: {
      'ash-full': often,
      'catalyst-restricted:between-taps': often,
      'soot-counter-reset': often,
      'dp-sensor-failed:high': atTimes,
      'dp-sensor-failed:zero-off': sometimes,
      'low-pipe-blocked': sometimes,
    },
  },
  'counter-high': {
    why: 'not reset, the pressure does not reach the sensor, or the model overcounts',
    leak: 0.03,
    shows: {
      'counter-not-reset': mostly,
      'dp-hose-off': atTimes,
      'dp-hoses-crossed': atTimes,
      'dp-sensor-failed:dead': atTimes,
      'dp-sensor-failed:stuck': atTimes,
      'dp-sensor-failed:low': atTimes,
      'filter-cracked': atTimes,
      'high-pipe-blocked': atTimes,
      'dp-sensor-wrong': sometimes,
    },
  },
  'fuel-under': {
    why: 'as seen',
    leak: 0.0002,
    shows: { 'fuel-low': itself },
  },
  'supply-weak': {
    why: 'measured',
    leak: 0.0002,
    shows: { 'sensor-wiring': itself },
  },
  'use-slow': {
    why: 'short trips, or idling',
    leak: 0.0002,
    shows: { 'short-trips': itself },
  },
  'duct-split': {
    why: 'as seen; a crack in a fold is not',
    leak: 0.0005,
    shows: { 'intake-leak': often },
  },
  'charge-split': {
    why: 'as seen',
    leak: 0.0005,
    shows: { 'charge-leak': often },
  },
  'relay-burnt': {
    why: 'as seen; plugs fail more often',
    leak: 0.0005,
    shows: { 'glow-plugs-failed': atTimes },
  },
  'fuse-blown': {
    why: 'a chafed wire, or the load',
    leak: 0.002,
    shows: {
      'sensor-wiring:supply': sometimes,
      'glow-plugs-failed': seldom,
      'dosing-injector-blocked': hardly,
    },
  },
  'tailpipe-sooty': {
    why: 'soot passes the filter, or did before it was replaced',
    leak: 0.08,
    shows: { 'filter-cracked': mostly },
  },
  'tailpipe-oily': {
    why: 'oil through the whole line',
    leak: 0.003,
    shows: { 'oil-in-exhaust': sometimes },
  },
  'turbine-oily': {
    why: 'seals, or oil from the engine',
    leak: 0.004,
    shows: { 'oil-in-exhaust': mostly, 'turbocharger-worn': atTimes },
  },
  'back-pressure-blind': {
    why: 'it does not see the pressure',
    leak: 0.002,
    shows: {
      'back-pressure-sensor-failed:stuck': surely,
      'back-pressure-pipe-blocked:blocked': often,
      'back-pressure-pipe-blocked:broken': atTimes,
    },
  },
  'piece-high-shut': {
    why: 'shut',
    leak: 0.0002,
    shows: { 'high-pipe-blocked': surely },
  },
  'piece-low-shut': {
    why: 'shut',
    leak: 0.0002,
    shows: { 'low-pipe-blocked': surely },
  },
  'piece-back-pressure-shut': {
    why: 'shut',
    leak: 0.0002,
    shows: { 'back-pressure-pipe-blocked:blocked': surely },
  },
  'injector-leaks': {
    why: 'measured',
    leak: 0.0002,
    shows: { 'injector-over-fuelling': itself },
  },
} as const satisfies Readonly<Record<string, FindingEntry>>;
