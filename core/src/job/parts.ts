import type { Entry, PartId, PartState } from '../ledger/index.ts';
import type { MadeCheck } from './checksMade.ts';

export interface PartStatus {
  readonly state: PartState;
  readonly why: string;
}

const PUT_IN = { yes: 'failed', no: 'sound', unclear: 'doubtful' } as const;

/** The last thing said of each part counts: by a check, by a known-good part in its place, by replacing or clearing it. */
export function partsOf(entries: readonly Entry[], checks: readonly MadeCheck[]): Map<PartId, PartStatus> {
  const parts = new Map<PartId, PartStatus>();
  const judged = new Map(checks.map(({ entry, judgement }) => [entry.id, judgement]));
  for (const { id, body } of entries) {
    switch (body.kind) {
      case 'part-state':
        parts.set(body.part, { state: body.state, why: body.why });
        break;
      case 'check': {
        const judgement = judged.get(id);
        for (const [part, state] of Object.entries(judgement?.parts ?? {}))
          parts.set(part as PartId, { state, why: judgement?.sentences[0] ?? '' });
        break;
      }
      case 'substitution':
        parts.set(body.part, {
          state: PUT_IN[body.changed],
          why: `A known-good one in its place: ${body.changed === 'yes' ? 'it changes' : body.changed === 'no' ? 'no change' : 'unclear'}`,
        });
        break;
      case 'temporary-repair':
        if (body.part) parts.set(body.part, { state: 'doubtful', why: `Temporary repair: ${body.what}` });
        break;
      case 'part-changed':
        if (body.part && body.where === 'here') parts.set(body.part, { state: 'replaced', why: body.what });
        break;
      case 'work':
        if (body.work === 'filter-exchanged') parts.set('filter', { state: 'replaced', why: body.what });
        else if (body.work === 'sensor-replaced' && body.part)
          parts.set(body.part, { state: 'replaced', why: body.what });
        else if (body.work === 'pipe-cleared' && body.part)
          parts.set(body.part, { state: 'proven-clear', why: body.what });
        break;
      default:
    }
  }
  return parts;
}
