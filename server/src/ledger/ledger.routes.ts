import { z } from 'zod';
import { entrySchema, idSchema, newEntrySchema } from '@white-ember/core/ledger';
import { memberRoute, type Route } from '../app/route.ts';
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
    handle: async ({ params, body, db, member, res }) => {
      const { entry, created } = await appendEntry(db, member, params.id, body);
      res.status(created ? 201 : 200).json(entry);
      return entry;
    },
  }),
];
