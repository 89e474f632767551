import { z } from 'zod';
import { day, figure, freeText, requiredText, type FieldName } from '../fields/index.ts';
import { messageSchema } from '../words/saidSchema.ts';

/** A part as it is ordered or fitted. */
export const partNumberShape = {
  number: freeText('part-number', 60).optional(),
  supplier: freeText('supplier', 120).optional(),
};

/** What is on order. */
export const orderSchema = z.object({
  name: requiredText('part-on-order', 200),
  ...partNumberShape,
  due: day('due').optional(),
});

export const torqueSchema = figure('torque', 0.5, 600, 'N·m');
export const sootSchema = (name: 'soot' | 'soot-before' | 'soot-after') => figure(name, 0, 2000, 'g');
export const kilometres = (
  name:
    | 'distance'
    | 'distance-of-the-last-service'
    | 'distance-of-the-last-oil-change'
    | 'distance-between-regenerations',
) => figure(name, 0, 3_000_000, 'km');
/** Three days, min. */
const LONGEST_WAIT_MIN = 4320;
export const waitSchema = (name: 'dwell' | 'minutes') => figure(name, 0.1, LONGEST_WAIT_MIN, 'min');

/**
 * A text of a person; or what the application itself put there, by its code, so that anybody reads it in their own units and language.
 */
export const textOrSaid = (name: FieldName, most: number) =>
  z.union([requiredText(name, most), messageSchema]);
