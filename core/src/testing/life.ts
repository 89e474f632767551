import type { BenchVehicle } from '../bench/index.ts';
import { codeAsWritten } from '../bench/computer/notation.ts';
import type { TemperId } from '../bench/computer/temper.ts';
import type { CaseFacts } from '../diagnosis/index.ts';

/** How a customer tells: of what is there, of next to nothing, or of things that are not. */
export type Customer = 'plain' | 'silent' | 'wrong';

/** How a vehicle comes to a workshop in life: with a computer of some temper, a memory with a history, a tool that may tell less. */
export interface Life {
  readonly temper: TemperId;
  /** `cleared` by another workshop on the way here; `dirty` with codes of faults that are long gone. */
  readonly memory: 'clean' | 'cleared' | 'dirty';
  /** A tool that lists codes, one that prints names of faults only, one that shows which modules have a fault. */
  readonly tool: 'codes' | 'names' | 'modules';
  readonly customer: Customer;
}

/** What a tool that knows no numbers prints. */
const NAMES: Readonly<Record<string, string>> = {
  P2453: 'DPF differential pressure implausible',
  P2454: 'DPF pressure sensor, low voltage',
  P2455: 'DPF pressure sensor, short to plus',
  P2463: 'Particulate filter, soot load too high',
  P242F: 'Particulate filter, ash load',
  P2002: 'Particulate filter efficiency',
  P2458: 'Regeneration not completed',
  P0471: 'Exhaust pressure sensor implausible',
  P0472: 'Exhaust pressure sensor, open circuit',
  P0473: 'Exhaust pressure sensor, short circuit',
  P0106: 'Boost pressure sensor implausible',
  P0107: 'Manifold pressure sensor circuit low',
  P0108: 'Manifold pressure sensor circuit high',
  P0299: 'Boost pressure too low',
  P0234: 'Overboost',
  P0101: 'Air mass implausible',
  P0102: 'Air mass meter, signal interrupted',
  P0404: 'EGR valve position',
  P0545: 'Exhaust gas temperature sensor 1 circuit',
  P0546: 'Exhaust gas temperature sensor 1 open',
  P2080: 'Exhaust gas temperature 1 implausible',
  P2032: 'Exhaust gas temperature sensor 2 circuit',
  P2033: 'Exhaust gas temperature sensor 2 open',
  P242B: 'Exhaust gas temperature 3 implausible',
  P242C: 'Exhaust gas temperature sensor 3 circuit',
  P242D: 'Exhaust gas temperature sensor 3 open',
  P246F: 'Exhaust gas temperature 4 implausible',
  P2470: 'Exhaust gas temperature sensor 4 circuit',
  P2471: 'Exhaust gas temperature sensor 4 open',
  P0128: 'Coolant temperature too low',
  P0380: 'Glow plug relay',
};
const nameOf = (code: string): string => NAMES[code] ?? (/^P067\d$/.test(code) ? 'Glow plug' : code);

/** What the tool says of the codes that are there. */
export function scanBy(
  { family, computer }: BenchVehicle,
  tool: Life['tool'],
): Pick<CaseFacts, 'codes' | 'partialScan'> {
  if (tool === 'modules') return {};
  const listed = [...computer.codes.values()].map(({ code, status, present }) => ({
    code: tool === 'names' ? nameOf(code) : codeAsWritten(family, code),
    status: `${status}, ${present ? 'present' : 'not present'}`,
  }));
  // A tool without numbers that prints nothing has perhaps not asked.
  return { codes: listed, ...(tool === 'names' ? { partialScan: true } : {}) };
}
