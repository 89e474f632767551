import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { readingBodySchema } from '../reading.ts';

const ROUND_RPM = 50;

/** A reading of the pressure: by hand or from a log. */
export const reading = entryKind({
  schema: readingBodySchema,
  stage: ({ purpose }) => (purpose === 'before' ? 'baseline' : purpose === 'after' ? 'prove' : 'treat'),
  pin: ({ samples }) => {
    const strongest = [...samples].sort((a, b) => b.rpm - a.rpm)[0];
    const at =
      strongest?.kind === 'hold'
        ? `${Math.round(strongest.rpm / ROUND_RPM) * ROUND_RPM}`
        : (strongest?.kind ?? '');
    return say('entries.reading', { at, dpMbar: strongest?.dpMbar });
  },
  told: ({ samples }) => say('told.reading', { rows: samples.length }),
  rank: 0,
  // A log is read anew; what was read between two fills is entered again.
  corrected: ({ origin, purpose }) => origin.type === 'hand' && purpose !== 'between',
});
