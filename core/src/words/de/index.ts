import type { ENGLISH } from '../en/index.ts';
import type { Translation } from '../words.ts';
import { causes } from './causes.ts';
import { chart } from './chart.ts';
import { cautions } from './cautions.ts';
import { job } from './job.ts';
import * as names from './names.ts';
import { proof } from './proof.ts';
import { report } from './report.ts';
import { text } from './text.ts';

/** The customer’s report and the cautions in German; the rest is said in English. */
export const GERMAN = {
  causes,
  cautions,
  chart,
  job,
  ...names,
  proof,
  report,
  text,
} as const satisfies {
  readonly [Subject in keyof typeof ENGLISH]?: Partial<Translation<(typeof ENGLISH)[Subject]>>;
};
