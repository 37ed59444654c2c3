import { Button } from '../../../ui/button.tsx';
import { counted } from '../../../ui/figures.ts';
import { WordLink } from '../../../ui/word-link.tsx';
import type { SiteMapView } from '../../../workers/site-map.ts';
import { shareInWords } from './share-in-words.ts';

const SHOWN = 8;

/** The page in hand: how it stands, who links to it by which words, and where it leads. */
export function PageInHand({
  view,
  page,
  onChoose,
}: {
  view: SiteMapView;
  page: number;
  onChoose: (page: number | null) => void;
}) {
  const { pages, links, groups } = view;
  const { title, path, postId, weight, clicks, group, poor, score } = pages[page];
  const sides = [
    { name: 'Linked to from', own: links.filter(({ to }) => to === page), other: 'from' as const },
    { name: 'Links to', own: links.filter(({ from }) => from === page), other: 'to' as const },
  ];
  return (
    <section
      aria-label="The page in hand"
      className="max-h-[46%] overflow-auto border-b px-4 py-3 text-[13px]"
    >
      <p className="flex items-baseline gap-3">
        <strong className="min-w-0 flex-1 font-serif text-[16px] break-words">{title || path}</strong>
        <Button look="word" onClick={() => onChoose(null)}>
          Close
        </Button>
      </p>
      <p className="break-words text-soft">{path}</p>
      <p className="my-1 tabular-nums">
        {[
          `${shareInWords(weight)} of the weight`,
          clicks === -1 ? 'no way leads to it' : `${counted(clicks, 'click')} from home`,
          group === -1 ? 'linked with nothing' : `group: ${groups[group].name}`,
          score === null ? '' : `score ${Math.round(score)}`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      {postId !== null && (
        <p className="mb-1">
          <WordLink to={`/posts/${postId}/write`}>Open the post</WordLink>
        </p>
      )}
      {poor.length > 0 && (
        <p className="mb-1 text-ochre">
          Linked to by words that do not name it:{' '}
          {poor
            .slice(0, 6)
            .map((words) => `“${words || 'a picture'}”`)
            .join(', ')}
          {poor.length > 6 ? ` and ${poor.length - 6} more` : ''}
        </p>
      )}
      {sides.map(({ name, own, other }) => (
        <details key={name} open={own.length > 0 && own.length <= SHOWN}>
          <summary className="cursor-pointer text-soft">
            {name} {own.length}
          </summary>
          <ul aria-label={name}>
            {own.map((link) => (
              <li key={link[other]} className="border-t py-0.5 first:border-t-0">
                <button
                  type="button"
                  onClick={() => onChoose(link[other])}
                  className="text-left break-words hover:text-sea"
                >
                  {pages[link[other]].title}
                </button>{' '}
                <span className="break-words text-soft">
                  {link.words.map((words) => `“${words || 'a picture'}”`).join(', ')}
                </span>
              </li>
            ))}
          </ul>
        </details>
      ))}
    </section>
  );
}
