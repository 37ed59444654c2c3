import { faqData } from '../../../../core/draft/index.ts';
import {
  type Letter,
  letterHtml,
  letterText,
  type ReusedPart,
  withCampaign,
} from '../../../../core/reuse/index.ts';
import type { SiteRow } from '../../../data/post-rows.ts';
import { loadPost } from '../../../data/posts.ts';
import type { ReuseRow } from '../../../data/reuse-rows.ts';
import { changeReuse, removeReuse } from '../../../data/reuses.ts';
import { zoneOf } from '../../../data/zone-of.ts';
import { attempt } from '../../../state/attempt.ts';
import type { PostSession } from '../../../state/post/post-session.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { copyText } from '../../../ui/copy-text.ts';
import { download } from '../../../ui/download.ts';
import { counted } from '../../../ui/figures.ts';
import type { HeldPart } from '../../../workers/reuse.ts';
import { talkWorker } from '../../../workers/talk-client.ts';
import { AskedWording } from './asked-wording.tsx';
import { GoingOut } from './going-out.tsx';
import { KIND_NAMES } from './kinds.ts';
import { LetterFields } from './letter-fields.tsx';
import { PartField } from './part-field.tsx';
import { SentencePicture } from './sentence-picture.tsx';
import { fromOf, useAddresses } from './use-made.ts';
import { WishesRow } from './wishes-row.tsx';

const quoted = (text: string) => `"${text.replaceAll('"', '""')}"`;

/** What was made, as one text. */
const wholeText = ({ parts }: ReuseRow): string =>
  parts.map(({ head, text }) => [head, text].filter(Boolean).join('\n')).join('\n\n');

/** One thing that was made: its wishes, its parts, and what becomes of it. */
export function MadeThing({
  row,
  session,
  site,
  address,
  held,
}: {
  row: ReuseRow;
  session: PostSession;
  site: SiteRow;
  address: string;
  held: readonly HeldPart[] | undefined;
}) {
  const { name, note } = KIND_NAMES[row.kind];
  const { title } = session.document.fields;
  const addresses = useAddresses(site, row, session.id, address);
  const fileName = `${session.document.fields.slug || 'post'}-${row.kind}`;
  const change = (make: (row: ReuseRow) => Partial<ReuseRow>) => attempt(changeReuse(row.id, make));
  const setPart = (at: number, text: string) =>
    change(({ parts }) => ({ parts: parts.map((part, index) => (index === at ? { ...part, text } : part)) }));
  const recordSent = (how: 'copied' | 'exported') =>
    change(({ sent }) => ({ sent: [...sent, { channel: '', how, at: new Date().toISOString() }] }));

  /** Made anew by other wishes; what was written into it since is offered back. */
  const again = async (wishes = row.wishes, tags = row.tags) => {
    const parts = await (await talkWorker()).make(
      row.kind,
      session.body,
      fromOf(session, address, tags),
      wishes,
    );
    if (parts.length === 0) return;
    const takeBack = await changeReuse(row.id, ({ parts: before, letter: own }) => ({
      // Of a letter the blurb of this post alone, wherever it stands.
      parts: own ? before.map((part, at) => (own.posts[at] === session.id ? parts[0] : part)) : parts,
      wishes,
      tags,
      made: new Date().toISOString(),
    }));
    offerUndo(`The ${name.toLowerCase()} was made anew from the post.`, takeBack);
  };
  const takeWording = async (parts: ReusedPart[]) => {
    const takeBack = await changeReuse(row.id, () => ({ parts, made: new Date().toISOString() }));
    offerUndo(`The ${name.toLowerCase()} reads otherwise now.`, takeBack);
  };
  const letter: Letter = {
    name: site.name,
    subject: row.letter?.subject ?? title,
    opening: row.letter?.opening ?? '',
    closing: row.letter?.closing ?? '',
    language: session.document.fields.language || site.language,
    items: row.parts.map(({ head, text }, at) => ({
      title: head,
      text,
      address: withCampaign(addresses.get(row.letter?.posts[at] ?? session.id) ?? '', row.tags),
    })),
  };
  const copyAll = async () => {
    const text = row.kind === 'newsletter' ? letterText(letter) : wholeText(row);
    await copyText(text, `The ${name.toLowerCase()} is copied.`, `${fileName}.txt`);
    recordSent('copied');
  };
  const save = (suffix: string, text: string, type: string) => {
    download(`${fileName}.${suffix}`, text, type);
    recordSent('exported');
  };
  const csv = () =>
    `${['number,title,text', ...row.parts.map(({ head, text }, at) => `${at + 1},${quoted(head)},${quoted(text)}`)].join('\r\n')}\r\n`;
  const data = () =>
    `<script type="application/ld+json">${faqData(row.parts.map(({ head, text }) => ({ question: head, answer: text })))}</script>`;
  const remove = async () => offerUndo(`The ${name.toLowerCase()} is gone.`, await removeReuse(row.id));
  const addPost = async (postId: string) => {
    const loaded = await loadPost(postId);
    if (!loaded) return;
    const { fields } = loaded.row;
    const from = {
      ...fromOf(session, '', []),
      title: fields.title,
      keyword: fields.keyword,
      supporting: fields.supporting,
    };
    const [made] = await (await talkWorker()).make('blurb', loaded.draft, from, row.wishes);
    const part: ReusedPart = made ?? {
      head: fields.title,
      text: fields.excerpt || fields.metaDescription,
      from: [],
    };
    change(({ parts, letter: own }) => ({
      parts: [...parts, part],
      ...(own ? { letter: { ...own, posts: [...own.posts, postId] } } : {}),
    }));
  };
  const move = (at: number, by: number) => {
    const swapped = <Thing,>(list: readonly Thing[]) => {
      const next = [...list];
      [next[at], next[at + by]] = [next[at + by], next[at]];
      return next;
    };
    change(({ parts, letter: own }) => ({
      parts: swapped(parts),
      ...(own ? { letter: { ...own, posts: swapped(own.posts) } } : {}),
    }));
  };
  const drop = (at: number) =>
    change(({ parts, letter: own }) => ({
      parts: parts.toSpliced(at, 1),
      ...(own ? { letter: { ...own, posts: own.posts.toSpliced(at, 1) } } : {}),
    }));
  const stale = (held ?? []).filter(({ gone }) => gone.length > 0).length;
  return (
    <section aria-label={name} className="max-w-3xl">
      <h2 className="font-serif text-xl font-semibold">{name}</h2>
      <p className="mb-3 text-[13px] text-soft">
        {note}, out of the post’s own sentences. Change what you like: what the post does not say is marked.
      </p>
      {stale > 0 && row.kind !== 'newsletter' && (
        <p role="note" className="mb-3 border-l-[3px] border-ochre bg-ochre-wash px-3 py-2 text-[13px]">
          The post changed: {counted(stale, 'part is', 'parts are')} out of date.{' '}
          <Button look="word" onClick={() => attempt(again())}>
            Make it anew
          </Button>
        </p>
      )}
      {row.kind === 'picture' && <SentencePicture row={row} session={session} site={site} />}
      {row.kind !== 'picture' && (
        <WishesRow
          kind={row.kind}
          wishes={row.wishes}
          tags={row.tags}
          onWishes={(wished) => attempt(again({ ...row.wishes, ...wished }))}
          onTags={(tags) => attempt(again(row.wishes, tags))}
        />
      )}
      <div className="mt-3">
        {row.letter && (
          <LetterFields
            row={row}
            letter={row.letter}
            onLetter={(wished) => change(({ letter: own }) => (own ? { letter: { ...own, ...wished } } : {}))}
            onAdd={(id) => attempt(addPost(id))}
            onMove={move}
            onDrop={drop}
          />
        )}
        <ol aria-label={`Parts of the ${name.toLowerCase()}`}>
          {row.parts.map((part, at) => (
            <PartField
              // biome-ignore lint/suspicious/noArrayIndexKey: parts have no other name than their place
              key={at}
              row={row}
              at={at}
              part={part}
              held={held?.[at]}
              onText={(text) => setPart(at, text)}
              onCopy={() => attempt(copyText(part.text, 'Copied.', `${fileName}-${at + 1}.txt`))}
              onRemove={() =>
                row.kind === 'newsletter'
                  ? drop(at)
                  : change(({ parts }) => ({ parts: parts.toSpliced(at, 1) }))
              }
            />
          ))}
        </ol>
      </div>
      <div className="mb-4 flex flex-wrap gap-2">
        {row.kind !== 'picture' && (
          <>
            <Button look="main" onClick={() => attempt(copyAll())}>
              Copy all of it
            </Button>
            {row.kind === 'newsletter' ? (
              <>
                <Button onClick={() => save('html', letterHtml(letter), 'text/html')}>Save as HTML</Button>
                <Button onClick={() => save('txt', letterText(letter), 'text/plain')}>Save as text</Button>
              </>
            ) : (
              <>
                <Button onClick={() => save('txt', `${wholeText(row)}\n`, 'text/plain')}>Save as text</Button>
                <Button onClick={() => save('csv', csv(), 'text/csv')}>Save as CSV</Button>
              </>
            )}
          </>
        )}
        {row.kind === 'faq' && (
          <Button
            onClick={() => attempt(copyText(data(), 'The structured data is copied.', `${fileName}.json`))}
          >
            Copy structured data
          </Button>
        )}
        <Button onClick={() => attempt(again())}>Make it anew</Button>
        <Button look="word" onClick={() => attempt(remove())}>
          Throw it away
        </Button>
      </div>
      <AskedWording
        key={row.id}
        row={row}
        session={session}
        site={site}
        from={fromOf(session, address, row.tags)}
        onTake={(parts) => attempt(takeWording(parts))}
      />
      <GoingOut
        row={row}
        title={title}
        address={address ? withCampaign(address, row.tags) : ''}
        zone={zoneOf(site)}
      />
    </section>
  );
}
