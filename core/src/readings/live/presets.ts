import { say, type Said } from '../../words/index.ts';
import type { ChannelRole } from '../channelRoles.ts';

/** Channels that are worth watching at a stage; few enough that the link answers quickly. */
export interface ChannelPreset {
  readonly id: string;
  readonly label: Said;
  readonly roles: readonly ChannelRole[];
}

export const CHANNEL_PRESETS: readonly ChannelPreset[] = [
  {
    id: 'baseline',
    label: say('presets.baseline'),
    roles: [
      'engineSpeed',
      'dpfDeltaP',
      'exhaustBackPressure',
      'manifoldPressure',
      'barometricPressure',
      'massAirFlow',
      'egt1',
      'egt2',
      'egt3',
      'egt4',
      'coolantTemp',
      'intakeAirTemp',
      'sootMass',
    ],
  },
  {
    id: 'key-on',
    label: say('presets.key-on'),
    roles: [
      'engineSpeed',
      'dpfDeltaP',
      'exhaustBackPressure',
      'manifoldPressure',
      'barometricPressure',
      'egt1',
      'egt2',
      'egt3',
      'egt4',
      'coolantTemp',
      'ambientTemp',
      'batteryVoltage',
    ],
  },
  {
    id: 'pull',
    label: say('presets.pull'),
    roles: [
      'engineSpeed',
      'vehicleSpeed',
      'pedal',
      'dpfDeltaP',
      'exhaustBackPressure',
      'manifoldPressure',
      'massAirFlow',
      'turboVanePosition',
    ],
  },
  { id: 'pipe', label: say('presets.pipe'), roles: ['engineSpeed', 'dpfDeltaP', 'massAirFlow'] },
  {
    id: 'warm-up',
    label: say('presets.warm-up'),
    roles: ['engineSpeed', 'dpfDeltaP', 'massAirFlow', 'egt3', 'egt4', 'coolantTemp'],
  },
  {
    id: 'regeneration',
    label: say('presets.regeneration'),
    roles: [
      'engineSpeed',
      'vehicleSpeed',
      'dpfDeltaP',
      'massAirFlow',
      'egt1',
      'egt2',
      'egt3',
      'egt4',
      'sootMass',
      'regenActive',
      'coolantTemp',
    ],
  },
];
