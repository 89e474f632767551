export {
  REPORT_VERSIONS,
  reportOf,
  SOFTWARE,
  type Report,
  type ReportBlock,
  type ReportFacts,
  type ReportLine,
  type ReportPhoto,
  type ReportSection,
  type ReportVersion,
} from './report.ts';
export { flowChartSvg, type ChartLook } from './flowChartSvg.ts';
export {
  SHARE_DAYS,
  handOverSchema,
  mailSchema,
  newMailSchema,
  newShareSchema,
  reportChoiceSchema,
  sharedReportSchema,
  shareSchema,
  type HandOver,
  type Mail,
  type NewMail,
  type NewShare,
  type ReportChoice,
  type Share,
  type SharedReport,
} from './handOver.ts';
export { reportWords } from './reportWords.ts';
