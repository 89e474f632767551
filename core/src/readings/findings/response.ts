import { say, type Said } from '../../words/index.ts';
import type { ChannelRole } from '../channelRoles.ts';
import type { Behaviour } from '../features.ts';
import type { Finding, FindingContext } from './finding.ts';

/** A lag counts only where the flow explains this share of the movement … */
const EXPLAINED = 0.5;
/** … and a prompt sensor would leave this many times more unexplained. */
const WORSE_IF_PROMPT = 1.3;
/** Readings further apart than this share of the limit cannot show a lag of it. */
const INTERVAL_SHARE = 0.75;

/** Whether a channel is read often enough, and moved by enough quick changes, to say anything of its lag. */
export const showsResponse = ({ response }: Behaviour, limitS: number): boolean =>
  response !== undefined && response.intervalS <= INTERVAL_SHARE * limitS;

/** A pressure that follows the flow with a lag beyond the limit; none where the sampling cannot show it. */
export function slowResponse(
  { limits, features }: FindingContext,
  behaviour: Behaviour | undefined,
  about: { id: string; channel: ChannelRole; what: Said; means: Said },
): Finding[] {
  const limit = limits.slowResponseS;
  const response = behaviour?.response;
  if (!behaviour || !response || !showsResponse(behaviour, limit) || response.lagS <= limit) return [];
  if (response.explained < EXPLAINED || response.worseIfPrompt < WORSE_IF_PROMPT) return [];
  if (behaviour.range < 3 * Math.max(behaviour.step, 0.1) || !features.flow) return [];
  return [
    {
      id: about.id,
      level: 'fault',
      channel: about.channel,
      evidence: {
        lagS: response.lagS,
        limitS: limit,
        transients: response.transients,
        explainedPercent: 100 * response.explained,
        sampleIntervalS: response.intervalS,
      },
      text: say('findings.follows-the-flow-s-late', {
        what: about.what,
        lagS: response.lagS,
        limit,
        transients: response.transients,
        what2: response.transients === 1 ? 'change' : 'changes',
        intervalS: response.intervalS,
        means: about.means,
      }),
    },
  ];
}
