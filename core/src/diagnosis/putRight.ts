import { linksFrom, type Cause, type FindingNode, type Link, type Network } from './network.ts';

/** A cause that was found and put right on this job. */
export interface PutRight {
  readonly cause: string;
  /** Findings that were looked for since: of these it neither brings about nor hides any more. */
  readonly seenSince: readonly string[];
}

/**
 * The network of a vehicle on which causes were put right. What was seen before the repair is explained by them, or hidden, as it
 * was while they were there; what was looked for since owes them nothing, but for what the ECU remembers of them. They
 * themselves are not in question any more.
 */
export function withPutRight(network: Network, putRight: readonly PutRight[]): Network {
  if (putRight.length === 0) return network;
  const { causes, findings } = network;
  const since = new Map(putRight.map(({ cause, seenSince }) => [cause, new Set(seenSince)]));
  return {
    ...network,
    found: [...since.keys()],
    causes: causes.filter(({ id }) => !since.has(id)),
    findings: findings.map((finding) => withoutLinks(causes, finding, since)),
  };
}

/** Findings about the soot counter: what a wrong sensor made it count stands after the repair, until it is set right. */
const REMEMBERED: ReadonlySet<string> = new Set([
  'soot-high',
  'code-soot-high',
  'soot-disagrees-with-pressure',
  'counter-low',
  'counter-high',
]);

function withoutLinks(
  causes: readonly Cause[],
  finding: FindingNode,
  since: ReadonlyMap<string, ReadonlySet<string>>,
): FindingNode {
  if (!finding.links.some(({ cause }) => since.has(cause))) return finding;
  const lasts = REMEMBERED.has(finding.id);
  const still = causes.filter(
    ({ id }) => since.has(id) && (lasts || since.get(id)?.has(finding.id) !== true),
  );
  // In which form it was is not asked any more: each by its share.
  const product = (how: Link['how']): number =>
    still.reduce((rest, { id, forms = [{ id: undefined, share: 1 }] }) => {
      const silence = forms.map(
        (form) =>
          form.share *
          linksFrom(finding.links, id, form.id)
            .filter((link) => link.how === how)
            .reduce((quiet, { chance }) => quiet * (1 - chance), 1),
      );
      return rest * silence.reduce((a, b) => a + b, 0);
    }, 1);
  return {
    ...finding,
    leak: 1 - (1 - finding.leak) * product('activates'),
    hidden: 1 - (1 - (finding.hidden ?? 0)) * product('masks'),
    links: finding.links.filter(({ cause }) => !since.has(cause)),
  };
}

/** From this chance on a cause is said to bear on a finding. */
const BEARS_ON = 0.1;

/** Findings that a cause may have brought about or hidden. */
export const findingsUnder = ({ findings }: Pick<Network, 'findings'>, cause: string): string[] =>
  findings
    .filter(({ links }) => links.some((link) => link.cause === cause && link.chance >= BEARS_ON))
    .map(({ id }) => id);
