/**
 * Formats: files that go in and out beside the drafts themselves.
 *
 * `site-file` is the `site.json` of an exported folder, `score-report-json` the report for programs,
 * `source-lines` where a draft's places stand in its file,
 * `picture-size` what a picture file tells about itself. `incoming` reads any file that can be brought into a site:
 * posts, a `feed`, a `sitemap` (both over `read-xml`), an `address-list`. `study-file` is a study as the command line takes it, `study-report-json` as it prints one. `page-files` reads other people's pages for a study; `redirects` are tables of
 * old addresses, in and out, and lines for web servers. `market-answer` is what sources of keyword
 * figures say.
 */

export { type Backup, type ReadBackup, readBackupFile, writeBackupFile } from './backup.ts';
export { type CalendarDay, calendarFile } from './calendar-file.ts';
export { damagesInWords } from './damages.ts';
export { fromAddresses, type Incoming, readIncoming } from './incoming.ts';
export { readMarketAnswer } from './market-answer.ts';
export {
  addressesIn,
  type BroughtPage,
  documentOfPage,
  type PageFile,
  pageOfAddress,
  pageProblem,
  readPageFiles,
} from './page-files.ts';
export { pictureSize } from './picture-size.ts';
export {
  type ReadRedirects,
  type RedirectForm,
  readRedirects,
  redirectLines,
  redirectsCsv,
} from './redirects.ts';
export { setDamagedAside } from './salvage-backup.ts';
export { type ScoreReportJson, scoreReportJson } from './score-report-json.ts';
export { readSiteFile, writeSiteFile } from './site-file.ts';
export { readSitemap } from './sitemap.ts';
export { SourceLines } from './source-lines.ts';
export { type ReadStudy, readStudyFile, type StudyFile, writeStudyFile } from './study-file.ts';
export { outlineGround, type StudyReportJson, studyReportJson } from './study-report-json.ts';
export { supersededCopies } from './superseded-copies.ts';
