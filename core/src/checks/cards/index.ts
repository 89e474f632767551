import type { CheckCard, CheckId } from '../card.ts';
import { ABSOLUTE_CARDS } from './absoluteCards.ts';
import { AIR_CARDS } from './airCards.ts';
import { ELECTRICAL_CARDS } from './electricalCards.ts';
import { ENGINE_CARDS } from './engineCards.ts';
import { LINE_CARDS } from './lineCards.ts';
import { LOOK_CARDS } from './lookCards.ts';
import { PIPE_CARDS } from './pipeCards.ts';
import { PRESSURE_SENSOR_CARDS } from './pressureSensorCards.ts';
import { TEMPERATURE_CARDS } from './temperatureCards.ts';

/** Every guided check. */
export const CHECK_CARDS: readonly CheckCard[] = [
  ...PRESSURE_SENSOR_CARDS,
  ...ELECTRICAL_CARDS,
  ...PIPE_CARDS,
  ...ABSOLUTE_CARDS,
  ...TEMPERATURE_CARDS,
  ...AIR_CARDS,
  ...ENGINE_CARDS,
  ...LINE_CARDS,
  ...LOOK_CARDS,
];

export const CHECK_IDS: readonly CheckId[] = CHECK_CARDS.map(({ id }) => id);
