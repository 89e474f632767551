import type { DataSource } from 'typeorm';
import type { Job } from '@white-ember/core/contract';
import { deriveJob, sealedLimits, unsealJob, vehicleFactsOf } from '@white-ember/core/job';
import type { VehicleOutlook } from '@white-ember/core/outlook';
import { reportOf, type Report, type ReportChoice } from '@white-ember/core/report';
import { readBlob } from '../blobs/blob.service.ts';
import { presentJob } from '../jobs/job.service.ts';
import { limitsOf } from '../limits/limits.service.ts';
import { vehicleOutlook } from '../outlook/outlook.service.ts';
import { WorkshopEntity } from '../people/member.entity.ts';
import { PhotoEntity } from '../photos/photo.entity.ts';
import { isPrintable } from './printablePhoto.ts';
import { reportPdf } from './reportPdf.ts';

/** A job’s report as it is told to somebody. */
export interface JobReport {
  readonly job: Job;
  readonly report: Report;
  /** A name for its PDF that any file system takes. */
  readonly fileName: string;
}

export async function readJobReport(
  db: DataSource,
  workshopId: string,
  jobId: string,
  choice: ReportChoice,
): Promise<JobReport> {
  const job = await presentJob(db.manager, workshopId, jobId);
  const workshop = await db.manager.findOneByOrFail(WorkshopEntity, { id: workshopId });
  const plate = job.vehicle.plate.replace(/[^A-Za-z0-9]+/g, '-');
  return {
    job,
    report: reportOfJob(
      job,
      workshop.name,
      choice,
      job.seal?.told ?? (await vehicleOutlook(db, workshopId, job.vehicle.id)),
    ),
    fileName: `${plate}-job-${job.number}-${choice.version}.pdf`,
  };
}

/** A job's report as core tells it; of a sealed job as it was told then. */
function reportOfJob(job: Job, workshop: string, choice: ReportChoice, told: VehicleOutlook): Report {
  const { vehicle, limitsProfile, seal, entries, nextJob } = job;
  const limits = seal ? sealedLimits(seal) : limitsOf(limitsProfile);
  const { pressure, temperature, distance } = choice;
  const visited = nextJob ? { nextJob } : {};
  return reportOf(
    {
      derived: seal
        ? unsealJob(seal, entries, { pressureUnit: pressure, ...visited })
        : deriveJob({ entries, limits, pressureUnit: pressure, ...vehicleFactsOf(vehicle), ...visited }),
      job,
      vehicle,
      workshop: seal?.workshop ?? workshop,
      limits,
      limitsProfile,
      told,
      units: { pressure, temperature, distance },
      timeZone: choice.timeZone,
    },
    choice.version,
  );
}

/** The photos that a report shows. */
export const photosOf = (report: Report): string[] =>
  report.sections.flatMap(({ blocks }) =>
    blocks.flatMap((block) => (block.kind === 'photos' ? block.photos.map(({ id }) => id) : [])),
  );

const LARGEST_PHOTO = 6 * 1024 * 1024;

/** Photos as data of the file; one that a PDF cannot hold stays with the job. */
async function imagesOf(db: DataSource, workshopId: string, report: Report): Promise<Map<string, string>> {
  const images = new Map<string, string>();
  for (const id of photosOf(report)) {
    const row = await db.manager.findOneBy(PhotoEntity, { id, workshopId });
    if (!row) continue;
    const pieces: Buffer[] = [];
    let size = 0;
    for await (const piece of readBlob(db, row.blobId)) {
      size += piece.length;
      if (size > LARGEST_PHOTO) break;
      pieces.push(Buffer.from(piece));
    }
    const bytes = Buffer.concat(pieces);
    if (size <= LARGEST_PHOTO && (await isPrintable(bytes, row.mediaType)))
      images.set(id, `data:${row.mediaType};base64,${bytes.toString('base64')}`);
  }
  return images;
}

/** The report as PDF: a stream that begins when it is ended. */
export const pdfOf = async (
  db: DataSource,
  workshopId: string,
  report: Report,
  pressure: ReportChoice['pressure'],
): Promise<ReturnType<typeof reportPdf>> =>
  reportPdf(report, pressure, await imagesOf(db, workshopId, report));
