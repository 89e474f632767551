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
export type { ReportUnits } from './words.ts';
export { flowChartSvg, type ChartLook } from './flowChartSvg.ts';
