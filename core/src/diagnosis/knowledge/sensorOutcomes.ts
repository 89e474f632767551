import { atTimes, hardly, itself, mostly, often, seldom, sometimes, surely } from './grades.ts';
import type { FindingEntry } from './finding.ts';

/** What checks of sensors, their pipes and their wiring find. */
export const SENSOR_OUTCOMES = {
  'zero-off': {
    why: 'drift, ground, or trapped gas',
    leak: 0.0015,
    shows: {
      'dp-sensor-failed:stuck': itself,
      'sensor-wiring': itself,
      'dp-sensor-failed:zero-off': surely,
      'high-pipe-blocked': hardly,
    },
  },
  'supply-bad': {
    why: 'supply or wiring',
    leak: 0.0002,
    shows: { 'sensor-wiring:supply': itself },
  },
  'ground-bad': {
    why: 'wiring',
    leak: 0.0002,
    shows: { 'sensor-wiring:ground': itself, 'sensor-wiring:supply': hardly },
  },
  'signal-dead': {
    why: 'the sensor itself',
    leak: 0.0015,
    shows: {
      'dp-sensor-failed:dead': itself,
      'dp-sensor-failed:stuck': itself,
      'dp-sensor-failed:zero-off': seldom,
      'dp-sensor-failed:low': hardly,
    },
  },
  'ladder-dead': {
    why: 'dead',
    leak: 0.0015,
    shows: {
      'dp-sensor-failed:dead': itself,
      'dp-sensor-failed:stuck': itself,
      'dp-sensor-failed:zero-off': hardly,
      'dp-sensor-failed:low': hardly,
    },
  },
  'ladder-gain': {
    why: 'another range, or worn',
    leak: 0.0015,
    shows: {
      'dp-sensor-wrong': itself,
      'sensor-wiring:supply': itself,
      'dp-sensor-failed:low': itself,
      'dp-sensor-failed:high': itself,
      'dp-sensor-failed:zero-off': seldom,
      'sensor-wiring:ground': hardly,
    },
  },
  'ladder-offset': {
    why: 'zero',
    leak: 0.0015,
    shows: {
      'sensor-wiring:ground': itself,
      'dp-sensor-failed:zero-off': often,
      'sensor-wiring:supply': hardly,
    },
  },
  'swap-differs': {
    why: 'so the sensor is faulty',
    leak: 0.0015,
    shows: {
      'dp-sensor-failed:stuck': itself,
      'dp-sensor-failed:zero-off': itself,
      'dp-sensor-failed:low': itself,
      'dp-sensor-failed:high': itself,
      'dp-sensor-failed:dead': surely,
      'dp-sensor-wrong': mostly,
      'high-pipe-blocked': sometimes,
      'low-pipe-blocked': sometimes,
    },
  },
  'hoses-crossed': {
    why: 'as seen',
    leak: 0.0002,
    shows: { 'dp-hoses-crossed': itself },
  },
  'hose-off': {
    why: 'as seen',
    leak: 0.0002,
    shows: { 'dp-hose-off': itself },
  },
  'pipe-cracked': {
    why: 'as seen',
    leak: 0.0002,
    shows: { 'back-pressure-pipe-blocked:broken': itself },
  },
  'high-slow': {
    why: 'the high pipe',
    leak: 0.0002,
    shows: { 'high-pipe-blocked': atTimes },
    hides: { 'dp-sensor-failed': mostly, 'dp-hose-off': atTimes },
  },
  'low-slow': {
    why: 'the low pipe',
    leak: 0.0002,
    shows: { 'low-pipe-blocked': atTimes },
    hides: { 'dp-sensor-failed': mostly },
  },
  'back-pressure-slow': {
    why: 'its pipe',
    leak: 0.0002,
    shows: { 'back-pressure-pipe-blocked:blocked': atTimes },
    hides: { 'back-pressure-sensor-failed': often },
  },
  'manifold-slow': {
    why: 'its pipe',
    leak: 0.0002,
    shows: { 'manifold-sensor-failed:slow': surely, 'manifold-sensor-failed:stuck': sometimes },
  },
  'back-pressure-still': {
    why: 'no pressure is',
    leak: 0.0015,
    shows: {
      'back-pressure-sensor-failed:stuck': itself,
      'back-pressure-pipe-blocked:blocked': hardly,
      'back-pressure-sensor-failed:off': hardly,
    },
  },
  'manifold-still': {
    why: 'no pressure is',
    leak: 0.0002,
    shows: { 'manifold-sensor-failed:stuck': itself, 'manifold-sensor-failed:slow': hardly },
  },
  'high-holds': {
    why: 'shut',
    leak: 0.0002,
    shows: { 'high-pipe-blocked': itself },
  },
  'low-holds': {
    why: 'shut',
    leak: 0.0002,
    shows: { 'low-pipe-blocked': itself },
  },
  'back-pressure-holds': {
    why: 'shut',
    leak: 0.0002,
    shows: { 'back-pressure-pipe-blocked:blocked': itself, 'back-pressure-pipe-blocked:broken': hardly },
  },
  'all-off': {
    why: 'supply or ground',
    leak: 0.0002,
    shows: { 'sensor-wiring': atTimes },
  },
  'back-pressure-off': {
    why: 'sensor, or trapped gas',
    leak: 0.0015,
    shows: {
      'back-pressure-sensor-failed:off': itself,
      'back-pressure-pipe-blocked:blocked': sometimes,
      'back-pressure-sensor-failed:stuck': hardly,
    },
  },
  'manifold-off': {
    why: 'sensor',
    leak: 0.0015,
    shows: {
      'manifold-sensor-failed:off': itself,
      'sensor-wiring': hardly,
      'manifold-sensor-failed:slow': hardly,
      'manifold-sensor-failed:stuck': hardly,
    },
  },
  'back-pressure-differs': {
    why: 'so the sensor is faulty',
    leak: 0.0015,
    shows: { 'back-pressure-sensor-failed': itself, 'back-pressure-pipe-blocked:blocked': seldom },
  },
  'soak-egt1': {
    why: 'it reads wrong',
    leak: 0.004,
    shows: { 'egt1-failed': mostly },
  },
  'soak-egt2': {
    why: 'it reads wrong',
    leak: 0.004,
    shows: { 'egt2-failed': mostly },
  },
  'soak-egt3': {
    why: 'it reads wrong',
    leak: 0.004,
    shows: { 'egt3-failed': mostly },
  },
  'soak-egt4': {
    why: 'it reads wrong',
    leak: 0.004,
    shows: { 'egt4-failed': mostly },
  },
  'egt1-bad': {
    why: 'the sensor itself',
    leak: 0.0002,
    shows: { 'egt1-failed': itself },
  },
  'egt2-bad': {
    why: 'the sensor itself',
    leak: 0.0002,
    shows: { 'egt2-failed': itself },
  },
  'egt3-bad': {
    why: 'the sensor itself',
    leak: 0.0002,
    shows: { 'egt3-failed': itself },
  },
  'egt4-bad': {
    why: 'the sensor itself',
    leak: 0.0002,
    shows: { 'egt4-failed': itself },
  },
} as const satisfies Readonly<Record<string, FindingEntry>>;
