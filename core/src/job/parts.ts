import { say, type Said } from '../words/index.ts';
import type { Entry, PartId, PartState } from '../ledger/index.ts';
import type { MadeCheck } from './checksMade.ts';

export interface PartStatus {
  readonly state: PartState;
  readonly why: Said;
}

const PUT_IN = {
  yes: { state: 'failed', why: say('job.it-changes') },
  no: { state: 'sound', why: say('job.no-change') },
  unclear: { state: 'doubtful', why: 'unclear' },
} as const;

/** The last thing said of each part counts: by a check, by a known-good part in its place, by replacing or clearing it. */
export function partsOf(entries: readonly Entry[], checks: readonly MadeCheck[]): Map<PartId, PartStatus> {
  const parts = new Map<PartId, PartStatus>();
  const judged = new Map(checks.map(({ entry, judgement }) => [entry.id, judgement]));
  for (const entry of entries) {
    for (const [part, status] of saidOf(entry, judged)) parts.set(part, status);
  }
  return parts;
}

/** What one entry says of parts. */
function saidOf(
  { id, body }: Entry,
  judged: ReadonlyMap<string, MadeCheck['judgement']>,
): (readonly [PartId, PartStatus])[] {
  if (body.kind === 'part-state') return [[body.part, { state: body.state, why: body.why }]];
  if (body.kind === 'check') {
    const judgement = judged.get(id);
    const why = judgement?.sentences[0] ?? '';
    return Object.entries(judgement?.parts ?? {}).map(([part, state]) => [part as PartId, { state, why }]);
  }
  if (body.kind === 'substitution')
    return [
      [
        body.part,
        {
          state: PUT_IN[body.changed].state,
          why: say('job.a-known-good-one', { why: PUT_IN[body.changed].why }),
        },
      ],
    ];
  if (body.kind === 'temporary-repair')
    return body.part
      ? [[body.part, { state: 'doubtful', why: say('job.temporary-repair', { what: body.what }) }]]
      : [];
  if (body.kind === 'part-broke')
    return body.part ? [[body.part, { state: 'failed', why: say('job.broke', { what: body.what }) }]] : [];
  if (body.kind === 'part-changed')
    return body.part && body.where === 'here' ? [[body.part, { state: 'replaced', why: body.what }]] : [];
  if (body.kind !== 'work') return [];
  if (body.work === 'filter-exchanged') return [['filter', { state: 'replaced', why: body.what }]];
  if (!body.part) return [];
  if (body.work === 'sensor-replaced') return [[body.part, { state: 'replaced', why: body.what }]];
  return body.work === 'pipe-cleared' ? [[body.part, { state: 'proven-clear', why: body.what }]] : [];
}
