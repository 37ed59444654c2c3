import { useState } from 'react';
import type { DraftEdit } from '../../../../../../core/criteria/index.ts';
import type { Block } from '../../../../../../core/draft/index.ts';
import {
  type English,
  type PlacedRemark,
  type RemarkKind,
  wordsNear,
} from '../../../../../../core/proofreading/index.ts';
import { attempt } from '../../../../../state/attempt.ts';
import { applyAndSay } from '../../../../../state/post/apply-and-say.ts';
import { Button } from '../../../../../ui/button.tsx';
import { counted } from '../../../../../ui/figures.ts';
import { languageWorker } from '../../../../../workers/language-client.ts';
import { Editable } from '../../../frame/editable.tsx';
import { usePost } from '../../../frame/post-context.ts';
import type { BodyEditor } from '../../sheet/body-editor.ts';

/** Remarks of one kind that are shown before one asks for more. */
const SHOWN = 12;
/** Kinds whose list is folded at first: there are many, and few matter. */
const FOLDED: ReadonlySet<RemarkKind> = new Set<RemarkKind>(['passive', 'unknown']);
/** Kinds by words: equal ones are one entry. */
const BY_WORD: ReadonlySet<RemarkKind> = new Set<RemarkKind>(['spelling', 'unknown', 'house']);

/** The edit that puts a text in the place of a remark, wherever its words stand by now; null: they are not there any more. */
function editFor(
  { blockId, start, end, quote }: PlacedRemark,
  text: string,
  blocks: readonly Block[],
): DraftEdit | null {
  const now = blocks.find(({ id }) => id === blockId)?.text ?? '';
  const at = wordsNear(now, quote, start);
  return at === null
    ? null
    : { kind: 'replace-text', blockId, start: at, end: at + end - start, quote, text };
}

/** One kind of remarks: each with its words, what could stand there, and the way to it. */
export function RemarkGroup({
  kind,
  name,
  remarks,
  english,
  body,
  accept,
  switchOff,
}: {
  kind: RemarkKind;
  name: string;
  remarks: readonly PlacedRemark[];
  english: English | null;
  body: BodyEditor;
  accept: (word: string) => void;
  switchOff: () => void;
}) {
  const { session } = usePost();
  const [most, setMost] = useState(SHOWN);
  const entries = new Map<string, PlacedRemark[]>();
  for (const [at, remark] of remarks.entries()) {
    const key = BY_WORD.has(kind) ? remark.quote : `${at} ${remark.quote}`;
    const known = entries.get(key);
    if (known) known.push(remark);
    else entries.set(key, [remark]);
  }
  const write = (places: readonly PlacedRemark[], text: (remark: PlacedRemark) => string, said: string) => {
    const { blocks } = session.document.draft;
    // The last first, so that the places of the others stay.
    const edits = [...places].reverse().flatMap((place) => editFor(place, text(place), blocks) ?? []);
    applyAndSay(
      session,
      edits,
      said,
      'These words are not there any more. The language is being looked through anew.',
    );
  };
  const mendable = kind === 'article' || kind === 'repeated' || kind === 'house';
  const certain = mendable ? remarks.filter(({ instead }) => instead.length > 0) : [];
  const shown = [...entries].slice(0, most);
  return (
    <details open={!FOLDED.has(kind)} className="mt-4 first:mt-0">
      <summary className="cursor-pointer font-semibold">
        {name} {remarks.length}
      </summary>
      <p className="mt-0.5 flex flex-wrap gap-x-4 text-soft">
        <Editable>
          {certain.length > 1 && (
            <Button
              look="word"
              onClick={() =>
                write(
                  certain,
                  ({ instead }) => instead[0],
                  `${counted(certain.length, 'place')} mended: ${name.toLowerCase()}.`,
                )
              }
            >
              Mend all {certain.length}
            </Button>
          )}
          <Button look="word" className="font-normal text-soft" onClick={switchOff}>
            Switch off
          </Button>
        </Editable>
      </p>
      <ul aria-label={name}>
        {shown.map(([key, places]) => (
          <Remark
            // By its words: what was asked for one stays with it while the text around it changes.
            key={key}
            places={places}
            english={english}
            body={body}
            write={(text) =>
              write(
                places,
                () => text,
                text === ''
                  ? `“${places[0].quote}” is out.`
                  : `“${text}” stands in the place of “${places[0].quote}”.`,
              )
            }
            accept={kind === 'spelling' || kind === 'unknown' ? accept : null}
          />
        ))}
      </ul>
      {entries.size > most && (
        <Button look="word" onClick={() => setMost(most + 4 * SHOWN)}>
          {counted(entries.size - most, 'more')}
        </Button>
      )}
    </details>
  );
}

/** Words around a remark that are shown with it. */
const AROUND = 40;

function Remark({
  places,
  english,
  body,
  write,
  accept,
}: {
  places: readonly PlacedRemark[];
  english: English | null;
  body: BodyEditor;
  write: (text: string) => void;
  accept: ((word: string) => void) | null;
}) {
  const { session } = usePost();
  const [more, setMore] = useState<string[] | null>(null);
  const [{ kind, blockId, start, end, quote, says, instead }] = places;
  const text = session.document.draft.blocks.find(({ id }) => id === blockId)?.text ?? '';
  const offered = [...new Set([...instead, ...(more ?? [])])];
  const ask = async () => {
    if (english) setMore(await (await languageWorker()).suggest(english, quote));
  };
  return (
    <li className="border-t py-1.5">
      <button
        type="button"
        title="Show it in the text"
        onClick={() => body.select({ blockId, start, end })}
        className="block w-full text-left font-serif leading-[1.35] break-words text-soft hover:text-ink"
      >
        …{text.slice(Math.max(0, start - AROUND), start)}
        <mark className="bg-ochre-wash text-ink">{text.slice(start, end)}</mark>
        {text.slice(end, end + AROUND)}…{places.length > 1 && <span> ({places.length} times)</span>}
      </button>
      {kind !== 'spelling' && kind !== 'unknown' && <p className="text-soft">{says}</p>}
      <Editable>
        <p className="flex flex-wrap items-center gap-x-3 gap-y-1">
          {offered.slice(0, 6).map((one) => (
            <Button key={one} look="word" onClick={() => write(one)}>
              {kind === 'opening' || kind === 'repeated' ? 'Mend it' : one}
            </Button>
          ))}
          {accept && english && more === null && (
            <Button
              look="word"
              className="font-normal text-soft"
              onClick={() => attempt(ask(), 'No suggestion could be made')}
            >
              {instead.length > 0 ? 'Other suggestions' : 'Suggestions'}
            </Button>
          )}
          {more !== null && offered.length === 0 && <span className="text-soft">Nothing is near it.</span>}
          {accept && (
            <Button look="word" className="font-normal text-soft" onClick={() => accept(quote)}>
              It is right
            </Button>
          )}
        </p>
      </Editable>
    </li>
  );
}
