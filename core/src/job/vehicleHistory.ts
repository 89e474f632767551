import { say, type Said } from '../words/index.ts';
import type { VehicleHistory } from '../contract/index.ts';
import { effectiveEntries, happenedAt, type BodyOf, type Entry, type EntryKind } from '../ledger/index.ts';
import { openMatters } from './openMatters.ts';

/** What a job tells of parts and remarks; no other entries of it are needed. */
export const HISTORY_KINDS: readonly EntryKind[] = [
  'part-changed',
  'work',
  'temporary-repair',
  'part-broke',
  'settled',
  'note',
  'family-note',
  'withdrawn',
];

const CONDITIONS: Readonly<Record<BodyOf<'part-changed'>['condition'], Said>> = {
  new: 'new',
  used: 'used',
  pattern: say('job.another-makers'),
  unknown: '',
};
const EFFECTS: Readonly<Record<BodyOf<'part-changed'>['effect'], Said>> = {
  cured: say('job.cured'),
  better: say('job.made-it-better'),
  none: say('job.changed-nothing'),
  worse: say('job.made-it-worse'),
  unknown: '',
};

const joined = (parts: readonly (Said | undefined)[]): Said[] =>
  parts.filter((part): part is Said => part !== undefined && part !== '');

/** What was fitted to a vehicle and what was remarked about it; jobs in any order, the latest comes first. */
export function vehicleHistory(
  jobs: readonly { readonly id: string; readonly number: number; readonly entries: readonly Entry[] }[],
): VehicleHistory {
  const parts: VehicleHistory['parts'] = [];
  const notes: VehicleHistory['notes'] = [];
  for (const { id: jobId, number, entries: all } of jobs) {
    const entries = effectiveEntries(all);
    const open = new Set(openMatters(entries).map(({ entry }) => entry.id));
    for (const entry of entries) {
      const { body } = entry;
      const from = { jobId, number, at: new Date(happenedAt(entry)).toISOString() };
      const part = (what: Said, details: readonly Said[], temporary = false): void => {
        parts.push({ ...from, what, details: [...details], temporary });
      };
      if (body.kind === 'part-changed')
        part(
          body.what,
          joined([
            body.where === 'elsewhere' ? `elsewhere${body.when ? ` (${body.when})` : ''}` : undefined,
            CONDITIONS[body.condition],
            body.number,
            body.supplier,
            EFFECTS[body.effect],
          ]),
        );
      else if (body.kind === 'work' && (body.work === 'filter-exchanged' || body.work === 'sensor-replaced'))
        part(say(`works.${body.work}`), joined([body.what]));
      else if (body.kind === 'temporary-repair')
        part(
          body.what,
          joined([body.order ? say('job.on-order', { name: body.order.name }) : undefined]),
          open.has(entry.id),
        );
      else if (body.kind === 'part-broke')
        part(
          say('job.broke', { what: body.what }),
          joined([body.order ? say('job.on-order', { name: body.order.name }) : undefined]),
          open.has(entry.id),
        );
      else if (body.kind === 'settled') part(body.how, ['settled']);
      else if (body.kind === 'note' || body.kind === 'family-note')
        notes.push({ ...from, text: body.text, author: entry.authorName });
    }
  }
  const latestFirst = (a: { readonly at: string }, b: { readonly at: string }): number =>
    a.at < b.at ? 1 : Number(a.at > b.at) * -1;
  return { parts: parts.sort(latestFirst), notes: notes.sort(latestFirst) };
}
