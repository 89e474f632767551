import { pipeline } from 'node:stream/promises';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { deriveJob } from '@white-ember/core/job';
import { idSchema } from '@white-ember/core/ledger';
import { DEFAULT_LIMITS, resolveLimits } from '@white-ember/core/limits';
import type { Unit } from '@white-ember/core/quantities';
import {
  REPORT_VERSIONS,
  reportOf,
  type Report,
  type ReportUnits,
  type ReportVersion,
} from '@white-ember/core/report';
import type { Job } from '@white-ember/core/contract';
import { memberRoute, type Route } from '../app/route.ts';
import { readBlob } from '../blobs/blob.service.ts';
import { presentJob } from '../jobs/job.service.ts';
import { WorkshopEntity } from '../people/member.entity.ts';
import { PhotoEntity } from '../photos/photo.entity.ts';
import { isPrintable } from './printablePhoto.ts';
import { reportPdf } from './reportPdf.ts';

const PRESSURES = ['mbar', 'hPa', 'kPa', 'psi', 'inHg', 'bar'] as const satisfies readonly Unit[];

const zoneSchema = z.string().max(60).refine(isTimeZone, 'must be a time zone, as Europe/London');

/** Whether this machine knows a zone of time. */
function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

const reportQuerySchema = z.object({
  version: z.enum(REPORT_VERSIONS).default('technical'),
  pressure: z.enum(PRESSURES).default('mbar'),
  temperature: z.enum(['degC', 'degF']).default('degC'),
  distance: z.enum(['km', 'mi']).default('km'),
  timeZone: zoneSchema.optional(),
});

const LARGEST_PHOTO = 6 * 1024 * 1024;

/** The photos that a report shows, as data of the file; one that a PDF cannot hold stays with the job. */
async function imagesOf(db: DataSource, workshopId: string, report: Report): Promise<Map<string, string>> {
  const wanted = report.sections.flatMap(({ blocks }) =>
    blocks.flatMap((block) => (block.kind === 'photos' ? block.photos.map(({ id }) => id) : [])),
  );
  const images = new Map<string, string>();
  for (const id of wanted) {
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

/** A job's report as core tells it. */
export function reportOfJob(
  job: Job,
  workshop: string,
  version: ReportVersion,
  units: ReportUnits,
  timeZone: string | undefined,
): Report {
  const { vehicle, limitsProfile } = job;
  const resolved = limitsProfile ? resolveLimits(limitsProfile.overrides) : undefined;
  const limits = resolved?.ok ? resolved.value : DEFAULT_LIMITS;
  return reportOf(
    {
      derived: deriveJob({
        entries: job.entries,
        limits,
        fitted: vehicle.fitted,
        pressureUnit: units.pressure,
        ...(vehicle.displacementL === undefined ? {} : { displacementL: vehicle.displacementL }),
        ...(vehicle.filter ? { geometry: vehicle.filter } : {}),
        ...(job.nextJob ? { nextJob: job.nextJob } : {}),
      }),
      job,
      vehicle,
      workshop,
      limits,
      limitsProfile,
      units,
      timeZone,
    },
    version,
  );
}

/** A name that any file system takes. */
const fileName = ({ number, vehicle }: Job, version: ReportVersion): string =>
  `${vehicle.plate.replace(/[^A-Za-z0-9]+/g, '-')}-job-${number}-${version}.pdf`;

export const reportRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/jobs/:id/report.pdf',
    access: 'viewer',
    summary: 'The report of a job as PDF, for the next technician or for the customer',
    params: z.object({ id: idSchema }),
    query: reportQuerySchema,
    handle: async ({ params, query, db, workshopId, res }) => {
      const job = await presentJob(db.manager, workshopId, params.id);
      const workshop = await db.manager.findOneByOrFail(WorkshopEntity, { id: workshopId });
      const { version, pressure, temperature, distance, timeZone } = query;
      const units: ReportUnits = { pressure, temperature, distance };
      const report = reportOfJob(job, workshop.name, version, units, timeZone);
      const pdf = reportPdf(report, pressure, await imagesOf(db, workshopId, report));
      res.type('application/pdf');
      res.set('content-disposition', `inline; filename="${fileName(job, version)}"`);
      pdf.end();
      await pipeline(pdf, res);
    },
  }),
];
