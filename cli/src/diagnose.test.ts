import { describe, expect, it } from 'vitest';
import { useCommandLine } from './testing/commandLine.ts';

const { call, file, json } = useCommandLine();

describe('codes', () => {
  it('reads each notation, and says what is certain and what is not', async () => {
    const known = await json<
      { code: string; notation: string; role: string; certainty: string; checks: string[] }[]
    >('codes', 'P2453-2A', '0x246300', 'SPN 3251 FMI 4', 'P2464', '18434');
    expect(known).toMatchObject([
      { code: 'P2453', notation: 'j2012', failureType: '2A', role: 'cause', certainty: 'exact' },
      { code: 'P2463', notation: 'hexadecimal', failureType: '00', role: 'consequence' },
      {
        code: 'SPN 3251 FMI 4',
        notation: 'spn-fmi',
        role: 'cause',
        checks: expect.arrayContaining(['dp-electrical']) as string[],
      },
      { code: 'P2464', certainty: 'by-range' },
      { code: '18434', notation: 'maker', role: 'unknown', certainty: 'none', checks: [] },
    ]);
    expect((await call('codes', 'P2453')).stdout).toMatch(
      /^P2453 {2}ΔP sensor: implausible\n {4}cause, inhibits regeneration/,
    );
  });

  it('refuses nothing but what is no code at all', async () => {
    expect(await call('codes', '  ')).toMatchObject({ status: 2, stdout: '' });
    expect((await call('codes', 'x'.repeat(201))).stderr).toMatch(/longer than 200 characters\n$/);
    expect(
      (await call('codes', 'Exhaust gas temperature sensor 2, in front of the particulate filter')).stdout,
    ).toMatch(/EGT sensor 2/);
    expect((await call('codes')).status).toBe(2);
  });
});

describe('vocabulary and diagnose', () => {
  const caseFile = (content: unknown): string => file('case.json', content);

  it('names what a case may hold, and answers it with causes, reasons and next checks', async () => {
    const words = await json<{
      causes: { id: string }[];
      findings: { id: string; text: string }[];
      checks: { id: string; outcomes: { id: string }[]; minutes: number }[];
    }>('vocabulary');
    expect(words.findings.length).toBeGreaterThanOrEqual(90);
    const [check] = words.checks as [(typeof words.checks)[number]];
    const answer = await json<{
      causes: { id: string; probability: number; reasons: { finding: string; weight: number }[] }[];
      sets: { causes: string[]; probability: number }[];
      next: { check: string; bitsPerMinute: number }[];
      inhibitors: string[];
      unknown: string[];
    }>(
      'diagnose',
      caseFile({
        vehicle: { family: 'Tarn 2.0', distanceKm: 121_000 },
        codes: ['P2453', { code: 'P0380', status: 'confirmed' }],
        findings: { 'dp-slow-response': true, 'made-up': true },
        checks: { 'pipe-pump': 'high-holds', [check.id]: check.outcomes.at(-1)?.id },
        readings: { dp3000Mbar: 22, sootG: 8 },
      }),
    );
    expect(answer.causes).toHaveLength(words.causes.length);
    expect(answer.causes[0]?.probability).toBeGreaterThan(0.9);
    expect(
      answer.causes
        .slice(0, 2)
        .map(({ id }) => id)
        .sort(),
    ).toEqual(['glow-plugs-failed', 'high-pipe-blocked']);
    expect(answer.sets[0]?.causes).toContain('high-pipe-blocked');
    expect(answer.next.map((one) => one.check)).not.toContain('pipe-pump');
    expect(answer.inhibitors).toContain('P0380: Glow plugs or heater: their circuit');
    expect(answer.unknown).toEqual(['made-up']);
  });

  it.each([
    ['no JSON', '{', /is not JSON/],
    ['a list', [], /expected object/i],
    ['codes that are no list', { codes: 'P2463' }, /codes: .*array/],
    ['a figure that cannot be', { readings: { dpIdleMbar: 99_999 } }, /readings\.dpIdleMbar/],
    ['a key that is none', { vehicel: {} }, /vehicel/],
  ])('refuses %s in one line', async (_what, content, message) => {
    const { status, stdout, stderr } = await call('diagnose', caseFile(content));
    expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
    expect(stderr).toMatch(message);
    expect(stderr.trim().split('\n')).toHaveLength(1);
  });
});
