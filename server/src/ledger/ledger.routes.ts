import { z } from 'zod';
import { entrySchema, idSchema, newEntrySchema } from '@white-ember/core/ledger';
import { memberRoute, type Route } from '../http/route.ts';
import { sealOutlook } from '../jobs/seals.ts';
import { appendEntry } from './ledger.service.ts';

export const ledgerRoutes: Route[] = [
  memberRoute({
    method: 'post',
    path: '/api/jobs/:id/entries',
    access: 'technician',
    summary: 'Append an entry to a job’s ledger, exactly once however often it is sent',
    params: z.object({ id: idSchema }),
    body: newEntrySchema,
    answer: entrySchema,
    handle: async ({ params, body, db, member, req, res }) => {
      const { entry, created } = await appendEntry(db, member, params.id, body);
      // Stored is stored: what lay ahead is added to the seal, now or when it is asked for.
      if (created && entry.body.kind === 'sign-off')
        await sealOutlook(db, member.workshopId, params.id).catch((error: unknown) =>
          req.log.warn({ err: error, job: params.id }, 'outlook not sealed yet'),
        );
      res.status(created ? 201 : 200).json(entry);
      return entry;
    },
  }),
];
