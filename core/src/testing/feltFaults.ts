import { FAULT_IDS, FAULTS, type BenchFamily, type Fault, type FaultId } from '../bench/index.ts';
import { groupOf } from '../bench/signature.ts';
import type { Dice } from './drills.ts';

/** Whether a family has what can fail. */
export function canHave({ egts, backPressureSensor, dpLowSide }: BenchFamily, id: FaultId): boolean {
  if (id.startsWith('egt')) return egts.some((number) => id === `egt${number}-failed`);
  if (id.startsWith('back-pressure')) return backPressureSensor;
  return id !== 'low-pipe-blocked' || dpLowSide === 'pipe';
}

/** One to three faults that do not sit on the same part, each bad enough to be felt. */
export function feltFaults(d: Dice, family: BenchFamily, counts: readonly number[] = [1, 2, 3]): Fault[] {
  const faults: Fault[] = [];
  const wanted = d.pick(counts);
  while (faults.length < wanted) {
    const id = d.pick(FAULT_IDS);
    if (!canHave(family, id) || faults.some((fault) => groupOf(fault.id) === groupOf(id))) continue;
    const { forms } = FAULTS[id];
    faults.push({ id, severity: d.between(0.6, 1), ...(forms ? { form: d.pick(forms) } : {}) });
  }
  return faults;
}
