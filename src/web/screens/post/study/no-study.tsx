import type { StudyRow } from '../../../data/study-rows.ts';
import { Button } from '../../../ui/button.tsx';
import { dayInWords } from '../../../ui/day.ts';
import { counted } from '../../../ui/figures.ts';
import { WordLink } from '../../../ui/word-link.tsx';
import { useZone } from '../../../ui/zone.ts';

/** What belongs on Study, and the ways to begin. */
export function NoStudy({
  keyword,
  others,
  busy,
  onResults,
  onBring,
  onShare,
}: {
  keyword: string;
  /** Studies of other posts that this one could go by. */
  others: readonly StudyRow[];
  busy: boolean;
  onResults: () => void;
  onBring: () => void;
  onShare: (id: string) => void;
}) {
  const zone = useZone();
  return (
    <div className="mx-auto max-w-2xl py-8">
      <h2 className="mb-2 font-serif text-2xl font-semibold">Study the pages that answer your keyword</h2>
      <p className="mb-5 text-soft">
        See what they share: length, headings, topics, terms, questions, figures with their sources; and what
        none of them says. From then on your score compares your draft with them.
      </p>
      {keyword ? (
        <div className="flex flex-wrap gap-3">
          <Button look="main" disabled={busy} onClick={onResults}>
            {busy ? 'Looking...' : `Study the results for "${keyword}"`}
          </Button>
          <Button disabled={busy} onClick={onBring}>
            Bring saved pages or text
          </Button>
        </div>
      ) : (
        <p>
          Pages are found for a keyword.{' '}
          <WordLink to="../target" relative="path">
            Set the primary keyword on Target
          </WordLink>{' '}
          first.
        </p>
      )}
      {others.length > 0 && (
        <section aria-label="Studies of other posts" className="mt-8">
          <h3 className="mb-1 font-semibold">Or go by a study that is there</h3>
          <ul className="text-[13px]">
            {others.slice(0, 8).map(({ id, query, region, made, pages, posts }) => (
              <li key={id} className="flex items-baseline gap-3 border-t py-1.5">
                <span className="min-w-0 flex-1">
                  {query}{' '}
                  <span className="text-soft">
                    {region}, {counted(pages.length, 'page')}, {dayInWords(made, zone)},{' '}
                    {counted(posts.length, 'post')}
                  </span>
                </span>
                <Button look="word" onClick={() => onShare(id)}>
                  Go by this study
                </Button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
