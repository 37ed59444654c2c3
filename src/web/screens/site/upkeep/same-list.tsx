import { None } from '../../../ui/empty.tsx';
import { counted } from '../../../ui/figures.ts';
import { WordLink } from '../../../ui/word-link.tsx';
import type { Upkeep } from '../../../workers/site-upkeep.ts';
import { PostLink } from './post-link.tsx';

const PASSAGES = 3;
/** Characters of a passage that are shown. */
const LONG = 220;
const SHOWN = 200;

/** Posts that say the same in the same words, with the passages. */
export function SameList({ found }: { found: Upkeep }) {
  if (found.same.length === 0) return <None>No two posts say the same in the same words.</None>;
  return (
    <ul aria-label="Posts with the same text" className="max-w-4xl">
      {found.same.slice(0, SHOWN).map(({ ids, words, share, passages }) => (
        <li key={ids.join()} className="border-t py-3 first:border-t-0">
          <p className="break-words">
            <PostLink id={ids[0]} found={found} /> <span className="text-soft">and</span>{' '}
            <PostLink id={ids[1]} found={found} />
          </p>
          <p className="text-[13px] text-soft">
            {counted(words, 'word')} in both, {Math.round(share * 100)} % of the shorter one.{' '}
            <WordLink to={`/site/upkeep/join/${ids[0]}/${ids[1]}`}>Join them…</WordLink>
          </p>
          <ul className="mt-1 text-[13px]">
            {passages.slice(0, PASSAGES).map(({ text, blocks }) => (
              <li key={blocks.join()} className="break-words border-l-2 pl-3 text-soft">
                “{text.length > LONG ? `${text.slice(0, LONG).replace(/\s\S*$/, '')} …` : text}”
              </li>
            ))}
            {passages.length > PASSAGES && (
              <li className="pl-3 text-soft">
                And {counted(passages.length - PASSAGES, 'further passage')}.
              </li>
            )}
          </ul>
        </li>
      ))}
    </ul>
  );
}
