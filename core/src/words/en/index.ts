import { bench, benchFaults, benchForms } from './bench.ts';
import { burn } from './burn.ts';
import { causeForms, chains } from './causeForms.ts';
import { causes } from './causes.ts';
import { cautions } from './cautions.ts';
import { channels, presets } from './channels.ts';
import { chart } from './chart.ts';
import * as codeMeanings from './codeMeanings.ts';
import { codes } from './codes.ts';
import { commandLine } from './commandLine.ts';
import { checks } from './checks.ts';
import { diagnosis } from './diagnosis.ts';
import { entries } from './entries.ts';
import { faults } from './faults.ts';
import { fields } from './fields.ts';
import { failures } from './failures.ts';
import { findings } from './findings.ts';
import { guide } from './guide.ts';
import { job } from './job.ts';
import { ledger } from './ledger.ts';
import { limits } from './limits.ts';
import { link, routines } from './link.ts';
import { live } from './live.ts';
import { logs } from './logs.ts';
import * as names from './names.ts';
import { outlook } from './outlook.ts';
import { proof } from './proof.ts';
import { refusals } from './refusals.ts';
import { report } from './report.ts';
import { shown } from './shown.ts';
import { told } from './told.ts';
import { text } from './text.ts';
import { treatment } from './treatment.ts';

/** Everything that core can say, in English; every other language falls back on it. */
export const ENGLISH = {
  bench,
  benchFaults,
  benchForms,
  burn,
  causeForms,
  causes,
  cautions,
  chains,
  channels,
  chart,
  ...codeMeanings,
  codes,
  checks,
  commandLine,
  diagnosis,
  entries,
  failures,
  faults,
  fields,
  findings,
  guide,
  job,
  ledger,
  limits,
  link,
  live,
  logs,
  ...names,
  outlook,
  presets,
  proof,
  refusals,
  report,
  routines,
  shown,
  text,
  told,
  treatment,
} as const;
