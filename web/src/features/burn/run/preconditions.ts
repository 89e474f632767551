import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/burn';
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
    text: value === undefined ? common.notRead : text(value),
  });
  const active = codes?.filter(({ present, status }) => present && status !== 'pending');
  return [
    judged(
      wording.engineRunning,
      latest('engineSpeed'),
      (rpm) => rpm > 400,
      (rpm) => wording.rpm(fixed(rpm)),
    ),
    judged(
      wording.coolantWarm,
      latest('coolantTemp'),
      (c) => c >= limits.coolantWarmC && c <= limits.coolantMostC,
      (c) =>
        wording.fromTo(
          words.temperature(c),
          words.temperature(limits.coolantWarmC),
          words.temperature(limits.coolantMostC),
        ),
    ),
    judged(
      kind === 'standing' ? wording.vehicleStationary : wording.onTheRoad,
      latest('vehicleSpeed'),
      (kmPerH) =>
        kind === 'standing'
          ? kmPerH < 1
          : kmPerH >= limits.driveLowKmPerH && kmPerH <= limits.driveHighKmPerH,
      (kmPerH) =>
        kind === 'standing'
          ? words.speed(kmPerH)
          : wording.toNeeded(
              words.speed(kmPerH),
              words.speed(limits.driveLowKmPerH),
              words.speed(limits.driveHighKmPerH),
            ),
    ),
    {
      label: wording.egtBeforeTheFilterRead,
      state: latest('egt3') === undefined ? 'not-read' : 'met',
      text:
        latest('egt3') === undefined
          ? wording.notReadBedAndRulesCannotBe
          : words.temperature(latest('egt3') as number),
    },
    {
      label: wording.noActiveCode,
      state: active === undefined ? 'not-read' : active.length === 0 ? 'met' : 'mind',
      text:
        active === undefined
          ? wording.codesNotReadInThisSession
          : active.length === 0
            ? common.none
            : wording.theEcuDecidesWhetherItRegenerates(active.map(({ code }) => code).join(', ')),
    },
  ];
}
