import { Trash2 } from 'lucide-react';
import { useId, useState } from 'react';
import { readRedirects, redirectLines, redirectsCsv } from '../../../../core/formats/index.ts';
import type { Redirect } from '../../../../core/site/index.ts';
import { changeRow, type RowBack } from '../../../data/change-row.ts';
import { database } from '../../../data/database.ts';
import type { SiteRow } from '../../../data/post-rows.ts';
import { attempt } from '../../../state/attempt.ts';
import { tellBlog } from '../../../state/site/tell-blog.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { dayInWords } from '../../../ui/day.ts';
import { download } from '../../../ui/download.ts';
import { counted } from '../../../ui/figures.ts';
import { FileButton } from '../../../ui/file-button.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import { useZone } from '../../../ui/zone.ts';

/** Addresses at which nothing stands any more, and where they lead; written when the address of a published post changes. */
export function Redirects({ site }: { site: SiteRow }) {
  const zone = useZone();
  const headed = useId();
  const { redirects = [] } = site;
  const [problems, setProblems] = useState<string[]>([]);
  /** Says what changed, once the blog knows of it. */
  const tell = async (said: string, back: RowBack) => {
    const untold = await tellBlog(site.id);
    offerUndo(
      untold ? `${said}. ${untold}` : said,
      async () => {
        const stays = await back();
        return stays || tellBlog(site.id);
      },
      10_000,
    );
  };
  const bring = async ([file]: File[]) => {
    const text = await file.text();
    const now = new Date().toISOString();
    let read = readRedirects(text, redirects, now);
    setProblems(read.problems);
    if (read.added === 0) return;
    // Others may have come meanwhile, from another tab: the table is read beside those that are there now.
    const back = await changeRow(database().sites, site.id, ({ redirects: there = [] }) => {
      read = readRedirects(text, there, now);
      return { redirects: read.redirects };
    });
    await tell(`${counted(read.added, 'redirect')} brought`, back);
  };
  const remove = async ({ from }: Redirect) => {
    const back = await changeRow(database().sites, site.id, ({ redirects: now = [] }) => ({
      redirects: now.filter((one) => one.from !== from),
    }));
    await tell(`${from} leads nowhere now`, back);
  };
  return (
    <section aria-labelledby={headed} className="mx-6 max-w-4xl border-t pt-4 pb-6">
      <h2 id={headed} className="font-serif text-xl font-semibold">
        {redirects.length === 0
          ? 'No old address leads on'
          : `${counted(redirects.length, 'old address leads', 'old addresses lead')} on`}
      </h2>
      <div role="group" aria-label="Redirects as files" className="mt-2 flex flex-wrap gap-2">
        <FileButton
          label="A table of redirects"
          accept=".csv,.tsv,text/csv"
          onFiles={(files) => attempt(bring(files), 'The table could not be read')}
        >
          Bring a table
        </FileButton>
        {redirects.length > 0 && (
          <>
            <Button onClick={() => download('redirects.csv', redirectsCsv(redirects), 'text/csv')}>
              Save as a table
            </Button>
            <Button onClick={() => download('redirects.conf', redirectLines(redirects, 'redirect'))}>
              As "Redirect" lines
            </Button>
            <Button onClick={() => download('rewrites.conf', redirectLines(redirects, 'rewrite'))}>
              As "rewrite" lines
            </Button>
          </>
        )}
      </div>
      {problems.length > 0 && (
        <ul role="alert" className="mt-2 max-w-3xl text-rust">
          {problems.slice(0, 5).map((problem) => (
            <li key={problem}>{problem}</li>
          ))}
          {problems.length > 5 && <li>And {counted(problems.length - 5, 'further line')}.</li>}
        </ul>
      )}
      <ul aria-label="Redirects" className="mt-1 max-h-96 overflow-auto">
        {redirects.map((redirect) => (
          <li key={redirect.from} className="flex items-baseline gap-3 border-t py-1">
            <span className="min-w-0 flex-1 break-words">
              {redirect.from} <span className="text-soft">leads to</span>{' '}
              {redirect.to ?? 'nothing: it is gone'}
            </span>
            <span className="text-[13px] text-soft">
              {redirect.why}, {dayInWords(redirect.since, zone)}
            </span>
            <IconButton
              name={`Take out the redirect from ${redirect.from}`}
              icon={Trash2}
              look="grave"
              onClick={() => attempt(remove(redirect), 'The redirect could not be taken out')}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}
