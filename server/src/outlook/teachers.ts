import { setImmediate as nextTurn } from 'node:timers/promises';
import type { EntityManager } from 'typeorm';
import type { Limits } from '@white-ember/core/limits';
import {
  assumedGrowth,
  learningGrowth,
  stretchesOf,
  type GrowthPrior,
  type Stretch,
  type Visit,
} from '@white-ember/core/outlook';

/** So many vehicles of a family teach how fast its filters fill: more would not change it. */
const MOST_TEACHERS = 100;
/** With more vehicles than these one of them does not change what its kind teaches, and what was learned is kept. */
const FEW_TEACHERS = 40;
/** Of a large family it is learned anew when so much of it has changed. */
const LEARN_AGAIN_SHARE = 0.1;

/** An engine family of a workshop, and how often the visits of its vehicles have changed. */
export interface Family {
  readonly workshopId: string;
  readonly name: string;
  readonly vehicles: number;
  readonly changes: number;
}

/** Whether each vehicle of it counts. */
export const isSmall = ({ vehicles }: Family): boolean => vehicles <= FEW_TEACHERS;

/** Whether what was made from an older state of a family has to be made anew. */
export const hasMoved = (family: Family, madeFrom: number | null): boolean =>
  madeFrom === null ||
  family.changes - madeFrom > (isSmall(family) ? 0 : LEARN_AGAIN_SHARE * (family.vehicles + family.changes));

/** The visits of vehicles in the order of time; jobs whose visit was not worked out yet are not among them. */
export async function keptVisits(
  manager: EntityManager,
  workshopId: string,
  vehicleIds: readonly string[],
): Promise<Map<string, Visit[]>> {
  const rows = await manager.query<{ vehicle_id: string; visits: Visit[] }[]>(
    `SELECT vehicle_id, jsonb_agg(visit ORDER BY opened_at, id) AS visits FROM job
      WHERE workshop_id = $1 AND vehicle_id = ANY($2::uuid[]) AND visit IS NOT NULL GROUP BY vehicle_id`,
    [workshopId, vehicleIds],
  );
  return new Map(rows.map(({ vehicle_id, visits }) => [vehicle_id, visits]));
}

/** What the vehicles of a family teach about each other. */
export class Teachers {
  #stretches: Map<string, Stretch[]> | undefined;
  #all: GrowthPrior | undefined;
  constructor(
    private readonly manager: EntityManager,
    readonly family: Family,
    readonly limits: Limits,
  ) {}

  /** How fast filters of the kind fill up, for a vehicle: its own stretches are counted in its outlook, not here as well. */
  async growthFor(vehicleId: string): Promise<GrowthPrior> {
    if (!isSmall(this.family)) return (this.#all ??= await this.#kept());
    const stretches = await this.#read();
    if ((stretches.get(vehicleId) ?? []).length === 0)
      return (this.#all ??= await this.#learn([...stretches.values()]));
    return this.#learn([...stretches].filter(([id]) => id !== vehicleId).map(([, its]) => its));
  }

  async #learn(stretches: readonly (readonly Stretch[])[]): Promise<GrowthPrior> {
    const turns = learningGrowth(stretches, assumedGrowth(this.limits), this.limits);
    for (;;) {
      const turn = turns.next();
      if (turn.done) return turn.value;
      await nextTurn();
    }
  }

  async #read(): Promise<Map<string, Stretch[]>> {
    if (this.#stretches) return this.#stretches;
    const { workshopId, name } = this.family;
    const ids = await this.manager.query<{ id: string }[]>(
      `SELECT id FROM vehicle WHERE workshop_id = $1 AND family = $2 ORDER BY id DESC LIMIT ${MOST_TEACHERS}`,
      [workshopId, name],
    );
    const visits = await keptVisits(
      this.manager,
      workshopId,
      ids.map(({ id }) => id),
    );
    this.#stretches = new Map([...visits].map(([id, its]) => [id, stretchesOf(its)]));
    return this.#stretches;
  }

  /** What was learned last, as long as little of it has changed. */
  async #kept(): Promise<GrowthPrior> {
    const { workshopId, name, changes } = this.family;
    const [row] = await this.manager.query<{ growth: GrowthPrior; learned_from: number }[]>(
      'SELECT growth, learned_from FROM family_growth WHERE workshop_id = $1 AND family = $2',
      [workshopId, name],
    );
    if (row && !hasMoved(this.family, row.learned_from)) return row.growth;
    const growth = await this.#learn([...(await this.#read()).values()]);
    await this.manager.query(
      `INSERT INTO family_growth (workshop_id, family, growth, learned_from) VALUES ($1, $2, $3, $4)
       ON CONFLICT (workshop_id, family) DO UPDATE SET growth = $3, learned_from = $4`,
      [workshopId, name, growth, changes],
    );
    return growth;
  }
}
