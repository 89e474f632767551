import { z } from 'zod';
import { figure, freeText, requiredText } from '../../fields/index.ts';
import { fault, say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';

/** What the customer may choose from, with prices; the job waits until a choice is recorded. */
export const choiceOffered = entryKind({
  schema: z.object({
    kind: z.literal('choice-offered'),
    question: requiredText('question', 400),
    currency: requiredText('currency', 8),
    options: z
      .array(
        z.object({
          id: requiredText('option', 40),
          what: requiredText('option', 300),
          price: figure('price', 0, 1e6, ''),
          minutes: z.number().min(0).max(100_000).optional(),
          remark: freeText('remark', 300).optional(),
        }),
      )
      .min(1, fault(say('faults.no-options')))
      .max(6, fault(say('faults.too-many', { field: say('fields.option'), most: 6 }))),
  }),
  stage: 'decide',
  pin: ({ options }) => say('entries.offers', { count: options.length }),
  told: ({ question, options, currency }) =>
    say('told.offer', { question, currency, options: options.map(({ what, price }) => ({ what, price })) }),
  rank: 4,
});
