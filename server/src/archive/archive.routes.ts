import { pipeline } from 'node:stream/promises';
import { z } from 'zod';
import { takenInSchema } from '@white-ember/core/contract';
import { idSchema } from '@white-ember/core/ledger';
import { memberRoute, type Route } from '../http/route.ts';
import { uploadedFile } from '../uploads/uploadTaker.ts';
import { WorkshopEntity } from '../database/entities/member.entity.ts';
import { importArchive } from './importArchive.ts';
import { readingsCsv } from './readingsCsv.ts';
import { writeArchive } from './writeArchive.ts';

/** A name that any file system takes. */
const fileName = (name: string, now: Date, ending: string): string =>
  `${name.replace(/[^A-Za-z0-9]+/g, '-').toLowerCase()}-${now.toISOString().slice(0, 10)}.${ending}`;

const sum = (counts: Readonly<Record<string, number>>): number =>
  Object.values(counts).reduce((all, count) => all + count, 0);

export const archiveRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/workshop/archive',
    access: 'lead',
    summary: 'The whole workshop as a zip of JSON Lines and raw files; passwords are not in it',
    handle: async ({ db, config, workshopId, res }) => {
      const now = new Date();
      const { name } = await db.manager.findOneByOrFail(WorkshopEntity, { id: workshopId });
      const zip = await writeArchive(config.databaseUrl, workshopId, now);
      res.type('application/zip').attachment(fileName(name, now, 'zip'));
      await pipeline(zip, res);
      return undefined;
    },
  }),
  memberRoute({
    method: 'post',
    path: '/api/workshop/archive',
    access: 'lead',
    summary: 'Import an archive into this workshop, all of it or nothing; multipart with `file`',
    answer: takenInSchema,
    upload: 'archive',
    handle: async ({ req, config, readers, workshopId, member }) => {
      const { added, known, renamed } = await importArchive(
        readers,
        config.databaseUrl,
        { workshopId, memberId: member.id },
        uploadedFile(req),
      );
      return {
        added: sum(added),
        known: sum(known),
        vehicles: added.vehicle,
        jobs: added.job,
        files: added.blob,
        people: added.member,
        renamed,
      };
    },
  }),
  memberRoute({
    method: 'get',
    path: '/api/readings.csv',
    access: 'viewer',
    summary: 'Readings that count as a table, a row for each steady sample; of one vehicle where it is named',
    query: z.object({ vehicleId: idSchema.optional() }),
    handle: async ({ query, db, workshopId, res }) => {
      res.type('text/csv; charset=utf-8').attachment(fileName('readings', new Date(), 'csv'));
      await pipeline(readingsCsv(db, workshopId, query.vehicleId), res);
      return undefined;
    },
  }),
];
