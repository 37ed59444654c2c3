import { useState } from 'react';
import { toast } from 'sonner';
import { attempt } from '../../../state/attempt.ts';
import { changeOtherPost } from '../../../state/post/change-other-post.ts';
import { allTakenBack, offerUndo, type TakeBack } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { counted } from '../../../ui/figures.ts';
import { LinkedWords } from '../../../ui/linked-words.tsx';
import { STATUS_NAMES } from '../../../ui/status-names.ts';
import { WordLink } from '../../../ui/word-link.tsx';
import type { SettableLink } from '../../../workers/site-map.ts';
import { LongLookLine } from '../long-look-line.tsx';
import type { LongLook } from '../use-long-look.ts';
import { shareInWords } from './share-in-words.ts';

/** Puts a link into its post; answers the way back, null where its words are not there any more. */
const setLink = (link: SettableLink): Promise<TakeBack | null> =>
  changeOtherPost(
    link.postId,
    [{ kind: 'set-link', ...link.offer, href: link.offer.target.address }],
    `Before a link to "${link.toTitle}"`,
  );

/** The ten links that would help most over the whole site, with what each would do; set one by one, or all together. */
export function HelpfulList({
  look,
  onChoose,
}: {
  look: LongLook<SettableLink[]>;
  onChoose: (path: string) => void;
}) {
  const [isBusy, setIsBusy] = useState(false);
  const { answer } = look;
  const set = async (links: readonly SettableLink[]) => {
    setIsBusy(true);
    const backs: TakeBack[] = [];
    const put: SettableLink[] = [];
    try {
      for (const link of links) {
        const back = await setLink(link);
        if (back) backs.push(back);
        put.push(link);
      }
      const missed = links.length - backs.length;
      if (missed > 0) toast(`The words of ${counted(missed, 'link')} are not in their post any more.`);
    } finally {
      setIsBusy(false);
      look.change((now) => now.filter((one) => !put.includes(one)));
      if (backs.length > 0)
        offerUndo(`${counted(backs.length, 'link')} set.`, async () => {
          const stays = await allTakenBack(backs)();
          // What was set since stays set.
          look.change((now) => [...put.filter((one) => !now.includes(one)), ...now]);
          return stays;
        });
    }
  };
  return (
    <section aria-label="Links that help most" className="space-y-3 text-[13px]">
      <p className="text-soft">
        Words that stand in your posts already, from pages that pass on much weight to pages that have little;
        each with what it would do on the whole site.
      </p>
      {look.done === null && (
        <p className="flex flex-wrap gap-2">
          <Button look={answer ? 'plain' : 'main'} onClick={look.look}>
            {answer ? 'Look again' : 'Find the ten links that help most'}
          </Button>
          {answer && answer.length > 1 && (
            <Button
              look="main"
              disabled={isBusy}
              onClick={() => attempt(set(answer), 'The links could not be set')}
            >
              Set all {answer.length}
            </Button>
          )}
        </p>
      )}
      <LongLookLine of={look} name="Looking through the posts" />
      {answer?.length === 0 && <p>No post speaks of a page that it does not link to.</p>}
      <ol aria-label="The links">
        {(answer ?? []).map((link) => {
          // Whoever gives up too little for anybody to see it is not named.
          const losers = link.losers.filter(
            ({ before, after }) => shareInWords(before) !== shareInWords(after),
          );
          return (
            <li key={`${link.postId} ${link.toPath}`} className="border-t py-2 first:border-t-0">
              <p className="break-words">
                <WordLink quiet to={`/posts/${link.postId}/write`}>
                  {link.fromTitle}
                </WordLink>{' '}
                <span className="text-soft">to</span>{' '}
                <button
                  type="button"
                  onClick={() => onChoose(link.toPath)}
                  className="text-left font-semibold hover:text-sea"
                >
                  {link.toTitle}
                </button>
              </p>
              <p className="my-1 border-l-2 border-sand pl-2 font-serif leading-[1.35] break-words text-soft">
                <LinkedWords {...link.offer} />
              </p>
              <p className="tabular-nums">
                {shareInWords(link.before)} to <strong>{shareInWords(link.after)}</strong> of the site’s
                weight
                {link.isFirst && ', its first link'}
                {losers.length > 0 && (
                  <span className="block text-soft">
                    Given up by{' '}
                    {losers
                      .map(
                        ({ title, before, after }) =>
                          `${title} (${shareInWords(before)} to ${shareInWords(after)})`,
                      )
                      .join(', ')}
                  </span>
                )}
              </p>
              <p>
                <Button
                  look="word"
                  disabled={isBusy}
                  onClick={() => attempt(set([link]), 'The link could not be set')}
                >
                  Set this link
                </Button>
                {link.status === 'published' && (
                  <span className="text-soft"> {STATUS_NAMES[link.status]}: publish it anew afterwards.</span>
                )}
              </p>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
