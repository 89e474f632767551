import type { ChannelRole } from '../channelRoles.ts';

/** Channels that are worth watching at a stage; few enough that the link answers quickly. */
export interface ChannelPreset {
  readonly id: string;
  readonly label: string;
  readonly roles: readonly ChannelRole[];
}

export const CHANNEL_PRESETS: readonly ChannelPreset[] = [
  {
    id: 'baseline',
    label: 'Baseline',
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
    label: 'Key-on check',
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
    label: 'Loaded pull',
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
  { id: 'pipe', label: 'Pipe response', roles: ['engineSpeed', 'dpfDeltaP', 'massAirFlow'] },
  {
    id: 'warm-up',
    label: 'Warm-up after a clean',
    roles: ['engineSpeed', 'dpfDeltaP', 'massAirFlow', 'egt3', 'egt4', 'coolantTemp'],
  },
  {
    id: 'regeneration',
    label: 'Regeneration',
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
