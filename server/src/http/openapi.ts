import { createDocument } from 'zod-openapi';
import { z } from 'zod';
import { problemSchema } from '@white-ember/core/contract';
import { publicRoute, type Route } from './route.ts';

const pathOf = (route: Route): string => route.path.replace(/:(\w+)/g, '{$1}');

/** OpenAPI 3.1 from the same declarations and schemas that the server runs on. */
export function describeApi(routes: readonly Route[]): object {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const route of routes) {
    const problem = {
      description: 'Refused, with the reason',
      content: { 'application/problem+json': { schema: problemSchema } },
    };
    const status = String(route.status ?? (route.answer ? 200 : 204));
    const body = route.upload
      ? {
          content: {
            'multipart/form-data': {
              schema: z.object({ file: z.string().meta({ format: 'binary' }), fields: z.string() }),
            },
          },
        }
      : route.body
        ? { content: { 'application/json': { schema: route.body } } }
        : undefined;
    (paths[pathOf(route)] ??= {})[route.method] = {
      summary: route.summary,
      'x-access': route.access,
      ...(route.access === 'public' ? {} : { security: [{ session: [] }] }),
      ...(route.params || route.query
        ? {
            requestParams: {
              ...(route.params ? { path: route.params } : {}),
              ...(route.query ? { query: route.query } : {}),
            },
          }
        : {}),
      ...(body ? { requestBody: body } : {}),
      responses: {
        [status]: {
          description: 'Done',
          ...(route.answer ? { content: { 'application/json': { schema: route.answer } } } : {}),
        },
        '400': problem,
        ...(route.access === 'public'
          ? {}
          : { '401': problem, '403': problem, '404': problem, '409': problem }),
      },
    };
  }
  return createDocument({
    openapi: '3.1.0',
    info: {
      title: 'White Ember',
      version: '0.1.0',
      description: 'Writes carry a client-made UUIDv7 and may be repeated.',
    },
    components: { securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'white-ember' } } },
    paths: paths,
  });
}

export function openApiRoute(routes: () => readonly Route[]): Route {
  let document: object | undefined;
  return publicRoute({
    method: 'get',
    path: '/api/openapi.json',
    summary: 'This document',
    answer: z.looseObject({}),
    handle: async () => (document ??= describeApi(routes())) as Record<string, unknown>,
  });
}
