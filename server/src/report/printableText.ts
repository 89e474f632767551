/** Signs of our own sentences that the PDF's font lacks, and what is printed instead. */
const INSTEAD: Readonly<Record<string, string>> = { '→': 'to', '\u202f': '\u00a0' };
const LACKING = new RegExp(`[${Object.keys(INSTEAD).join('')}]`, 'g');

/** All words of a document, in signs that its font has: a sign that it lacks would stand there as an empty box. */
export function printableText<T>(document: T): T {
  if (typeof document === 'string') return document.replace(LACKING, (sign) => INSTEAD[sign] ?? sign) as T;
  if (Array.isArray(document)) return document.map(printableText) as T;
  if (typeof document !== 'object' || document === null) return document;
  return Object.fromEntries(
    Object.entries(document).map(([name, value]) => [name, printableText(value as unknown)]),
  ) as T;
}
