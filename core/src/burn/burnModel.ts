import { say } from '../words/index.ts';
import type { Limits } from '../limits/index.ts';
import { failed, success, type Failure, type Result } from '../quantities/index.ts';
import { bedOf } from './bed.ts';
import { BedRun } from './bedRun.ts';
import type { BurnAssumptions, BurnOptions, BurnRun } from './burnRun.ts';
import { kineticsOf } from './kinetics.ts';
import { burnScenarioSchema, type BurnScenario } from './scenario.ts';

export const DEFAULT_CELLS = 60;
/** Where neighbours differ by more than this a front is too thin for the grid, and the run begins again with a finer one. */
const COARSE_JUMP_C = 30;
/** No brick outlives this: a finer grid would only say more exactly how dead it is. */
const MOLTEN_C = 1500;
/** How often a cell is divided at most, where nothing else is said, and how many there are then. */
export const MOST_FINER = 8;
export const MOST_CELLS = 960;

/** First thing wrong with a scenario as a described failure. */
export function checkScenario(scenario: unknown): Result<BurnScenario> {
  const parsed = burnScenarioSchema.safeParse(scenario);
  if (parsed.success) return success(parsed.data);
  const issue = parsed.error.issues[0];
  return failed({
    code: 'out-of-range',
    field: issue && issue.path.length > 0 ? issue.path.join('.') : say('fields.the-scenario'),
    requirement: say('burn.is-not-fit', { why: issue?.message ?? '' }),
  } satisfies Failure);
}

function assumptionsOf(given: BurnScenario, limits: Limits, options: BurnOptions): Result<Assumed> {
  const checked = checkScenario(given);
  if (!checked.ok) return checked;
  const scenario = checked.value;
  const bed = bedOf(scenario.filter, scenario.filter.material, scenario.ashG);
  if (!bed.ok) return bed;
  const assumed: BurnAssumptions = {
    kinetics: kineticsOf(limits, scenario.catalyst),
    sootHeatJPerKg: limits.sootHeatMJPerKg * 1e6,
    bed: bed.value,
  };
  return success({ scenario, assumptions: options.change?.(assumed) ?? assumed });
}

/**
 * One-dimensional burn of a loaded filter: the gas goes through the brick from front to back, exchanges heat with the
 * wall and gives its oxygen and nitrogen dioxide to the soot.
 *
 * Solid:  (C_wall + C_ash)/L·∂T_s/∂t = k·A·∂²T_s/∂x² + (h·S/L)·(T_g − T_s) + H·r − (U/L)·(T_s − T_ambient)
 * Gas, quasi-steady:  ṁ·c_g·∂T_g/∂x = (h·S/L)·(T_s − T_g)
 * Soot:   ∂m/∂t = −r = −m·(k_O2·y_O2 + k_NO2·y_NO2)
 * Oxygen: (ṁ/M_g)·∂y_O2/∂x = −(m/M_C)·k_O2·y_O2, NO2 twice as much per carbon
 *
 * Where the wall's temperature goes in a straight line through a cell (van Leer's limited slope) the gas equations have
 * exponentials as their exact answer: what the gas gives is what the cell gets, so energy and carbon balance but for
 * rounding. Time goes by Heun's method, conduction implicitly, with steps that are shortened where the bed moves; where a
 * front gets too thin for the cells, the run is made with finer ones. With k = U = 0 and no soot it is Schumann's packed bed (J. Franklin Inst. 208 (1929)
 * 405); with H = 0, even temperature and plenty of gas m = m₀·exp(−k·y·t).
 *
 * More soot makes the bed hotter, and so does more oxygen while there is enough of it; where a front takes all of it,
 * more may hurry the front away from its heat, and the peak falls by some per cent, as in other packed beds.
 * Without flow nothing burns: the oxygen that stands in the pores is worth some 0.1 g of soot.
 * Units: g, °C, kg/s, %, ppm, s. Valid to 25 g/L of soot; kinetics and wall properties are assumptions of the profile.
 */
export function simulateBurn(
  given: BurnScenario,
  limits: Limits,
  options: BurnOptions = {},
): Result<BurnRun> {
  const assumed = assumptionsOf(given, limits, options);
  return assumed.ok ? success(runFine(assumed.value, options)) : assumed;
}

interface Assumed {
  readonly scenario: BurnScenario;
  readonly assumptions: BurnAssumptions;
}

/** Runs on cells as fine as the fronts ask for. `first` meets the run on the cells that were asked for before it begins. */
function runFine(
  { scenario, assumptions }: Assumed,
  options: BurnOptions,
  first?: (run: BedRun) => void,
): BurnRun {
  const cells = scenario.cells ?? DEFAULT_CELLS;
  for (let finer = 1; ; finer *= 2) {
    const last = 2 * finer > (options.mostFiner ?? MOST_FINER) || 2 * finer * cells > MOST_CELLS;
    const run = new BedRun(scenario, assumptions, options, cells, finer);
    if (finer === 1) first?.(run);
    const burn = run.toEnd();
    if (last || run.widestJumpC <= COARSE_JUMP_C || burn.peakBedC > MOLTEN_C) return burn;
  }
}

/** Another way that a burn takes from a moment on. */
export interface BurnBranch {
  readonly atS: number;
  readonly scenario: BurnScenario;
  /** From its moment on, on the cells that were asked for and no finer; worked out once, when it is asked for. */
  readonly follow: () => BurnRun;
  /** Whether a front was too thin for these cells, on the common way or, once followed, on its own. */
  readonly isCoarse: () => boolean;
}

/** Where other ways leave a burn. */
export interface BurnForks {
  /** Of the soot that is gone, 0–1, in rising order: one that is never reached has no branch. */
  readonly shares: readonly number[];
  readonly to: (atS: number) => BurnScenario;
  readonly until?: BurnOptions['until'];
}

/** Meets a run step by step and keeps the bed wherever a way forks off; says when there is none to come. */
function forking(run: BedRun, startG: number, { shares, to, until }: BurnForks, options: BurnOptions) {
  const { until: _, ...rest } = options;
  const own: BurnOptions = until ? { ...rest, until } : rest;
  const branches: BurnBranch[] = [];
  const meet = (atS: number, sootG: number): boolean => {
    while (branches.length < shares.length) {
      const share = shares[branches.length] as number;
      if (startG === 0 || sootG > (1 - share) * startG) return false;
      const scenario = to(atS);
      const branch = run.branch(scenario, own);
      const commonJumpC = run.widestJumpC;
      let followed: BurnRun | undefined;
      branches.push({
        atS,
        scenario,
        follow: () => (followed ??= branch.toEnd()),
        isCoarse: () => Math.max(commonJumpC, branch.widestJumpC) > COARSE_JUMP_C,
      });
    }
    return true;
  };
  return { branches, meet };
}

/** A burn, and others that leave it: what they have in common is worked out once. */
export function simulateBranching(
  given: BurnScenario,
  limits: Limits,
  options: BurnOptions,
  forks: BurnForks,
): Result<{ readonly run: BurnRun; readonly branches: readonly BurnBranch[] }> {
  const assumed = assumptionsOf(given, limits, options);
  if (!assumed.ok) return assumed;
  let branches: readonly BurnBranch[] = [];
  const run = runFine(assumed.value, options, (common) => {
    const forked = forking(common, assumed.value.scenario.sootG, forks, options);
    branches = forked.branches;
    common.onStep = (timeS, sootG) => {
      forked.meet(timeS, sootG);
    };
  });
  return success({ run, branches });
}

/** As `simulateBranching` where only the branches are asked for: the common way goes no further than to the last of them, on cells as given. */
export function branchesOf(
  given: BurnScenario,
  limits: Limits,
  options: BurnOptions,
  forks: BurnForks,
): Result<readonly BurnBranch[]> {
  const assumed = assumptionsOf(given, limits, options);
  if (!assumed.ok) return assumed;
  const { scenario, assumptions } = assumed.value;
  const common = new BedRun(scenario, assumptions, options, scenario.cells ?? DEFAULT_CELLS, 1);
  const { branches, meet } = forking(common, scenario.sootG, forks, options);
  common.onStep = meet;
  common.toEnd();
  return success(branches);
}
