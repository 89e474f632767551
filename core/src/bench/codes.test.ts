import { describe, expect, it } from 'vitest';
import { codeMeaning } from '../codes/index.ts';
import { findingsOfCodes, infer, KNOWN_FINDINGS, networkFor, weigh } from '../diagnosis/index.ts';
import { MONITORS } from './computer/monitors.ts';
import { codeAsWritten } from './computer/notation.ts';
import { INHIBITING_CODES } from './computer/regeneration.ts';
import { BENCH_FAMILIES, benchFamily, type BenchFamily } from './families.ts';
import { FAULT_IDS, FAULTS } from './faults.ts';
import { signatureOf } from './signature.ts';

const tarn = benchFamily('Tarn 2.0') as BenchFamily;

describe('the codes of the bench', () => {
  it('stand in the table of generic codes, each exact', () => {
    for (const { code } of MONITORS) expect(codeMeaning(code), code).toMatchObject({ certainty: 'exact' });
  });

  it('hold a regeneration off by the table where they do on the bench', () => {
    for (const code of INHIBITING_CODES)
      expect(codeMeaning(code), code).toMatchObject({ holdsRegenerationOff: true });
  });

  it('are written as parameter and failure mode by heavy vehicles, known ones, and as they are by the others', () => {
    for (const family of BENCH_FAMILIES)
      for (const { code } of MONITORS) {
        const written = codeAsWritten(family, code);
        if (family.kind !== 'truck') expect(written).toBe(code);
        else expect(codeMeaning(written), written).toMatchObject({ notation: 'spn-fmi', certainty: 'exact' });
      }
  });

  it('say the same in both notations: the finding that a code sets does not go with the vehicle', () => {
    const truck = BENCH_FAMILIES.find(({ kind }) => kind === 'truck');
    if (!truck) throw new Error('no heavy family');
    const told = MONITORS.map(({ code }) => code).filter((code) => findingsOfCodes([{ code }]).size > 0);
    expect(told.length).toBeGreaterThan(0.8 * MONITORS.length);
    // A heavy parameter is coarser than a code of its own for each circuit, so it may name a neighbour's finding.
    for (const code of told)
      expect(findingsOfCodes([{ code: codeAsWritten(truck, code) }]).size, code).toBe(1);
  });
});

describe('what a fault shows in a baseline', () => {
  const before = new Map(
    infer(weigh(networkFor(), {})).causes.map(({ id, probability }) => [id, probability]),
  );
  const known = new Set(KNOWN_FINDINGS.map(({ id }) => id));

  it.each(
    FAULT_IDS.flatMap((id) =>
      (FAULTS[id].forms ?? [undefined]).flatMap((form) => {
        const signs = signatureOf({ id, severity: 1, ...(form === undefined ? {} : { form }) }, tarn, {
          cold: true,
          pull: true,
        });
        return signs.length === 0 ? [] : [{ id, form: form ?? '', signs }];
      }),
    ),
  )('makes $id $form likelier than before', ({ id, signs }) => {
    for (const sign of signs) expect(known, sign).toContain(sign);
    const evidence = Object.fromEntries(signs.map((sign) => [sign, true]));
    const after =
      infer(weigh(networkFor(), evidence)).causes.find((cause) => cause.id === id)?.probability ?? 0;
    expect(after).toBeGreaterThan(1.5 * (before.get(id) ?? 1));
  });
});
