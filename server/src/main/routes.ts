import { z } from 'zod';
import { archiveRoutes } from '../archive/archive.routes.ts';
import { customerRoutes } from '../customers/customer.routes.ts';
import { fleetRoutes } from '../fleet/fleet.routes.ts';
import { filterModelRoutes } from '../filters/filterModel.routes.ts';
import { fluidRoutes } from '../fluids/fluid.routes.ts';
import { handOverRoutes } from '../handOver/handOver.routes.ts';
import { jobRoutes } from '../jobs/job.routes.ts';
import { ledgerRoutes } from '../ledger/ledger.routes.ts';
import { limitsRoutes } from '../limits/limits.routes.ts';
import { channelCorrectionRoutes } from '../logs/channelCorrection.routes.ts';
import { logRoutes } from '../logs/log.routes.ts';
import { accountRoutes } from '../people/account.routes.ts';
import { peopleRoutes } from '../people/people.routes.ts';
import { sessionRoutes } from '../people/session.routes.ts';
import { outlookRoutes } from '../outlook/outlook.routes.ts';
import { familyRoutes } from '../notebook/family.routes.ts';
import { photoRoutes } from '../photos/photo.routes.ts';
import { reportRoutes } from '../report/report.routes.ts';
import { taskRoutes } from '../tasks/task.routes.ts';
import { uploadRoutes } from '../uploads/upload.routes.ts';
import { vehicleRoutes } from '../vehicles/vehicle.routes.ts';
import { openApiRoute } from '../http/openapi.ts';
import { publicRoute, type Route } from '../http/route.ts';

const healthRoute = publicRoute({
  method: 'get',
  path: '/api/health',
  summary: 'Whether the server and its database answer',
  answer: z.object({ ok: z.boolean() }),
  handle: async ({ db }) => {
    await db.query('SELECT 1');
    return { ok: true };
  },
});

/** Every route there is. What is not in this list does not exist. */
export const ALL_ROUTES: readonly Route[] = [
  healthRoute,
  openApiRoute(() => ALL_ROUTES),
  ...sessionRoutes,
  ...accountRoutes,
  ...peopleRoutes,
  ...customerRoutes,
  ...filterModelRoutes,
  ...fluidRoutes,
  ...vehicleRoutes,
  ...limitsRoutes,
  ...jobRoutes,
  ...ledgerRoutes,
  ...uploadRoutes,
  ...logRoutes,
  ...channelCorrectionRoutes,
  ...photoRoutes,
  ...reportRoutes,
  ...handOverRoutes,
  ...familyRoutes,
  ...outlookRoutes,
  ...fleetRoutes,
  ...taskRoutes,
  ...archiveRoutes,
];
