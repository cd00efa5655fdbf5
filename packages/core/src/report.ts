// Reports as words, of one piece of work and of a family: what prints them is another's.
export { htmlDocument } from './formats/evidence/document-html';
export { familyReport, namesInReport } from './formats/family-report/family-report';
export {
  familysReport,
  learnersReport,
  type Report,
  type Reported,
  type ReportPart,
  type ReportQuestion,
} from './formats/report/report';
export { REPORT_LANGUAGES, type ReportLanguage, reportLanguage } from './formats/report/report-words';
