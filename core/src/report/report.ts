import type { Advice } from '../contract/index.ts';
import type { FilterGeometry } from '../filter/index.ts';
import { pictureOfJob, type DerivedJob } from '../job/index.ts';
import type { PartState } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import type { VehicleOutlook } from '../outlook/index.ts';
import type { FlowPicture } from '../proof/index.ts';
import { plainSections } from './plainSections.ts';
import { technicalSections } from './technicalSections.ts';
import { reportWords, type ReportUnits } from './words.ts';

/** Who makes the report, and which version of the work it describes. */
export const SOFTWARE = 'White Ember 0.1.0';

export const REPORT_VERSIONS = ['plain', 'technical'] as const;
/** `plain`: for the customer, in words; `technical`: for the next technician, with every figure and its limit. */
export type ReportVersion = (typeof REPORT_VERSIONS)[number];

/** A line with what it begins with in bold, and the mark of a state before it. */
export interface ReportLine {
  readonly mark?: PartState;
  readonly lead?: string;
  readonly text: string;
}

export type ReportBlock =
  | { readonly kind: 'lines'; readonly lines: readonly ReportLine[] }
  | {
      readonly kind: 'table';
      readonly columns: readonly string[];
      readonly rows: readonly (readonly string[])[];
      readonly note?: string;
    }
  | { readonly kind: 'chart'; readonly picture: FlowPicture }
  | { readonly kind: 'photos'; readonly photos: readonly ReportPhoto[] }
  /** Many short lines, set in two columns. */
  | { readonly kind: 'record'; readonly lines: readonly string[] };

export interface ReportPhoto {
  readonly id: string;
  readonly caption: string;
}

export interface ReportSection {
  readonly title: string;
  readonly blocks: readonly ReportBlock[];
  /** May stand beside its neighbour. */
  readonly half?: boolean;
}

/** A job as it is handed over: the same for page, paper and PDF. */
export interface Report {
  readonly version: ReportVersion;
  readonly workshop: string;
  readonly title: string;
  /** Job, date, distance and customer, as far as they are known. */
  readonly about: readonly string[];
  readonly headline: string;
  readonly under: string;
  readonly sections: readonly ReportSection[];
  readonly signedOff: string;
  readonly software: string;
}

export interface ReportFacts {
  readonly derived: DerivedJob;
  readonly job: { readonly number: number; readonly openedAt: string };
  readonly vehicle: {
    readonly plate: string;
    readonly model: string;
    readonly displacementL?: number | undefined;
    readonly filter?: (FilterGeometry & { readonly basis: string }) | undefined;
    readonly customer?: { readonly name: string } | undefined;
  };
  readonly workshop: string;
  readonly limits: Limits;
  /** What was worked out of a job that is not over yet. */
  readonly advice?: Advice | undefined;
  /** What is ahead of the vehicle, where it is known. */
  readonly told?: VehicleOutlook | undefined;
  readonly limitsProfile?: { readonly family?: string | undefined; readonly version: number } | undefined;
  readonly units: ReportUnits;
  /** In which times and dates are stated, as “Europe/London”; that of the machine where it is not said. */
  readonly timeZone?: string | undefined;
}

/** Photos of a normal report: more would not fit its two pages. */
const MOST_PHOTOS = 4;

/** What a job's ledger comes to, told for whoever reads it. A pure function of the facts, so that page and PDF cannot differ. */
export function reportOf(facts: ReportFacts, version: ReportVersion): Report {
  const { derived, vehicle, limits, job } = facts;
  const words = reportWords(facts.units, facts.timeZone);
  const picture = pictureOfJob(derived, {
    limits,
    ...(vehicle.displacementL === undefined ? {} : { displacementL: vehicle.displacementL }),
    ...(vehicle.filter ? { geometry: vehicle.filter } : {}),
  });
  const photos = derived.entries.flatMap(({ body }): ReportPhoto[] =>
    body.kind === 'photo' ? [{ id: body.photo, caption: body.caption ?? '' }] : [],
  );
  const parts = { facts, words, picture, photos: photos.slice(0, MOST_PHOTOS) };
  const distance = derived.entries.findLast(
    ({ body }) => body.kind === 'complaint' && body.distanceKm !== undefined,
  );
  const { headline, under, sections } = version === 'plain' ? plainSections(parts) : technicalSections(parts);
  return {
    version,
    workshop: facts.workshop,
    title: `${vehicle.plate}, ${vehicle.model}`,
    about: [
      `Job ${job.number}`,
      words.date(job.openedAt),
      ...(distance?.body.kind === 'complaint' && distance.body.distanceKm !== undefined
        ? [words.distance(distance.body.distanceKm)]
        : []),
      ...(vehicle.customer ? [vehicle.customer.name] : []),
    ],
    headline,
    under,
    sections,
    signedOff: derived.signedOff
      ? `Signed off: ${derived.signedOff.authorName}, ${words.moment(derived.signedOff)}`
      : 'Not signed off',
    software: SOFTWARE,
  };
}
