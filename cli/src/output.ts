import { inEnglish } from '@white-ember/core/words';

/** One JSON document and nothing else, in words and base units. A number that is none must never leave: that would be a fault of ours. */
export function printJson(document: object): void {
  const text = JSON.stringify(
    inEnglish(document),
    (key, value: unknown) => {
      if (typeof value === 'number' && !Number.isFinite(value))
        throw new Error(`“${key}” is not a finite number`);
      return value;
    },
    1,
  );
  process.stdout.write(`${text}\n`);
}

/** Lines of cells as a plain table, figures to the right. */
export function table(rows: readonly (readonly string[])[]): string {
  const widths = (rows[0] ?? []).map((_, c) => Math.max(...rows.map((row) => (row[c] ?? '').length)));
  return rows
    .map((row) =>
      row
        .map((cell, c) =>
          /^([-+]?[\d.]|–$)/.test(cell) ? cell.padStart(widths[c] ?? 0) : cell.padEnd(widths[c] ?? 0),
        )
        .join('  ')
        .trimEnd(),
    )
    .join('\n');
}

export const print = (...lines: readonly string[]): void => {
  process.stdout.write(`${lines.filter((line) => line !== '').join('\n')}\n`);
};
