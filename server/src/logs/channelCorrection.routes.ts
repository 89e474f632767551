import { z } from 'zod';
import { channelCorrectionSchema, newChannelCorrectionSchema } from '@white-ember/core/contract';
import { memberRoute, type Route } from '../app/route.ts';
import { ChannelCorrectionEntity } from './channelCorrection.entity.ts';

export const channelCorrectionRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/channel-corrections',
    access: 'viewer',
    summary: 'What the workshop said that headings of recorded logs are',
    answer: z.array(channelCorrectionSchema),
    handle: async ({ db, workshopId }) => {
      const rows = await db.manager.find(ChannelCorrectionEntity, {
        where: { workshopId },
        order: { heading: 'ASC' },
      });
      return rows.map(({ heading, role }) => ({ heading, role }));
    },
  }),
  memberRoute({
    method: 'put',
    path: '/api/channel-corrections',
    access: 'technician',
    summary: 'Remember what a heading is, for every later log; without a role it is forgotten',
    body: newChannelCorrectionSchema,
    answer: newChannelCorrectionSchema,
    handle: async ({ body, db, workshopId, member }) => {
      const { heading, role } = body;
      if (role === undefined) await db.manager.delete(ChannelCorrectionEntity, { workshopId, heading });
      else {
        await db.manager.upsert(
          ChannelCorrectionEntity,
          { workshopId, heading, role, memberId: member.id, setAt: new Date() },
          ['workshopId', 'heading'],
        );
      }
      return body;
    },
  }),
];
