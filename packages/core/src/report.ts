// Reports of one piece of work, as words: what prints them is another's.
export {
  familysReport,
  learnersReport,
  type Report,
  type Reported,
  type ReportPart,
  type ReportQuestion,
} from './formats/report/report';
export { REPORT_LANGUAGES, type ReportLanguage, reportLanguage } from './formats/report/report-words';
