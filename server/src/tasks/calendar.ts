import { say, type Words } from '@white-ember/core/words';
import ical, { ICalCalendarMethod } from 'ical-generator';
import type { Task } from '@white-ember/core/contract';

/**
 * Tasks as a calendar, each on its day. An event keeps its name from one calendar to the next, so that a day that moved
 * moves in the calendar, too.
 */
export function calendarOf(tasks: readonly Task[], workshop: string, words: Words, now = new Date()): string {
  const calendar = ical({
    name: words.say(say('text.calendar-name', { workshop })),
    prodId: { company: 'White Ember', product: 'Follow-ups', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const { jobId, key, plate, model, what, why, due, dueKm, estimated, jobNumber, vehicleId } of tasks) {
    if (due === undefined) continue;
    calendar.createEvent({
      id: `${key === 'due' ? vehicleId : jobId}.${key}@white-ember`,
      stamp: now,
      start: new Date(`${due}T00:00:00.000Z`),
      allDay: true,
      summary: `${plate}: ${words.say(what)}`,
      description: [
        say('outlook.calendar-job', { plate, model, jobNumber }),
        ...(why === undefined ? [] : [why]),
        ...(dueKm === undefined ? [] : [say('outlook.at-about', { km: dueKm })]),
        ...(estimated ? [say('outlook.day-is-estimated')] : []),
      ]
        .map((line) => words.say(line))
        .join('\n'),
    });
  }
  return calendar.toString();
}
