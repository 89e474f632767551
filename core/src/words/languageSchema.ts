import { z } from 'zod';
import { LANGUAGES } from './languages.ts';

/** Apart from the list: who only shows it loads no schemas. */
export const languageSchema = z.enum(LANGUAGES);
