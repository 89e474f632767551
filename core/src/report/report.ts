import { inWords, say, type Said, type Spoken, type Words } from '../words/index.ts';
import type { Advice } from '../contract/index.ts';
import type { FilterGeometry } from '../filter/index.ts';
import { pictureOfJob, type DerivedJob } from '../job/index.ts';
import { happenedAt, type PartState } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import type { VehicleOutlook } from '../outlook/index.ts';
import type { FlowPicture } from '../proof/index.ts';
import { plainSections } from './plainSections.ts';
import { technicalSections } from './technicalSections.ts';

/** Who makes the report, and which version of the work it describes. */
export const SOFTWARE = 'White Ember 0.1.0';

export const REPORT_VERSIONS = ['plain', 'technical'] as const;
/** `plain`: for the customer, in words; `technical`: for the next technician, with every figure and its limit. */
export type ReportVersion = (typeof REPORT_VERSIONS)[number];

/** A line with what it begins with in bold, and the mark of a state before it. */
export interface SaidLine {
  readonly mark?: PartState;
  readonly lead?: Said;
  readonly text: Said;
}

export type SaidBlock =
  | { readonly kind: 'lines'; readonly lines: readonly SaidLine[] }
  | {
      readonly kind: 'table';
      readonly columns: readonly Said[];
      readonly rows: readonly (readonly Said[])[];
      readonly note?: Said;
    }
  | { readonly kind: 'chart'; readonly picture: FlowPicture }
  | { readonly kind: 'photos'; readonly photos: readonly ReportPhoto[] }
  /** Many short lines, set in two columns. */
  | { readonly kind: 'record'; readonly lines: readonly Said[] };

export interface ReportPhoto {
  readonly id: string;
  readonly caption: string;
}

export interface SaidSection {
  readonly title: Said;
  readonly blocks: readonly SaidBlock[];
  /** May stand beside its neighbour. */
  readonly half?: boolean;
}

interface SaidReport {
  readonly version: ReportVersion;
  readonly workshop: string;
  readonly title: string;
  /** Job, date, distance and customer, as far as they are known. */
  readonly about: readonly Said[];
  readonly headline: Said;
  readonly under: Said;
  readonly sections: readonly SaidSection[];
  readonly signedOff: Said;
  readonly software: string;
}

/** A job as it is handed over, in somebody’s words and units: the same for page, paper and PDF. */
export type Report = Spoken<SaidReport>;
export type ReportLine = Spoken<SaidLine>;
export type ReportBlock = Spoken<SaidBlock>;
export type ReportSection = Spoken<SaidSection>;

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
}

/** Photos of a normal report: more would not fit its two pages. */
const MOST_PHOTOS = 4;

/** What a job's ledger comes to, told in the words of whoever reads it. A pure function of the facts, so that page and PDF cannot differ. */
export function reportOf(facts: ReportFacts, version: ReportVersion, words: Words): Report {
  const { derived, vehicle, limits, job } = facts;
  const picture = pictureOfJob(derived, {
    limits,
    ...(vehicle.displacementL === undefined ? {} : { displacementL: vehicle.displacementL }),
    ...(vehicle.filter ? { geometry: vehicle.filter } : {}),
  });
  const photos = derived.entries.flatMap(({ body }): ReportPhoto[] =>
    body.kind === 'photo' ? [{ id: body.photo, caption: body.caption ?? '' }] : [],
  );
  const parts = { facts, picture, photos: photos.slice(0, MOST_PHOTOS) };
  const distance = derived.entries.findLast(
    ({ body }) => body.kind === 'complaint' && body.distanceKm !== undefined,
  );
  const { headline, under, sections } = version === 'plain' ? plainSections(parts) : technicalSections(parts);
  const report: SaidReport = {
    version,
    workshop: facts.workshop,
    title: `${vehicle.plate}, ${vehicle.model}`,
    about: [
      say('report.job', { number: job.number }),
      say('text.date', { at: job.openedAt }),
      ...(distance?.body.kind === 'complaint' && distance.body.distanceKm !== undefined
        ? [say('text.distance', { km: distance.body.distanceKm })]
        : []),
      ...(vehicle.customer ? [vehicle.customer.name] : []),
    ],
    headline,
    under,
    sections,
    signedOff: derived.signedOff
      ? say('report.signed-off', { by: derived.signedOff.authorName, at: happenedAt(derived.signedOff) })
      : say('report.not-signed-off'),
    software: SOFTWARE,
  };
  return inWords(report, words);
}
