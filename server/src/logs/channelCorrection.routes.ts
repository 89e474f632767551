import { z } from 'zod';
import {
  channelCorrectionListSchema,
  channelCorrectionSchema,
  newChannelCorrectionSchema,
} from '@white-ember/core/contract';
import { memberRoute, type Route } from '../http/route.ts';
import { ChannelCorrectionEntity } from '../database/entities/channelCorrection.entity.ts';

const ROWS_AT_ONCE = 500;

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
  memberRoute({
    method: 'post',
    path: '/api/channel-corrections',
    access: 'technician',
    summary:
      'Take over what another workshop said of headings, all or none; what stands here of the same heading is replaced',
    body: channelCorrectionListSchema,
    answer: z.object({ taken: z.number().int() }),
    handle: async ({ body, db, workshopId, member }) => {
      // The last word on a heading stands, as if each had been set in turn.
      const last = new Map(body.corrections.map(({ heading, role }) => [heading, role]));
      const rows = [...last].map(([heading, role]) => ({
        workshopId,
        heading,
        role,
        memberId: member.id,
        setAt: new Date(),
      }));
      await db.transaction(async (manager) => {
        for (let from = 0; from < rows.length; from += ROWS_AT_ONCE)
          await manager.upsert(ChannelCorrectionEntity, rows.slice(from, from + ROWS_AT_ONCE), [
            'workshopId',
            'heading',
          ]);
      });
      return { taken: rows.length };
    },
  }),
];
