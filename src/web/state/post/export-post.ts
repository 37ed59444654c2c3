import { toast } from 'sonner';
import { DraftReadings } from '../../../core/criteria/index.ts';
import { writeHtmlPage, writeMarkdown } from '../../../core/draft/index.ts';
import { scoreReportJson } from '../../../core/formats/index.ts';
import { effectiveMetaTitle, slugOf } from '../../../core/listing/index.ts';
import { scorePost } from '../../../core/scoring/index.ts';
import { indexedPost } from '../../../core/site/index.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { readScene } from '../../data/read-scene.ts';
import { sceneOf } from '../../data/scene.ts';
import { download } from '../../ui/download.ts';
import { listInWords } from '../../ui/figures.ts';
import { jobsWorker } from '../../workers/jobs-client.ts';
import type { Export } from './exports.ts';
import type { PostSession } from './post-session.ts';

const nameOf = ({ document: { fields } }: PostSession): string =>
  slugOf(fields.slug || fields.title) || 'untitled';

/** With pictures it is a folder, zipped: a file alone would show holes where they stand. */
async function exportText(session: PostSession, ending: 'md' | 'html', text: string): Promise<void> {
  const name = nameOf(session);
  const file = { name: `${name}.${ending}`, text };
  const zip = await (await jobsWorker()).zipWithPictures(session.siteId, session.finished, file);
  if (zip) download(`${name}.zip`, zip);
  else download(file.name, text, ending === 'md' ? 'text/markdown' : 'text/html');
}

async function exportDocx(session: PostSession): Promise<void> {
  const { file, left, lost } = await (await jobsWorker()).exportDocx(session.siteId, session.finished);
  download(`${nameOf(session)}.docx`, file);
  const said = [
    ...(left.length
      ? [
          `${left.length} ${left.length === 1 ? 'picture is' : 'pictures are'} named in the text instead of shown.`,
        ]
      : []),
    ...(lost.length ? [`A word processor has nothing for ${listInWords(lost)}.`] : []),
  ];
  if (said.length) toast(said.join(' '), { duration: 12_000 });
}

function exportHtml(session: PostSession, site: SiteRow): Promise<void> {
  const { fields } = session.document;
  const metaTitle = effectiveMetaTitle(fields.metaTitle, fields.title, site.titlePattern, site.name);
  const document = { ...session.finished, fields: { ...fields, language: fields.language || site.language } };
  return exportText(session, 'html', writeHtmlPage(document, metaTitle));
}

async function exportReport(session: PostSession): Promise<void> {
  const data = await readScene(session.siteId);
  if (!data) return;
  const { finished: document } = session;
  const { facts, report } = scorePost(
    document,
    indexedPost(session.id, document),
    sceneOf(data),
    new DraftReadings(),
  );
  const name = nameOf(session);
  download(
    `${name}.score.json`,
    JSON.stringify(scoreReportJson(`${name}.md`, 'markdown', facts, report), null, 2),
    'application/json',
  );
}

/** Hands the post over as a file, as it stands on the screen, saved or not. */
export function exportPost(session: PostSession, site: SiteRow, as: Export): Promise<void> {
  switch (as) {
    case 'md':
      return exportText(session, 'md', writeMarkdown(session.finished));
    case 'docx':
      return exportDocx(session);
    case 'html':
      return exportHtml(session, site);
    case 'score':
      return exportReport(session);
  }
}
