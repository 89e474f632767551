import { told } from './told.ts';
import { describeFailure, inEnglish } from '@white-ember/core/words';
import { closeSync, openSync, readFileSync, readSync } from 'node:fs';
import { filterCells, filterGeometrySchema, type FilterGeometry } from '@white-ember/core/filter';
import {
  DEFAULT_LIMITS,
  LIMIT_IDS,
  limitOverridesSchema,
  resolveLimits,
  type LimitId,
  type Limits,
} from '@white-ember/core/limits';
import { type Result } from '@white-ember/core/quantities';
import { analyseRaw, openLog, type AnalysedLog, type RawLog } from '@white-ember/core/readings';
import { InputError } from './InputError.ts';

export type Options = Readonly<Record<string, string | undefined>>;

/** Takes the value of a result, or ends with its sentence and where it belongs to. */
export function orInputError<T>(result: Result<T>, where?: string): T {
  if (result.ok) return result.value;
  throw new InputError(
    `${where === undefined ? '' : `${where}: `}${inEnglish(describeFailure(result.failure))}`,
  );
}

/** A number given as an option, e.g. `number(options, 'sootG', '--soot-g')`. */
export function optionalNumber(options: Options, key: string, flag: string): number | undefined {
  const text = options[key];
  if (text === undefined) return undefined;
  const value = text.trim() === '' ? Number.NaN : Number(text);
  if (!Number.isFinite(value)) throw new InputError(told('must-be-a-number-it-is', { flag, text }));
  return value;
}

export const requiredNumber = (options: Options, key: string, flag: string): number => {
  const value = optionalNumber(options, key, flag);
  if (value === undefined) throw new InputError(told('is-missing', { flag }));
  return value;
};

/** `DxL/cpsi/wall` in mm, e.g. 144x152/200/0.305. */
export function readFilter(text: string | undefined): FilterGeometry | undefined {
  if (text === undefined) return undefined;
  const match = /^\s*([\d.]+)\s*[x×]\s*([\d.]+)\s*\/\s*([\d.]+)\s*\/\s*([\d.]+)\s*$/i.exec(text);
  if (!match) throw new InputError(told('filter-must-look-like-144x152-200', { text }));
  const [diameterMm, lengthMm, cpsi, wallMm] = match.slice(1).map(Number);
  const parsed = filterGeometrySchema.safeParse({ diameterMm, lengthMm, cpsi, wallMm });
  if (!parsed.success)
    throw new InputError(
      told('filter-it-is', { right: parsed.error.issues[0]?.message ?? told('is-not-right'), text }),
    );
  orInputError(filterCells(parsed.data), '--filter');
  return parsed.data;
}

/** A JSON file, `what` being what it holds for an error's sake. */
export function readJson(path: string, what: string): unknown {
  try {
    return JSON.parse(readBytes(path, what).toString('utf8'));
  } catch (error) {
    if (error instanceof InputError) throw error;
    throw new InputError(told('is-not-json', { path, error: (error as Error).message }));
  }
}

/** "general" for the starting values, or a JSON file `{ "limit": value, … }` or `{ "limit": { "value", "source" }, … }`. */
export function readLimits(text: string | undefined): Limits {
  if (text === undefined || text === 'general') return DEFAULT_LIMITS;
  const content = readJson(text, told('limits-profile'));
  if (typeof content !== 'object' || content === null || Array.isArray(content)) {
    throw new InputError(told('must-be-a-json-object-of', { text }));
  }
  const overrides = Object.fromEntries(
    Object.entries(content).map(([id, value]) => [
      id,
      typeof value === 'number' ? { value, source: text.slice(0, 400) } : (value as unknown),
    ]),
  );
  const unknown = Object.keys(overrides).find((id) => !LIMIT_IDS.includes(id as LimitId));
  if (unknown !== undefined)
    throw new InputError(told('is-no-limit-known-are', { text, unknown, known: LIMIT_IDS.join(', ') }));
  const parsed = limitOverridesSchema.safeParse(overrides);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    throw new InputError(
      `${text}: ${String(issue?.path[0] ?? '')}: ${issue?.message ?? told('is-not-right')}`,
    );
  }
  return orInputError(resolveLimits(parsed.data), text);
}

export function readBytes(path: string, what: string): Buffer {
  try {
    return readFileSync(path);
  } catch (error) {
    throw fileError(path, what, error);
  }
}

function openFile(path: string, what: string): number {
  try {
    return openSync(path, 'r');
  } catch (error) {
    throw fileError(path, what, error);
  }
}

function fileError(path: string, what: string, error: unknown): InputError {
  const { code } = error as NodeJS.ErrnoException;
  const reason =
    code === 'ENOENT'
      ? told('does-not-exist')
      : code === 'EISDIR'
        ? told('is-a-folder')
        : code === 'EACCES'
          ? told('may-not-be-read')
          : String(code);
  return new InputError(told('this-file', { path, what, reason }));
}

const PIECE_BYTES = 4 * 1024 * 1024;

/** Reads a log in pieces, so that a long one is never held whole. */
export async function readRawLog(path: string): Promise<RawLog> {
  const reader = openLog();
  const file = openFile(path, 'log');
  try {
    for (;;) {
      const piece = new Uint8Array(PIECE_BYTES);
      const count = readSync(file, piece, 0, PIECE_BYTES, null);
      if (count === 0) break;
      reader.push(piece.subarray(0, count));
    }
  } catch (error) {
    throw fileError(path, 'log', error);
  } finally {
    closeSync(file);
  }
  return orInputError(await reader.finish(), path);
}

export async function readLogFile(path: string, options: Options): Promise<AnalysedLog> {
  const displacementL = optionalNumber(options, 'displacementL', '--displacement-l');
  if (displacementL !== undefined && (displacementL < 0.3 || displacementL > 30)) {
    throw new InputError(
      told('displacement-l-must-lie-between-0', { displacementL: options['displacementL'] ?? '' }),
    );
  }
  const geometry = readFilter(options['filter']);
  return analyseRaw(await readRawLog(path), {
    limits: readLimits(options['limits']),
    ...(geometry === undefined ? {} : { geometry }),
    ...(displacementL === undefined ? {} : { displacementL }),
  });
}
