import { Button } from '../../../../../ui/button.tsx';
import type { JudgedTitle } from '../../../../../workers/titles.ts';
import { Editable } from '../../../frame/editable.tsx';
import { likenessInWords } from './title-words.ts';

/** What taking a title would do to the score. */
function Change({ score, now }: { score: number; now: number }) {
  const change = score - now;
  const isSame = Math.abs(change) < 0.05;
  return (
    <span className="whitespace-nowrap">
      {score.toFixed(1)}{' '}
      {!isSame && (
        <span className={change > 0 ? 'text-marram' : 'text-ochre'}>
          {change > 0 ? '+' : '−'}
          {Math.abs(change).toFixed(1)}
        </span>
      )}
    </span>
  );
}

/** One title with what it is made of, how it stands in the results, and what it would earn. */
export function TitleRow({
  text,
  from,
  judged,
  score,
  isTitle,
  isMetaTitle,
  take,
}: {
  text: string;
  from: string;
  /** Null: it is being judged. */
  judged: JudgedTitle | null;
  score: number;
  isTitle: boolean;
  isMetaTitle: boolean;
  take: (field: 'title' | 'metaTitle', text: string) => void;
}) {
  const like = judged
    ? [
        judged.onSite && likenessInWords(judged.onSite, 'a post of yours'),
        judged.inStudy && likenessInWords(judged.inStudy, 'a studied page'),
      ].filter((said) => said !== null)
    : [];
  return (
    <tr className="border-t align-top">
      <td className="py-2 pr-4">
        <span className="block font-listing text-[17px] leading-snug break-words">{text}</span>
        <span className="block text-soft">{from}</span>
        {like.map((said) => (
          <span key={said} className="block text-ochre">
            {said}
          </span>
        ))}
      </td>
      {judged ? (
        <>
          <td className="py-2 pr-4 whitespace-nowrap">
            {Math.round(judged.width)} px
            <span className="block text-soft">{judged.characters} characters</span>
            {judged.cut === 'title' && <span className="block text-ochre">its words are cut</span>}
            {judged.cut === 'pattern' && <span className="block text-soft">the site’s name is cut</span>}
          </td>
          <td className="py-2 pr-4">{judged.keyword}</td>
          <td className="py-2 pr-4">
            <Change score={judged.asTitle} now={score} />
            <Take isTaken={isTitle} name="title" onTake={() => take('title', text)} />
          </td>
          <td className="py-2">
            <Change score={judged.asMetaTitle} now={score} />
            <Take isTaken={isMetaTitle} name="meta title" onTake={() => take('metaTitle', text)} />
          </td>
        </>
      ) : (
        <td colSpan={4} className="py-2 text-soft">
          Being judged…
        </td>
      )}
    </tr>
  );
}

function Take({ isTaken, name, onTake }: { isTaken: boolean; name: string; onTake: () => void }) {
  return isTaken ? (
    <span className="block text-soft">is the {name}</span>
  ) : (
    <Editable>
      <Button look="word" className="block!" onClick={onTake}>
        Take for {name}
      </Button>
    </Editable>
  );
}
