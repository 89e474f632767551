import type { Said } from '../../words/index.ts';
import { mean } from '../../quantities/index.ts';
import type { Limits } from '../../limits/index.ts';
import type { ChannelRole } from '../channelRoles.ts';
import type { LogFeatures } from '../features.ts';
import { channelBetween, type Recording } from '../recording.ts';
import type { LogWindow } from '../windows.ts';

export type FindingLevel = 'info' | 'watch' | 'fault';

export interface Finding {
  readonly id: string;
  readonly level: FindingLevel;
  readonly channel?: ChannelRole;
  readonly startS?: number;
  readonly endS?: number;
  /** Figures behind it, units in the names. */
  readonly evidence: Readonly<Record<string, number>>;
  readonly text: Said;
}

export interface FindingContext {
  readonly recording: Recording;
  readonly windows: readonly LogWindow[];
  readonly features: LogFeatures;
  readonly limits: Limits;
  readonly displacementL?: number;
  /** Volume of the filter's brick, where its size is known. */
  readonly filterVolumeL?: number;
  /** ΔP of the same filter clean at the flow of a window, where size and flow are known, mbar. */
  readonly cleanDpMbar?: (window: LogWindow) => number | undefined;
}

/** One kind of finding; gives none where the log cannot show it. */
export type Detector = (context: FindingContext) => Finding[];

export const windowsOf = (context: FindingContext, kind: LogWindow['kind']): LogWindow[] =>
  context.windows.filter((window) => window.kind === kind);

export const meanIn = (
  { recording }: FindingContext,
  role: ChannelRole,
  window: { startS: number; endS: number },
): number | undefined => mean(channelBetween(recording, role, window.startS, window.endS));

/** Whether engine speed moved enough for a channel to be asked for a response. */
export const speedMoved = ({ features, limits }: FindingContext): boolean =>
  (features.flow?.speedRangeRpm ?? 0) > limits.speedRangeRpm;
