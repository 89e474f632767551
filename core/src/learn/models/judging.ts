import {
  evidenceOfOutcome,
  infer,
  KNOWN_CHECKS,
  networkFor,
  rankChecks,
  weigh,
  type Evidence,
} from '../../diagnosis/index.ts';
import { setChoice, type Model } from '../model.ts';

const READINGS = ['dp-low-for-flow', 'dp-high-hold', 'dp-no-response'] as const;
const CHECKS = ['none', 'pipe-pump', 'dp-swap', 'hoses', 'dp-zero'] as const;
const FOUND = ['fault-found', 'nothing-found'] as const;
const SHOWN = 5;
/** Chances, and moves of a chance, that are worth a word of their own. */
const NEARLY = 0.9;
const OVERTURNED = 0.2;
const SHARPENED = 0.08;

export const judgingMoves = [
  { id: 'reading', options: READINGS, start: 'dp-low-for-flow' },
  { id: 'check', options: CHECKS, start: 'none' },
  { id: 'found', options: FOUND, start: 'fault-found' },
] as const;

/** One reading, several causes, and what a check makes of them: by the judgement of the jobs themselves. */
export const judging: Model<'reading-alone' | 'settled' | 'overturned' | 'sharpened' | 'moved-little'> = {
  moves: judgingMoves,
  answer(settings) {
    const reading: Evidence = { [setChoice(READINGS, settings, 'reading')]: true };
    const chosen = setChoice(CHECKS, settings, 'check');
    const check = KNOWN_CHECKS.find(({ id }) => id === chosen);
    const outcome =
      check && (setChoice(FOUND, settings, 'found') === 'fault-found' ? check.outcomes[0] : check.otherwise);
    const network = networkFor();
    const before = infer(weigh(network, reading));
    const known = { ...reading, ...(check && outcome ? evidenceOfOutcome(check, outcome) : {}) };
    const weighed = weigh(network, known);
    const after = infer(weighed);
    const was = new Map(before.causes.map(({ id, probability }) => [id, probability]));
    const next = rankChecks(weighed, KNOWN_CHECKS).find(({ check: id }) => id !== chosen);
    const [first, second] = after.causes;
    const moved = Math.max(
      ...after.causes.map(({ id, probability }) => Math.abs(probability - (was.get(id) ?? 0))),
    );
    const [led] = before.causes;
    const lost = led ? led.probability - (after.causes.find(({ id }) => id === led.id)?.probability ?? 0) : 0;
    return {
      figures: [
        { id: 'first', quantity: 'percent', value: first && 100 * first.probability },
        { id: 'second', quantity: 'percent', value: second && 100 * second.probability },
        { id: 'moved-most', quantity: 'percent', value: check ? 100 * moved : undefined },
        { id: 'check-minutes', quantity: 'minutes', value: check?.minutes },
        { id: `next ${next?.check ?? ''}`, quantity: 'minutes', value: next?.minutes },
      ],
      picture: {
        kind: 'bars',
        quantity: 'percent',
        bars: after.causes.slice(0, SHOWN).map(({ id, probability }) => ({
          id,
          value: 100 * probability,
          before: 100 * (was.get(id) ?? 0),
        })),
      },
      tells: !check
        ? 'reading-alone'
        : (first?.probability ?? 0) > NEARLY
          ? 'settled'
          : lost > OVERTURNED && first?.id !== led?.id
            ? 'overturned'
            : moved > SHARPENED
              ? 'sharpened'
              : 'moved-little',
    };
  },
};
