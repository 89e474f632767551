import { localeOf, measuresOf, phrasesOf, unitChoiceFrom, wordsOf, type Words } from '../words/index.ts';
import type { ReportChoice } from './handOver.ts';

/** The words in which a report is told, as they were chosen; what an earlier version did not ask for is the usual. */
export function reportWords(choice: ReportChoice, currency?: string): Words {
  const language = choice.version === 'plain' ? choice.language : undefined;
  const locale = localeOf(language ?? 'en', choice.locale);
  return wordsOf(
    phrasesOf(language),
    measuresOf({
      units: unitChoiceFrom(choice),
      ...(locale === undefined ? {} : { locale }),
      ...(choice.timeZone === undefined ? {} : { timeZone: choice.timeZone }),
      ...(currency === undefined ? {} : { currency }),
    }),
  );
}
