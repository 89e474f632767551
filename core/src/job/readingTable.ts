import { effectiveEntries, entriesOfKind, happenedAt, type Entry, type EntryKind } from '../ledger/index.ts';
import { intakeOf } from '../diagnosis/index.ts';

/** Entries that a job's readings are told from. */
export const READING_TABLE_KINDS: readonly EntryKind[] = ['complaint', 'reading', 'withdrawn'];

/** A job whose readings are wanted, with its vehicle. */
export interface ReadJob {
  readonly number: number;
  readonly openedAt: string;
  readonly plate: string;
  readonly model: string;
  readonly family: string;
  readonly entries: readonly Entry[];
}

export const READING_COLUMNS = [
  'plate',
  'model',
  'family',
  'job',
  'job_opened_at',
  'distance_km',
  'read_at',
  'purpose',
  'origin',
  'file',
  'kind',
  'rpm',
  'dp_mbar',
  'dp_sd_mbar',
  'count',
  'air_mass_g_per_s',
  'manifold_mbar_absolute',
  'intake_air_c',
  'filter_c',
  'egt1_c',
  'egt2_c',
  'egt3_c',
  'egt4_c',
  'coolant_c',
  'barometer_mbar',
  'soot_counter_g',
  'author',
  'note',
] as const;
export type ReadingRow = Readonly<Record<(typeof READING_COLUMNS)[number], string | number | undefined>>;

/** The readings of a job that count, a row for each steady sample, in base units; what was not read is absent. */
export function readingTable({
  number,
  openedAt,
  plate,
  model,
  family,
  entries: all,
}: ReadJob): ReadingRow[] {
  const entries = effectiveEntries(all);
  const { distanceKm } = intakeOf(entries);
  return entriesOfKind(entries, 'reading').flatMap((entry) => {
    const { body, authorName } = entry;
    return body.samples.map((sample): ReadingRow => ({
      plate,
      model,
      family,
      job: number,
      job_opened_at: openedAt,
      distance_km: distanceKm,
      read_at: new Date(happenedAt(entry)).toISOString(),
      purpose: body.purpose,
      origin: body.origin.type,
      file: body.origin.type === 'log' ? body.origin.fileName : undefined,
      kind: sample.kind,
      rpm: sample.rpm,
      dp_mbar: sample.dpMbar,
      dp_sd_mbar: sample.dpSdMbar,
      count: sample.count,
      air_mass_g_per_s: sample.airMassGPerS,
      manifold_mbar_absolute: sample.manifoldMbar,
      intake_air_c: sample.intakeAirC,
      filter_c: sample.filterC,
      egt1_c: sample.egt1C,
      egt2_c: sample.egt2C,
      egt3_c: sample.egt3C,
      egt4_c: sample.egt4C,
      coolant_c: sample.coolantC,
      barometer_mbar: body.barometerMbar,
      soot_counter_g: body.sootCounterG,
      author: authorName,
      note: body.note,
    }));
  });
}
