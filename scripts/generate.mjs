// Writes every generated table; with --check it only tells whether the committed ones are current.
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { kinTable } from './generate-kin.mjs';
import { irregularForms, izeVerbs, knownWords, wordFrequencies } from './generate-language.mjs';
import { proseTable } from './generate-prose.mjs';
import { sentenceBegins } from './generate-sentence-begins.mjs';
import {
  auditValidator,
  backupValidator,
  marketAnswerValidator,
  patternFileValidator,
  profileValidator,
  siteFileValidator,
  studyFileValidator,
  studyReportValidator,
} from './generate-validators.mjs';
import { widthTable } from './generate-widths.mjs';
import { interfaceTemplate } from './words/catalogue.mjs';

const tables = {
  'src/core/language/generated/known-words.ts': knownWords,
  'src/core/language/generated/word-frequencies.ts': wordFrequencies,
  'src/core/language/generated/irregular-forms.ts': irregularForms,
  'src/core/language/generated/ize-verbs.ts': izeVerbs,
  // After the words, whose parts of speech it reads.
  'src/core/language/generated/followings.ts': proseTable,
  'src/core/talk/generated/sentence-begins.ts': sentenceBegins,
  'src/core/meaning/generated/kin.ts': kinTable,
  'src/core/listing/generated/arimo-widths.ts': widthTable,
  'src/core/criteria/generated/profile-validator.js': profileValidator,
  'src/core/formats/generated/backup-validator.js': backupValidator,
  'src/core/formats/generated/market-answer-validator.js': marketAnswerValidator,
  'src/core/formats/generated/site-file-validator.js': siteFileValidator,
  'src/core/audit/generated/audit-validator.js': auditValidator,
  'src/core/formats/generated/study-file-validator.js': studyFileValidator,
  'src/core/writing/patterns/generated/pattern-file-validator.js': patternFileValidator,
  'words/interface.pot': interfaceTemplate,
  'src/core/formats/generated/study-report-validator.js': studyReportValidator,
};
const check = process.argv.includes('--check');
let stale = 0;
for (const [path, make] of Object.entries(tables)) {
  const text = await make();
  const before = existsSync(path) ? readFileSync(path, 'utf8') : null;
  if (before === text) continue;
  if (check) {
    stale += 1;
    console.error(`${path} is not current: run \`npm run generate\` and commit the result.`);
  } else {
    mkdirSync(dirname(path), { recursive: true });
    writeFileSync(path, text);
    console.log(`wrote ${path}`);
  }
}
process.exit(stale ? 1 : 0);
