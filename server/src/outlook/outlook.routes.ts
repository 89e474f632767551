import { z } from 'zod';
import { idSchema } from '@white-ember/core/ledger';
import { vehicleOutlookSchema } from '@white-ember/core/outlook';
import { memberRoute, type Route } from '../http/route.ts';
import { vehicleOutlook } from './outlook.service.ts';

export const outlookRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/vehicles/:id/outlook',
    access: 'viewer',
    summary: 'What the jobs of a vehicle read, when it is due again with an 80 % interval, and its ash line',
    params: z.object({ id: idSchema }),
    answer: vehicleOutlookSchema,
    handle: ({ params, db, workshopId }) => vehicleOutlook(db, workshopId, params.id),
  }),
];
