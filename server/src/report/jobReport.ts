import type { Words } from '@white-ember/core/words';
import type { DataSource } from 'typeorm';
import type { Advice, Job } from '@white-ember/core/contract';
import { deriveJob, sealedLimits, unsealJob, vehicleFactsOf } from '@white-ember/core/job';
import type { VehicleOutlook } from '@white-ember/core/outlook';
import { reportOf, reportWords, type Report, type ReportChoice } from '@white-ember/core/report';
import { Refusal } from '../http/problem.ts';
import { adviceNow } from '../judging/advisor.ts';
import { presentJob } from '../jobs/job.service.ts';
import { limitsOf } from '../judging/limitsInForce.ts';
import { vehicleOutlook } from '../outlook/outlook.service.ts';
import { WorkshopEntity, type Workshop } from '../database/entities/member.entity.ts';
import { photoCopy } from '../photos/photo.service.ts';
import type { FileReaders } from '../reading/fileReaders.ts';
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
      workshop,
      choice,
      job.seal?.told ?? (await vehicleOutlook(db, workshopId, job.vehicle.id)),
      job.seal ? undefined : await adviceNow(db.manager, job.id),
    ),
    fileName: `${plate}-job-${job.number}-${choice.version}.pdf`,
  };
}

/** A job's report as core tells it; of a sealed job as it was told then. */
function reportOfJob(
  job: Job,
  workshop: Workshop,
  choice: ReportChoice,
  told: VehicleOutlook,
  advice?: Advice,
): Report {
  const { vehicle, limitsProfile, seal, entries, nextJob } = job;
  const limits = seal ? sealedLimits(seal) : limitsOf(limitsProfile);
  const visited = nextJob ? { nextJob } : {};
  return reportOf(
    {
      derived: seal
        ? unsealJob(seal, entries, { pressure: choice.pressure, ...visited })
        : deriveJob({ entries, limits, ...vehicleFactsOf(vehicle), ...visited }),
      job,
      vehicle,
      workshop: seal?.workshop ?? workshop.name,
      limits,
      limitsProfile,
      told,
      ...(advice ? { advice } : {}),
    },
    choice.version,
    reportWords(choice, workshop.currency),
  );
}

/** The photos that a report shows. */
export const photosOf = (report: Report): string[] =>
  report.sections.flatMap(({ blocks }) =>
    blocks.flatMap((block) => (block.kind === 'photos' ? block.photos.map(({ id }) => id) : [])),
  );

/** Photos as data of the file; one that cannot be shown stays with the job. */
async function imagesOf(
  db: DataSource,
  readers: FileReaders,
  workshopId: string,
  report: Report,
): Promise<Map<string, string>> {
  const images = new Map<string, string>();
  for (const id of photosOf(report)) {
    try {
      const { mediaType, bytes } = await photoCopy(db, readers, { id, workshopId }, 'print');
      const pieces: Buffer[] = [];
      for await (const piece of bytes) pieces.push(piece);
      images.set(id, `data:${mediaType};base64,${Buffer.concat(pieces).toString('base64')}`);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
    }
  }
  return images;
}

/** The report as PDF: a stream that begins when it is ended. */
export const pdfOf = async (
  db: DataSource,
  readers: FileReaders,
  workshopId: string,
  report: Report,
  words: Words,
): Promise<ReturnType<typeof reportPdf>> =>
  reportPdf(report, words, await imagesOf(db, readers, workshopId, report));
