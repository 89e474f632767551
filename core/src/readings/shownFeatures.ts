import type { ChannelRole } from './channelRoles.ts';
import { type Recording } from './recording.ts';
import { restingMean, type LogFeatures } from './features.ts';

/** What the pressure channels do, in figures; absent where the log cannot show it. */
export interface ShownFeatures {
  readonly zeroMbar?: number;
  /** Absolute pressures with the engine off, mbar: they should agree. */
  readonly keyOn?: {
    readonly barometricPressure?: number;
    readonly manifoldPressure?: number;
    readonly exhaustBackPressure?: number;
  };
  readonly responses: readonly {
    readonly channel: ChannelRole;
    readonly correlation: number;
    readonly lagS?: number;
    readonly explainedPercent?: number;
    readonly transients?: number;
    /** Lags shorter than this cannot be told apart in this log. */
    readonly resolutionS?: number;
  }[];
}

export const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));

export function shownFeatures(recording: Recording, features: LogFeatures): ShownFeatures {
  const keyOn = Object.fromEntries(
    (['barometricPressure', 'manifoldPressure', 'exhaustBackPressure'] as const).flatMap((role) => {
      const value = restingMean(recording, features, role);
      return value === undefined ? [] : [[role, rounded(value, 1)]];
    }),
  );
  const behaviours = [
    ['dpfDeltaP', features.dp],
    ['exhaustBackPressure', features.backPressure],
    ['manifoldPressure', features.manifold],
  ] as const;
  return {
    ...(features.zeroRead ? { zeroMbar: rounded(features.zeroMbar, 3) } : {}),
    ...(Object.keys(keyOn).length > 0 ? { keyOn } : {}),
    responses: behaviours.flatMap(([channel, behaviour]) => {
      if (!behaviour) return [];
      const { correlation, response } = behaviour;
      return [
        {
          channel,
          correlation: rounded(correlation, 3),
          ...(response
            ? {
                lagS: rounded(response.lagS, 2),
                explainedPercent: rounded(100 * response.explained, 1),
                transients: response.transients,
                resolutionS: rounded(response.intervalS, 3),
              }
            : {}),
        },
      ];
    }),
  };
}
