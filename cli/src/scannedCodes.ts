import { namedFault } from '@white-ember/core/codes';
import { z } from 'zod';

/** Longest line of a scan tool's list that is read: a code, or the name of a fault. */
export const LONGEST_CODE = 200;
/** What a list of codes has room for. */
const KEPT = 40;

const text = z.string().min(1).max(LONGEST_CODE);

/** A scan as the tool wrote it: codes, names of faults, or either with its status and module. */
export const scannedCodesSchema = z
  .array(
    z.union([
      text,
      z.object({
        code: text,
        status: z.string().max(60).optional(),
        module: z.string().max(80).optional(),
      }),
    ]),
  )
  .max(200);

/** The scan as a list of codes; what no list has room for stands by the code that says the same. */
export const codesOf = (
  scanned: z.infer<typeof scannedCodesSchema>,
): { readonly code: string; readonly status?: string; readonly module?: string }[] =>
  scanned.map((one) => {
    const { code, status, module } = typeof one === 'string' ? { code: one } : one;
    return {
      code: code.length > KEPT ? (namedFault(code) ?? code).slice(0, KEPT) : code,
      ...(status === undefined ? {} : { status }),
      ...(module === undefined ? {} : { module }),
    };
  });
