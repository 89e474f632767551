import type { Message } from '../../words/index.ts';
import type { CodeStatus, FreezeFrame, RoutineState } from '../../link/index.ts';
import type { BenchFamily } from '../families.ts';
import type { Temper } from './temper.ts';

/** One code with what the computer noted when it was confirmed. */
export interface StoredCode {
  readonly code: string;
  status: CodeStatus;
  /** For so long its condition has been there or been away, s. */
  sinceS: number;
  present: boolean;
  occurrences: number;
  freezeFrame: FreezeFrame | undefined;
}

export interface Regeneration {
  phase: 'none' | 'wanted' | 'heating' | 'burning' | 'cooling';
  /** Commanded from outside, standing or on the road. */
  forced: 'standing' | 'driving' | undefined;
  elapsedS: number;
  dosingTrim: number;
  failures: number;
  lastKm: number;
  /** Distances between the last regenerations, km. */
  readonly distances: number[];
  /** What blocks it at this moment, in words. */
  inhibitors: Message[];
}

/** The ECU: what it believes, learned and wants. Plain values, so that it is copied with the vehicle. */
export interface Computer {
  /** How readily it sets codes, and what it shows of a dead sensor. */
  readonly temper: Temper;
  awake: boolean;
  keyOnS: number;
  /** Since the engine was started last, s. */
  sinceStartS: number;
  idleIntegral: number;
  boostTrim: number;
  /** Fuel asked for by pedal or idle governor as a share of the most, before air and limits hold it back. */
  demandShare: number;
  /** Soot by its own model, by pressure, and what it counts, g. */
  modelSootG: number;
  pressureSootG: number | undefined;
  sootG: number;
  ashG: number;
  regeneration: Regeneration;
  readonly codes: Map<string, StoredCode>;
  /** Seconds for which each condition has stood, also without a code yet. */
  readonly standing: Map<string, number>;
  /** Self-tests and whether they have run since the codes were cleared. */
  readonly readiness: Map<string, number>;
  powerLimit: number;
  oilLifePercent: number;
  adaptations: {
    deltaPZeroMbar: number;
    filterSinceKm: number;
    deltaPLearnedAtKm: number;
    /** Where the soot counter was set back last by a tool; undefined where it never was. */
    sootResetAtKm: number | undefined;
  };
  routine: RoutineState | undefined;
  /** The computer's idea of idle, rpm. */
  idleRpm: number;
  secondS: number;
}

export const READINESS = ['egr', 'boost', 'exhaust sensors', 'filter', 'glow plugs'] as const;

export function newComputer(
  family: BenchFamily,
  temper: Temper,
  start: { sootG: number; ashG: number; km: number; kmSinceOil: number; kmSinceRegen: number },
): Computer {
  return {
    temper,
    awake: false,
    keyOnS: 0,
    sinceStartS: 0,
    idleIntegral: 0,
    boostTrim: 0,
    demandShare: 0,
    modelSootG: start.sootG,
    pressureSootG: undefined,
    sootG: start.sootG,
    ashG: start.ashG,
    regeneration: {
      phase: 'none',
      forced: undefined,
      elapsedS: 0,
      dosingTrim: 0,
      failures: 0,
      lastKm: start.km - start.kmSinceRegen,
      distances: [],
      inhibitors: [],
    },
    codes: new Map(),
    standing: new Map(),
    readiness: new Map(READINESS.map((name) => [name, 0])),
    powerLimit: 1,
    oilLifePercent: Math.max(0, 100 - (100 * start.kmSinceOil) / 20_000),
    adaptations: { deltaPZeroMbar: 0, filterSinceKm: 0, deltaPLearnedAtKm: 0, sootResetAtKm: undefined },
    routine: undefined,
    idleRpm: family.idleRpm,
    secondS: 0,
  };
}

/** What an earlier fault has left in its memory: codes that were set once and never cleared, with nothing behind them now. */
export function leaveOver({ codes }: Computer, left: readonly string[]): void {
  for (const code of left)
    if (!codes.has(code))
      codes.set(code, {
        code,
        status: 'stored',
        sinceS: 0,
        present: false,
        occurrences: 1,
        freezeFrame: undefined,
      });
}

export const isActive = (computer: Computer, code: string): boolean => {
  const stored = computer.codes.get(code);
  return stored !== undefined && stored.present && stored.status !== 'pending';
};

export const anyActive = (computer: Computer, codes: readonly string[]): string | undefined =>
  codes.find((code) => isActive(computer, code));
