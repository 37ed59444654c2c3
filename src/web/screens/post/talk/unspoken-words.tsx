import { useEffect, useMemo, useState } from 'react';
import type { Unspoken } from '../../../../core/talk/index.ts';
import { attempt } from '../../../state/attempt.ts';
import type { PostSession } from '../../../state/post/post-session.ts';
import { useAppSelector } from '../../../state/store.ts';
import { listInWords } from '../../../ui/figures.ts';
import { talkWorker } from '../../../workers/talk-client.ts';
import { TimeButton } from './time-button.tsx';

/** What a post wishes to say, by name, and in which words. */
function useWishes(session: PostSession): [name: string, phrase: string][] {
  const { keyword, supporting, title, metaTitle, metaDescription } = useAppSelector(
    (state) => state.openPost.fields,
  );
  const report = useAppSelector((state) => state.openPost.report);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each report tells that a heading may have changed
  return useMemo(() => {
    const headings = session.body.blocks
      .filter(({ kind }) => kind === 'heading')
      .map(({ text }): [string, string] => ['Heading', text]);
    const wishes: [string, string][] = [
      ['Keyword', keyword],
      ...supporting.map((phrase): [string, string] => ['Supporting keyword', phrase]),
      ['Title', title],
      ['Meta title', metaTitle],
      ['Meta description', metaDescription],
      ...headings,
    ];
    return wishes.filter(([, phrase]) => phrase.trim() !== '');
  }, [session, keyword, supporting, title, metaTitle, metaDescription, report]);
}

/** Words of the keyword, the headings and the listing that nobody said, with the places where the speaker came near. */
export function UnspokenWords({
  session,
  at,
  onTime,
}: {
  session: PostSession;
  at: string;
  onTime: (seconds: number) => void;
}) {
  const wishes = useWishes(session);
  const asked = JSON.stringify(wishes);
  const [found, setFound] = useState<Unspoken[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked anew where a phrase or the talk changed
  useEffect(() => {
    let isOver = false;
    const look = async () => {
      const answer = await (await talkWorker()).unspokenOf(
        session.id,
        wishes.map(([, phrase]) => phrase),
      );
      if (!isOver) setFound(answer);
    };
    attempt(look());
    return () => {
      isOver = true;
    };
  }, [asked, at, session]);
  const names = new Map(wishes.map(([name, phrase]) => [phrase, name]));
  return (
    <section aria-label="Words that nobody said" className="text-[13px]">
      <h3 className="mb-1 font-semibold">Words that nobody said {found.length}</h3>
      {found.length === 0 ? (
        <p className="text-soft">Keyword, title, headings and listing are all in words of the talk.</p>
      ) : (
        <ul>
          {found.map(({ phrase, words, places }) => (
            <li key={phrase} className="border-t py-1.5">
              <p>
                {names.get(phrase) ?? 'Phrase'} “{phrase}”: nobody said{' '}
                <strong className="font-semibold text-ochre">{listInWords(words)}</strong>.
              </p>
              {places.length > 0 && (
                <ul aria-label={`Near “${phrase}”`} className="mt-1 space-y-1 text-soft">
                  {places.map(({ text, start }) => (
                    <li key={text} className="border-l-2 border-sand pl-2 font-serif leading-[1.4]">
                      <TimeButton seconds={start} onTime={onTime} className="mr-1.5" />
                      {text}
                    </li>
                  ))}
                </ul>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
