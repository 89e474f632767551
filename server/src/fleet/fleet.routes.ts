import { fleetCausesSchema, fleetPageSchema, fleetQuerySchema } from '@white-ember/core/contract';
import { memberRoute, type Route } from '../http/route.ts';
import { fleetCauses, fleetPage } from './fleet.service.ts';

export const fleetRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/fleet',
    access: 'viewer',
    summary: 'Vehicles with their outlook: who is due next, or who is likeliest to come back',
    query: fleetQuerySchema,
    answer: fleetPageSchema,
    handle: ({ query, db, workshopId }) => fleetPage(db, workshopId, query),
  }),
  memberRoute({
    method: 'get',
    path: '/api/fleet/causes',
    access: 'viewer',
    summary: 'Causes that were found by engine family, and cleans that did not hold and why',
    answer: fleetCausesSchema,
    handle: ({ db, workshopId }) => fleetCauses(db, workshopId),
  }),
];
