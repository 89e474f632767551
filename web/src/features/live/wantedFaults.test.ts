import fc from 'fast-check';
import { FAULT_IDS, FAULTS } from '@white-ember/core/bench';
import { describe, expect, it } from 'vitest';
import { faultsOf, NO_FAULT, type WantedFault } from './wantedFaults.ts';

const first = (): number => 0;

describe('faults of the simulated vehicle', () => {
  it('are those that were chosen, in their form, as bad and as late as was chosen', () => {
    expect(
      faultsOf(
        [
          {
            ...NO_FAULT,
            what: 'dp-sensor-failed',
            form: 'stuck',
            severityPercent: 60,
            comesOn: 'after-a-while',
          },
          { ...NO_FAULT, what: 'soot-loaded', comesOn: 'slowly' },
        ],
        first,
      ),
    ).toEqual([
      { id: 'dp-sensor-failed', severity: 0.6, form: 'stuck', startS: 300 },
      { id: 'soot-loaded', severity: 1, startS: 0, rampS: 1800 },
    ]);
    expect(faultsOf([NO_FAULT], first)).toEqual([]);
  });
  it('are never more than three and never one twice; what is hidden is drawn among the others', () => {
    const wanted = fc.record<WantedFault>({
      what: fc.constantFrom('', 'hidden', 'hidden-2', 'hidden-3', ...FAULT_IDS),
      form: fc.constantFrom('', 'stuck', 'open', 'no such form'),
      severityPercent: fc.integer({ min: 30, max: 100 }),
      comesOn: fc.constantFrom('from-the-beginning', 'after-a-while', 'slowly'),
    });
    fc.assert(
      fc.property(
        fc.array(wanted, { maxLength: 5 }),
        fc.infiniteStream(fc.double({ min: 0, max: 0.999, noNaN: true })),
        (all, chances) => {
          const faults = faultsOf(all, () => chances.next().value as number);
          expect(faults.length).toBeLessThanOrEqual(3);
          expect(new Set(faults.map(({ id }) => id)).size).toBe(faults.length);
          for (const { id, form } of faults)
            expect(
              FAULTS[id].forms === undefined ? form === undefined : FAULTS[id].forms.includes(form ?? ''),
            ).toBe(true);
          const asked = all.some(({ what }) => what !== '');
          expect(faults.length > 0).toBe(asked);
        },
      ),
    );
  });
});
