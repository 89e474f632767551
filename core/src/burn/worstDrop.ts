import type { Limits } from '../limits/index.ts';
import { success, type Result } from '../quantities/index.ts';
import {
  branchesOf,
  DEFAULT_CELLS,
  MOST_CELLS,
  MOST_FINER,
  simulateBranching,
  simulateBurn,
} from './burnModel.ts';
import type { BurnBranch, BurnForks } from './burnModel.ts';
import type { BurnOptions, BurnRun } from './burnRun.ts';
import { withDropToIdle, type IdleExhaust } from './dropToIdle.ts';
import type { BurnScenario } from './scenario.ts';

/**
 * Shares of the soot after which the engine may drop to idle. Left of the worst one the bed goes out, right of it the soot
 * that could burn is gone: within 15 °C of the worst lie some 1.4 times from the least share to the most.
 */
const SHARES: readonly number[] = Array.from({ length: 28 }, (_, i) => 0.006 * 1.2 ** i);
/** Every so many of them are looked at first, then those between next to the hottest. */
const FIRST_STRIDE = 4;
/** On a finer bed the worst moment lies at most so many of them away. */
const NEAR = 3;

interface Hottest {
  readonly index: number;
  readonly branch: BurnBranch;
  readonly peakC: number;
}

/** The hottest of some branches: in strides first, or from where a coarser bed had it. The first above `enoughC` will do. */
function hottestOf(branches: readonly BurnBranch[], enoughC: number, from?: number): Hottest | undefined {
  let hottest: Hottest | undefined;
  const isEnough = (): boolean => hottest !== undefined && hottest.peakC > enoughC;
  const look = (index: number): void => {
    const branch = branches[index];
    if (!branch || isEnough()) return;
    const peakC = branch.follow().peakBedC;
    if (!hottest || peakC > hottest.peakC) hottest = { index, branch, peakC };
  };
  let stride = 1;
  if (from !== undefined) look(Math.min(from, branches.length - 1));
  else {
    stride = FIRST_STRIDE;
    for (let index = 0; index < branches.length; index += stride) look(index);
  }
  // A moment further on while that is hotter, then half as far: at a stride of one it is the worst there is nearby.
  while (hottest && !isEnough()) {
    const { index } = hottest;
    look(index - stride);
    look(index + stride);
    if (hottest.index !== index) continue;
    if (stride === 1) break;
    stride = Math.max(1, Math.floor(stride / 2));
  }
  return hottest;
}

interface TriedDrops {
  readonly planned: BurnRun;
  /** The one that gets hottest, run until it cools; none where nothing burns. */
  readonly worst?: Hottest;
}

/** The planned burn, and which of the drops after ignition gets hottest, on cells as fine as its front asks for and `options` allow. */
function tryDrops(
  scenario: BurnScenario,
  idle: IdleExhaust,
  limits: Limits,
  options: BurnOptions,
  enoughC = Number.POSITIVE_INFINITY,
): Result<TriedDrops> {
  const forks = (shares: readonly number[]): BurnForks => ({
    shares,
    to: (atS) => withDropToIdle(scenario, atS, idle),
    until: 'cooling',
  });
  const tried = simulateBranching(scenario, limits, options, forks(SHARES));
  if (!tried.ok) return tried;
  const { run: planned, branches } = tried.value;
  let worst = hottestOf(branches, enoughC);
  const cells = scenario.cells ?? DEFAULT_CELLS;
  const { mostFiner = MOST_FINER } = options;
  for (let finer = 2; worst && worst.peakC <= enoughC && worst.branch.isCoarse(); finer *= 2) {
    if (finer > mostFiner || finer * cells > MOST_CELLS) break;
    const near = branchesOf(
      { ...scenario, cells: finer * cells },
      limits,
      options,
      forks(SHARES.slice(0, worst.index + 1 + NEAR)),
    );
    if (!near.ok) return near;
    worst = hottestOf(near.value, enoughC, worst.index) ?? worst;
  }
  return success({ planned, ...(worst ? { worst } : {}) });
}

export interface WorstDrop {
  /** The burn that goes as planned. */
  readonly planned: BurnRun;
  /** The drop that gets hottest; the planned one where nothing burns. */
  readonly worst: BurnRun;
  readonly atS: number;
}

/**
 * The planned burn (to the end of its soot where `options` say so), and the same with the drop to idle at the worst moment
 * after ignition, on cells as fine as `options` let them be.
 */
export function worstDropToIdle(
  scenario: BurnScenario,
  idle: IdleExhaust,
  limits: Limits,
  options: BurnOptions = {},
): Result<WorstDrop> {
  const tried = tryDrops(scenario, idle, limits, options);
  if (!tried.ok) return tried;
  const { planned, worst } = tried.value;
  if (!worst || worst.peakC <= planned.peakBedC)
    return success({ planned, worst: planned, atS: scenario.endS });
  const { branch } = worst;
  const ends: BurnOptions = options.until ? { ...options, until: 'cooling' } : options;
  const whole = simulateBurn(branch.scenario, limits, ends);
  return whole.ok ? success({ planned, worst: whole.value, atS: branch.atS }) : whole;
}

export interface DropPeak {
  /** The burn that goes as planned. */
  readonly planned: BurnRun;
  /** The hottest that the worst drop to idle gets, °C; the planned peak where no drop gets hotter. */
  readonly peakC: number;
}

/** As `worstDropToIdle` where only the peak is asked for; above `enoughC` it need not be that of the worst. */
export function worstDropPeak(
  scenario: BurnScenario,
  idle: IdleExhaust,
  limits: Limits,
  options: BurnOptions,
  enoughC?: number,
): Result<DropPeak> {
  const tried = tryDrops(scenario, idle, limits, options, enoughC);
  if (!tried.ok) return tried;
  const { planned, worst } = tried.value;
  return success({ planned, peakC: Math.max(planned.peakBedC, worst?.peakC ?? 0) });
}
