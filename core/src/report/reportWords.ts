import { ENGLISH, measuresOf, unitChoiceFrom, wordsOf, type Words } from '../words/index.ts';
import type { ReportChoice } from './handOver.ts';

/** The words in which a report is told, as they were chosen; what an earlier version did not ask for is the usual. */
export const reportWords = (choice: ReportChoice, currency?: string): Words =>
  wordsOf(
    [ENGLISH],
    measuresOf({
      units: unitChoiceFrom(choice),
      ...(choice.locale === undefined ? {} : { locale: choice.locale }),
      ...(choice.timeZone === undefined ? {} : { timeZone: choice.timeZone }),
      ...(currency === undefined ? {} : { currency }),
    }),
  );
