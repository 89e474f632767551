export const SECTIONS = ['catalyst', 'filter', 'behind'] as const;
export type Section = (typeof SECTIONS)[number];

/** Gauge after the turbine at one engine speed, mbar above the air: the line closed, then open at one joint after the other. */
export interface SectionReadings {
  readonly closedMbar: number;
  readonly openAfterFilterMbar?: number;
  readonly openBeforeFilterMbar?: number;
  readonly openBeforeCatalystMbar?: number;
}

export interface SectionShare {
  /** All that lies between two joints that were opened, from the engine outward. */
  readonly sections: readonly Section[];
  readonly mbar: number;
  /** Of the whole back-pressure, %. */
  readonly percent: number;
}

/**
 * What the line holds back between each two joints that were opened: the pressure that goes from the one to the next. What lies between
 * two opened joints is told together, until a joint between is opened. Ahead of the catalyst nothing is left. Flows must be alike:
 * one engine speed, warm, no load.
 * Worked value: 400 closed, 380 open after the filter, 40 open before it, 0 before the catalyst → behind 20, filter 340,
 * catalyst 40 mbar; without the joint before the filter: catalyst and filter 380, behind 20.
 */
export function sectionShares(readings: SectionReadings): SectionShare[] {
  const { closedMbar } = readings;
  const opened: readonly (readonly [Section, number | undefined])[] = [
    ['behind', readings.openAfterFilterMbar],
    ['filter', readings.openBeforeFilterMbar],
    ['catalyst', readings.openBeforeCatalystMbar],
  ];
  if (opened.every(([, mbar]) => mbar === undefined)) return [];
  const shares: SectionShare[] = [];
  let since: Section[] = [];
  let before = closedMbar;
  for (const [section, left] of opened) {
    since = [section, ...since];
    if (left === undefined && section !== 'catalyst') continue;
    const mbar = before - (left ?? 0);
    shares.unshift({ sections: since, mbar, percent: closedMbar > 0 ? (100 * mbar) / closedMbar : 0 });
    since = [];
    before = left ?? 0;
  }
  return shares;
}
