import { fixed } from '../../../ui/format.ts';
import type { LinkCode } from '@white-ember/core/link';
import type { Measures } from '@white-ember/core/words';
import type { Limits } from '@white-ember/core/limits';
import type { ChannelRole } from '@white-ember/core/readings';
import type { BurnKind } from './burnWatch.ts';

/** One thing that has to be so before a burn begins, with its value and limit. */
export interface Precondition {
  readonly label: string;
  /** `mind`: it may go on, but a person should know. */
  readonly state: 'met' | 'not-met' | 'mind' | 'not-read';
  readonly text: string;
}

/** What the live link says of the vehicle’s readiness, value beside limit; what no channel shows is not taken for met. */
export function livePreconditions(
  kind: BurnKind,
  limits: Limits,
  latest: (role: ChannelRole) => number | undefined,
  codes: readonly LinkCode[] | undefined,
  words: Measures,
): Precondition[] {
  const judged = (
    label: string,
    value: number | undefined,
    met: (value: number) => boolean,
    text: (value: number) => string,
  ): Precondition => ({
    label,
    state: value === undefined ? 'not-read' : met(value) ? 'met' : 'not-met',
    text: value === undefined ? 'not read' : text(value),
  });
  const active = codes?.filter(({ present, status }) => present && status !== 'pending');
  return [
    judged(
      'Engine running',
      latest('engineSpeed'),
      (rpm) => rpm > 400,
      (rpm) => `${fixed(rpm)} rpm`,
    ),
    judged(
      'Coolant warm',
      latest('coolantTemp'),
      (c) => c >= limits.coolantWarmC && c <= limits.coolantMostC,
      (c) =>
        `${words.temperature(c)}, from ${words.temperature(limits.coolantWarmC)} to ${words.temperature(limits.coolantMostC)}`,
    ),
    judged(
      kind === 'standing' ? 'Vehicle stationary' : 'On the road',
      latest('vehicleSpeed'),
      (kmPerH) =>
        kind === 'standing'
          ? kmPerH < 1
          : kmPerH >= limits.driveLowKmPerH && kmPerH <= limits.driveHighKmPerH,
      (kmPerH) =>
        kind === 'standing'
          ? words.speed(kmPerH)
          : `${words.speed(kmPerH)}, ${words.speed(limits.driveLowKmPerH)} to ${words.speed(limits.driveHighKmPerH)} needed`,
    ),
    {
      label: 'EGT before the filter read',
      state: latest('egt3') === undefined ? 'not-read' : 'met',
      text:
        latest('egt3') === undefined
          ? 'not read: bed and rules cannot be judged'
          : words.temperature(latest('egt3') as number),
    },
    {
      label: 'No active code',
      state: active === undefined ? 'not-read' : active.length === 0 ? 'met' : 'mind',
      text:
        active === undefined
          ? 'codes not read in this session'
          : active.length === 0
            ? 'none'
            : `${active.map(({ code }) => code).join(', ')}: the ECU decides whether it regenerates with them`,
    },
  ];
}
