/** Languages that a customer’s report and the cautions can be had in. A further one is a further folder beside `en`. */
export const LANGUAGES = ['en', 'de'] as const;
export type Language = (typeof LANGUAGES)[number];

/** How figures and dates are written where the manner chosen is that of another language. */
export const localeOf = (language: Language, locale: string | undefined): string | undefined =>
  language === 'en' || locale?.startsWith(language) === true ? locale : language;
