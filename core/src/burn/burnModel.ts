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
const MOST_FINER = 8;
const MOST_CELLS = 960;

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

function assumptionsOf(
  given: BurnScenario,
  limits: Limits,
  options: BurnOptions,
): Result<{ readonly scenario: BurnScenario; readonly assumptions: BurnAssumptions }> {
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
  if (!assumed.ok) return assumed;
  const { scenario, assumptions } = assumed.value;
  const cells = scenario.cells ?? DEFAULT_CELLS;
  for (let finer = 1; ; finer *= 2) {
    const last = 2 * finer > (options.mostFiner ?? MOST_FINER) || 2 * finer * cells > MOST_CELLS;
    const run = new BedRun(scenario, assumptions, options, cells, finer);
    const burn = run.toEnd();
    if (last || run.widestJumpC <= COARSE_JUMP_C || burn.peakBedC > MOLTEN_C) return success(burn);
  }
}

/** Another way that a burn takes from a moment on. */
export interface BurnBranch {
  readonly atS: number;
  /** The same as the burn that it leaves until then. */
  readonly scenario: BurnScenario;
}

export interface BranchRun {
  /** From its moment on. */
  readonly run: BurnRun;
  /** Whether a front was too thin for the grid, on the common way or on its own. */
  readonly coarse: boolean;
}

/**
 * Burns that leave one and the same burn at several moments, in the order of these, on the grid that was asked for and no finer: what they have in
 * common is worked out once.
 */
export function simulateBranches(
  given: BurnScenario,
  limits: Limits,
  options: BurnOptions,
  branches: readonly BurnBranch[],
): Result<readonly BranchRun[]> {
  const assumed = assumptionsOf(given, limits, options);
  if (!assumed.ok) return assumed;
  const { scenario, assumptions } = assumed.value;
  const { until: _, ...rest } = options;
  const cells = scenario.cells ?? DEFAULT_CELLS;
  // Of the common way only the end of each piece is wanted: points of a series would shorten its steps.
  const trunk = new BedRun(scenario, assumptions, { ...rest, points: 1 }, cells, 1);
  return success(
    branches
      .toSorted((a, b) => a.atS - b.atS)
      .map((branch) => {
        trunk.advanceTo(branch.atS);
        const own = trunk.branch(branch.scenario, options);
        const run = own.toEnd();
        return { run, coarse: Math.max(trunk.widestJumpC, own.widestJumpC) > COARSE_JUMP_C };
      }),
  );
}
