import { statSync } from 'node:fs';
import {
  type Audit,
  type AuditedPair,
  type AuditedPost,
  auditChange,
  auditCsv,
  auditedPairs,
  auditedReport,
  auditTotals,
  figuresByPath,
  readAuditFile,
  rulesKey,
  type SearchFigures,
  writeAuditFile,
} from '../core/audit/index.ts';
import { CORE_VERSION, type Profile } from '../core/criteria/index.ts';
import { decodeText } from '../core/draft/index.ts';
import { Vocabulary } from '../core/language/index.ts';
import { previewPerformance, readPerformance } from '../core/research/index.ts';
import {
  openToReaders,
  pathOfPost,
  type SiteSettings,
  type TranslatedPost,
  translatedPost,
  translationGround,
} from '../core/site/index.ts';
import { auditSitemap, isSitemap } from './audit-sitemap.ts';
import { auditText } from './formats/audit-text.ts';
import { bytesOf, readInput } from './input.ts';
import { type AuditOptions, UsageError } from './options.ts';
import { profileOf, scoreGroup } from './score-group.ts';
import type { Voice } from './voice.ts';

function figuresOf(path: string | null): Map<string, SearchFigures> | null {
  if (path === null) return null;
  const text = decodeText(bytesOf(path)).text;
  const preview = previewPerformance(text);
  const { rows } = readPerformance(text, preview);
  if (rows.length === 0)
    throw new UsageError(
      `${path} holds no search performance: a table with page, query, clicks and impressions is wanted.`,
    );
  return figuresByPath(rows);
}

function earlierAudit(path: string | null): Audit | null {
  if (path === null) return null;
  const reading = readAuditFile(decodeText(bytesOf(path)).text);
  if (reading.problem !== null) throw new UsageError(`${path}: ${reading.problem}`);
  return reading.audit;
}

/** The posts of a folder, each within the others. */
async function folderPosts(
  options: AuditOptions,
  profile: Profile | null,
  figures: ReadonlyMap<string, SearchFigures>,
  fail: (line: string) => void,
): Promise<{ posts: AuditedPost[]; pairs: AuditedPair[]; profile: Profile | null }> {
  const group = await readInput(options.path, fail);
  const wishes = { ...options, keyword: null, supporting: null };
  const site: SiteSettings = {
    ...group.site,
    baseAddress: options.site ?? group.site.baseAddress,
    profile: profile ?? group.site.profile,
  };
  const posts: AuditedPost[] = [];
  const isOpen = openToReaders(group.files.map(({ document }) => document.fields.status));
  const inLanguages: TranslatedPost[] = [];
  for (const scored of scoreGroup(group, options.path, wishes, { profile, study: null }, new Vocabulary())) {
    if ('problem' in scored) {
      fail(scored.problem);
      continue;
    }
    const { file } = scored;
    const { fields } = file.document;
    const id = file.filePath ?? file.path;
    posts.push(auditedReport(id, fields, pathOfPost(fields, site), scored, figures));
    inLanguages.push(translatedPost(id, fields, site, isOpen));
  }
  const pairs = auditedPairs(inLanguages, translationGround(site, []));
  return { posts, pairs, profile: site.profile };
}

/** `audit`: scores a whole site and prints what it comes to, beside an earlier audit where one is named. */
export async function auditSite(
  options: AuditOptions,
  { out, warn }: Voice,
  version: string,
): Promise<number> {
  const before = earlierAudit(options.since);
  const profile = profileOf(options.profile);
  const figures = figuresOf(options.performance);
  let failed = false;
  const fail = (line: string) => {
    failed = true;
    warn(line);
  };
  const known = figures ?? new Map<string, SearchFigures>();
  const found = isSitemap(options.path)
    ? { ...(await auditSitemap(options, profile, known, fail, version)), profile }
    : { ...(await folderPosts(checkedFolder(options), profile, known, fail)), pages: [] };
  const now = new Date();
  const audit: Audit = {
    day: `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`,
    at: now.toISOString(),
    core: CORE_VERSION,
    rules: rulesKey(found.profile),
    hasFigures: figures !== null,
    posts: found.posts,
    pages: found.pages,
    pairs: found.pairs,
  };
  if (options.format === 'json') out(writeAuditFile(audit).trimEnd());
  else if (options.format === 'csv') out(auditCsv(audit).trimEnd());
  else out(auditText(audit, before ? auditChange(before, audit) : null));
  const { mean } = auditTotals(audit.posts);
  if (failed) return 2;
  return options.min !== null && !(mean !== null && mean >= options.min) ? 1 : 0;
}

function checkedFolder(options: AuditOptions): AuditOptions {
  const found = statSync(options.path, { throwIfNoEntry: false });
  if (!found) throw new UsageError(`${options.path} is not there. Check the name.`);
  if (!found.isDirectory())
    throw new UsageError(
      `${options.path} is one file: dune-sparrow score takes it. An audit takes a folder or a sitemap.`,
    );
  return options;
}
