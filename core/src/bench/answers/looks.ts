import { noise } from '../../quantities/index.ts';
import type { Answer, Answers } from './answer.ts';
import { entered } from './bench.ts';

/** What an eye sees without smoke: larger damage than smoke shows. */
const SEEN = { unmetered: 0.12, chargeLeak: 0.2, bypass: 0.15, oilGPerS: 0.004 } as const;
/** Less than this share of a pipe’s way left lets hardly any air through. */
const HARDLY_OPEN = 0.12;
/** Some burnt relays show it. */
const RELAY_SHOWS = 0;

const intake: Answer = ({ vehicle: { wear } }) => ({
  duct: wear.unmeteredShare > SEEN.unmetered ? 'split' : 'whole',
  charge: wear.chargeLeak > SEEN.chargeLeak ? 'split' : 'whole',
});

const fuses: Answer = ({ vehicle: { wear, seed } }) => ({
  fuses: 'whole',
  relay: wear.glowRelayDead && noise(seed, 62, 0) > RELAY_SHOWS ? 'burnt' : 'sound',
});

const tailpipe: Answer = ({ vehicle: { wear } }) => ({
  inside: wear.filterBypass > SEEN.bypass ? 'sooty' : 'clean',
});

const oilFilm: Answer = ({ vehicle: { wear } }) => ({
  film: wear.oilIntoExhaustGPerS > SEEN.oilGPerS ? 'wet' : 'dry',
});

const comparison: Answer = (hand) => {
  if (!hand.vehicle.family.backPressureSensor) return {};
  const roles = ['manifoldPressure', 'exhaustBackPressure'] as const;
  hand.keyOn(20);
  const [manifoldRestMbar, backRestMbar] = hand.means(roles, { do: 'key-on' });
  hand.hold(hand.holdRpm, 15);
  const [manifoldHoldMbar, backHoldMbar] = hand.means(roles, { do: 'hold', rpm: hand.holdRpm }, 3);
  return entered({ manifoldRestMbar, backRestMbar, manifoldHoldMbar, backHoldMbar });
};

const singlePiece: Answer = ({ vehicle: { wear, family } }) => {
  const piece = (open: number): string => (open < HARDLY_OPEN ? 'shut' : 'open');
  return {
    high: piece(wear.highPipeOpen),
    ...(family.dpLowSide === 'pipe' ? { low: piece(wear.lowPipeOpen) } : {}),
    ...(family.backPressureSensor ? { 'back-pressure': piece(wear.backPressurePipeOpen) } : {}),
  };
};

/** What looks show. */
export const LOOK_ANSWERS = {
  'intake-look': intake,
  fuses,
  tailpipe,
  'oil-film': oilFilm,
  'running-comparison': comparison,
  'single-piece': singlePiece,
} as const satisfies Answers;
