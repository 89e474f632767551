import { reportChoiceSchema, reportWords } from '@white-ember/core/report';
import { taskListSchema, tasksQuerySchema } from '@white-ember/core/contract';
import { memberRoute, type Route } from '../http/route.ts';
import { WorkshopEntity } from '../database/entities/member.entity.ts';
import { calendarOf } from './calendar.ts';
import { openTasks } from './task.service.ts';

export const taskRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/tasks',
    access: 'viewer',
    summary: 'What is to be done after jobs and is not done, by its day; of one vehicle, or within some days',
    query: tasksQuerySchema,
    answer: taskListSchema,
    handle: async ({ query: { limit, ...which }, db, workshopId }) => {
      const tasks = await openTasks(db, workshopId, which);
      return { tasks: tasks.slice(0, limit), total: tasks.length };
    },
  }),
  memberRoute({
    method: 'get',
    path: '/api/tasks.ics',
    access: 'viewer',
    summary: 'The same as a calendar (iCalendar), each task that has a day on its day',
    query: tasksQuerySchema.omit({ limit: true }).extend(reportChoiceSchema.omit({ version: true }).shape),
    handle: async ({ query, db, workshopId, res }) => {
      const { name, currency } = await db.manager.findOneByOrFail(WorkshopEntity, { id: workshopId });
      const text = calendarOf(
        await openTasks(db, workshopId, query),
        name,
        reportWords({ ...query, version: 'technical' }, currency),
      );
      res.type('text/calendar; charset=utf-8').attachment('to-do.ics').send(text);
      return undefined;
    },
  }),
];
