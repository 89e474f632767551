import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { withPutRight } from './putRight.ts';
import {
  evidenceOfOutcome,
  infer,
  posteriorSets,
  rankChecks,
  weigh,
  type CheckNode,
  type Evidence,
  type Network,
} from './index.ts';

const chance = fc.double({ min: 0.01, max: 0.99, noNaN: true });

/** Small random networks with activating and masking links, and some of their findings seen or missed. */
const small = fc
  .record({ causes: fc.integer({ min: 1, max: 6 }), findings: fc.integer({ min: 1, max: 6 }) })
  .chain(({ causes, findings }) =>
    fc.record({
      priors: fc.array(fc.double({ min: 0.01, max: 0.6, noNaN: true }), {
        minLength: causes,
        maxLength: causes,
      }),
      leaks: fc.array(fc.double({ min: 0.01, max: 0.4, noNaN: true }), {
        minLength: findings,
        maxLength: findings,
      }),
      links: fc.array(
        fc.record({
          finding: fc.nat(findings - 1),
          cause: fc.nat(causes - 1),
          chance,
          how: fc.constantFrom('activates' as const, 'masks' as const),
          form: fc.constantFrom(undefined, undefined, 'a', 'b'),
        }),
        { maxLength: 14 },
      ),
      // Every second cause comes in two forms.
      share: fc.double({ min: 0.1, max: 0.9, noNaN: true }),
      seen: fc.array(fc.constantFrom(true, false, undefined), { minLength: findings, maxLength: findings }),
    }),
  )
  .map(({ priors, leaks, links, seen, share }) => {
    const forms = [
      { id: 'a', share },
      { id: 'b', share: 1 - share },
    ];
    const network: Network = {
      causes: priors.map((prior, i) => ({ id: `c${i}`, prior, ...(i % 2 === 1 ? { forms } : {}) })),
      findings: leaks.map((leak, f) => ({
        id: `f${f}`,
        leak,
        links: links
          .filter(({ finding }) => finding === f)
          .map(({ cause, chance: its, how, form }) => ({
            cause: `c${cause}`,
            chance: its,
            how,
            ...(form === undefined || cause % 2 === 0 ? {} : { form }),
          })),
      })),
    };
    const evidence: Evidence = Object.fromEntries(
      seen.flatMap((value, f) => (value === undefined ? [] : [[`f${f}`, value]])),
    );
    return { network, evidence };
  });

/** By the definition, over every set in every form that there is up to three, with nothing shared and nothing clever. */
function bruteForce({ causes, findings }: Network, evidence: Evidence, most = 3): Map<string, number> {
  const weights = new Map<string, number>();
  type Present = { readonly id: string; readonly form: string | undefined };
  const weighed = (set: readonly Present[], prior: number): void => {
    let weight = prior;
    for (const { id, leak, links } of findings) {
      if (evidence[id] === undefined) continue;
      const product = (how: string, from: number): number =>
        set.reduce((rest, { id: cause, form }) => {
          const its = links.filter((link) => link.cause === cause && link.how === how);
          const own = its.filter((link) => link.form !== undefined && link.form === form);
          const plain = its.filter((link) => link.form === undefined);
          return (own.length > 0 ? own : plain).reduce((r, link) => r * (1 - link.chance), rest);
        }, from);
      const chanceOfIt = (1 - product('activates', 1 - leak)) * product('masks', 1);
      const seen = Math.min(1 - 1e-6, Math.max(1e-6, chanceOfIt));
      weight *= evidence[id] === true ? seen : 1 - seen;
    }
    const name = set.map(({ id }) => id).join(' ');
    weights.set(name, (weights.get(name) ?? 0) + weight);
  };
  const walk = (set: readonly Present[], prior: number, at: number): void => {
    const cause = causes[at];
    if (!cause) {
      if (set.length <= most) weighed(set, prior);
      return;
    }
    walk(set, prior * (1 - cause.prior), at + 1);
    for (const { id: form, share } of cause.forms ?? [{ id: undefined, share: 1 }])
      walk([...set, { id: cause.id, form }], prior * cause.prior * share, at + 1);
  };
  walk([], 1, 0);
  const total = [...weights.values()].reduce((a, b) => a + b, 0);
  return new Map([...weights].map(([set, weight]) => [set, weight / total]));
}

const marginal = (sets: Map<string, number>, cause: string): number =>
  [...sets].reduce((sum, [set, p]) => sum + (set.split(' ').includes(cause) ? p : 0), 0);

describe('the posterior', () => {
  it('equals the enumeration of all sets by the definition', () => {
    fc.assert(
      fc.property(small, ({ network, evidence }) => {
        const exact = bruteForce(network, evidence);
        const { sets, probabilities } = posteriorSets(weigh(network, evidence));
        expect(sets).toHaveLength(exact.size);
        sets.forEach((set, s) => {
          const name = set.map((i) => network.causes[i]?.id).join(' ');
          expect(Math.abs((probabilities[s] as number) - (exact.get(name) ?? Number.NaN))).toBeLessThan(1e-9);
        });
        for (const { id, probability } of infer(weigh(network, evidence)).causes)
          expect(Math.abs(probability - marginal(exact, id))).toBeLessThan(1e-9);
      }),
      { numRuns: 300 },
    );
  });

  it('takes a cause that was put right for given in what was seen before, and for gone in what was seen since', () => {
    fc.assert(
      fc.property(small, fc.array(fc.boolean(), { minLength: 6, maxLength: 6 }), (given, since) => {
        const { network, evidence } = given;
        const seenSince = network.findings.filter((_, f) => since[f] === true).map(({ id }) => id);
        const without = withPutRight(network, [{ cause: 'c0', seenSince }]);
        const certain: Network = {
          causes: network.causes.map((cause, i) => (i === 0 ? { ...cause, prior: 1 } : cause)),
          findings: network.findings.map((finding) => ({
            ...finding,
            links: finding.links.filter(({ cause }) => cause !== 'c0' || !seenSince.includes(finding.id)),
          })),
        };
        const exact = bruteForce(certain, evidence, 4);
        for (const { id, probability } of infer(weigh(without, evidence)).causes)
          expect(probability).toBeCloseTo(marginal(exact, id), 3);
      }),
      { numRuns: 200 },
    );
  });

  it('says in which form a cause is there once that is plain, and not before', () => {
    const forms = [
      { id: 'low', share: 0.5 },
      { id: 'high', share: 0.5 },
    ];
    const network: Network = {
      causes: [{ id: 'meter', prior: 0.2, forms }],
      findings: [
        {
          id: 'reads-low',
          leak: 0.01,
          links: [{ cause: 'meter', form: 'low', chance: 0.9, how: 'activates' }],
        },
        { id: 'code', leak: 0.01, links: [{ cause: 'meter', chance: 0.9, how: 'activates' }] },
      ],
    };
    expect(infer(weigh(network, { code: true })).causes[0]).not.toHaveProperty('form');
    expect(infer(weigh(network, { code: true, 'reads-low': true })).causes[0]?.form).toBe('low');
    expect(infer(weigh(network, { code: true, 'reads-low': false })).causes[0]?.form).toBe('high');
  });

  it('gives as the reason of each piece of evidence what it adds to all the others', () => {
    fc.assert(
      fc.property(small, ({ network, evidence }) => {
        const logit = (p: number): number => Math.log(p / (1 - p));
        for (const { id, probability, reasons } of infer(weigh(network, evidence)).causes) {
          if (probability < 1e-5 || probability > 1 - 1e-5) continue;
          for (const { finding, weight } of reasons) {
            const others = Object.fromEntries(Object.entries(evidence).filter(([name]) => name !== finding));
            const without = marginal(bruteForce(network, others), id);
            if (without < 1e-5 || without > 1 - 1e-5) continue;
            expect(weight).toBeCloseTo(logit(probability) - logit(without), 6);
          }
        }
      }),
      { numRuns: 100 },
    );
  });

  it('is left alone by what the network does not know, and refuses a link to no cause', () => {
    const network: Network = {
      causes: [{ id: 'a', prior: 0.1 }],
      findings: [{ id: 'x', leak: 0.05, links: [{ cause: 'a', chance: 0.9, how: 'activates' }] }],
    };
    expect(infer(weigh(network, { x: true, unheardOf: true }))).toEqual(infer(weigh(network, { x: true })));
    expect(() =>
      weigh(
        { ...network, findings: [{ id: 'x', leak: 0.1, links: [{ cause: 'b', chance: 1, how: 'masks' }] }] },
        { x: true },
      ),
    ).toThrow(/“b” that is none/);
  });
});

/** A filter, a pipe that hides it, and a sensor: the smallest case in which masking matters. */
const BLIND: Network = {
  causes: [
    { id: 'soot', prior: 0.3 },
    { id: 'pipe', prior: 0.1 },
  ],
  findings: [
    {
      id: 'high',
      leak: 0.02,
      links: [
        { cause: 'soot', chance: 0.95, how: 'activates' },
        { cause: 'pipe', chance: 0.9, how: 'masks' },
      ],
    },
    { id: 'slow', leak: 0.02, links: [{ cause: 'pipe', chance: 0.95, how: 'activates' }] },
  ],
};

describe('masking', () => {
  it('keeps a full filter possible while its pipe is blocked, and rules it out once the pipe is open', () => {
    const soot = (evidence: Evidence): number =>
      infer(weigh(BLIND, evidence)).causes.find(({ id }) => id === 'soot')?.probability ?? Number.NaN;
    expect(soot({ high: false, slow: true })).toBeGreaterThan(0.2);
    expect(soot({ high: false, slow: false })).toBeLessThan(0.05);
    expect(soot({ high: true, slow: false })).toBeGreaterThan(0.9);
  });

  it('says which evidence the best explanation leaves unexplained', () => {
    const network = { ...BLIND, findings: [...BLIND.findings, { id: 'odd', leak: 0.01, links: [] }] };
    const odd = infer(weigh(network, { odd: true, slow: false }));
    expect(odd.unexplained).toEqual([{ finding: 'odd', chance: expect.closeTo(0.01, 6) as number }]);
  });
});

describe('the next check', () => {
  const look: CheckNode = { id: 'look', outcomes: ['slow'], otherwise: 'quick', minutes: 3, cost: 0 };
  const idle: CheckNode = { id: 'idle', outcomes: ['nothing'], otherwise: 'else', minutes: 3, cost: 0 };
  const network: Network = {
    ...BLIND,
    findings: [...BLIND.findings, { id: 'nothing', leak: 0.3, links: [] }],
  };

  it('is the one that tells causes apart; one that tells nothing gives no bits', () => {
    const ranked = rankChecks(weigh(network, { high: false }), [idle, look]);
    expect(ranked.map(({ check }) => check)).toEqual(['look', 'idle']);
    expect(ranked[1]?.bits).toBeCloseTo(0, 9);
    const dear = rankChecks(weigh(network, { high: false }), [{ ...look, cost: 27 }]);
    expect(dear[0]?.bitsPerMinute).toBeCloseTo((ranked[0]?.bitsPerMinute ?? 0) / 10, 9);
    expect(rankChecks(weigh(network, { high: false, slow: true }), [look])).toEqual([]);
  });

  it('expects as many bits as the outcomes, weighed by their chances, then really give', () => {
    const entropy = (evidence: Evidence): number =>
      [...bruteForce(network, evidence).values()].reduce((sum, p) => sum - (p > 0 ? p * Math.log2(p) : 0), 0);
    fc.assert(
      fc.property(fc.constantFrom<Evidence>({}, { high: true }, { high: false }), (evidence) => {
        const [ranked] = rankChecks(weigh(network, evidence), [look]);
        const after = ranked?.outcomes.reduce(
          (sum, { outcome, probability }) =>
            sum + probability * entropy({ ...evidence, ...evidenceOfOutcome(look, outcome) }),
          0,
        );
        expect(ranked?.bits).toBeCloseTo(entropy(evidence) - (after ?? 0), 9);
      }),
    );
  });

  it('turns an outcome into what was seen and what was not', () => {
    const ladder: CheckNode = {
      id: 'l',
      outcomes: ['dead', 'low', 'off'],
      otherwise: 'good',
      minutes: 9,
      cost: 1,
    };
    expect(evidenceOfOutcome(ladder, 'low')).toEqual({ dead: false, low: true });
    expect(evidenceOfOutcome(ladder, 'good')).toEqual({ dead: false, low: false, off: false });
    expect(() => evidenceOfOutcome(ladder, 'blue')).toThrow(/no outcome “blue”/);
  });
});
