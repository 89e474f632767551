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
  readonly section: Section;
  readonly mbar: number;
  /** Of the whole back-pressure, %. */
  readonly percent: number;
}

/**
 * What each section of the line holds back: the pressure that goes when the line is opened ahead of it. With a joint that could
 * not be opened its two sections are told together under the first. Flows must be alike: one engine speed, warm, no load.
 * Worked value: 400 closed, 380 open after the filter, 40 open before it, 0 before the catalyst → behind 20, filter 340,
 * catalyst 40 mbar.
 */
export function sectionShares(readings: SectionReadings): SectionShare[] {
  const { closedMbar, openAfterFilterMbar, openBeforeFilterMbar } = readings;
  const open = readings.openBeforeCatalystMbar ?? 0;
  const beforeFilter = openBeforeFilterMbar;
  const afterFilter = openAfterFilterMbar;
  const pieces: (readonly [Section, number | undefined])[] = [
    ['catalyst', beforeFilter === undefined ? undefined : beforeFilter - open],
    ['filter', afterFilter === undefined ? undefined : afterFilter - (beforeFilter ?? open)],
    ['behind', afterFilter === undefined ? undefined : closedMbar - afterFilter],
  ];
  return pieces.flatMap(([section, mbar]) =>
    mbar === undefined ? [] : [{ section, mbar, percent: closedMbar > 0 ? (100 * mbar) / closedMbar : 0 }],
  );
}
