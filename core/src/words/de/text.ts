import type { Translation, Words } from '../words.ts';
import type { text as english } from '../en/text.ts';
import { text as inEnglish } from '../en/text.ts';

export const text: Translation<typeof english> = {
  ...inEnglish,
  quoted: ({ words }: { words: string }) => `„${words}“`,
  ratio: ({ ratio }: { ratio: number }, w: Words) => w.number(ratio, 1),
};
