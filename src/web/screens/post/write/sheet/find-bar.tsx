import type { Editor } from '@tiptap/core';
import { closeHistory } from '@tiptap/pm/history';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { findNext, findPrev, SearchQuery, setSearchState } from 'prosemirror-search';
import { useEffect, useRef, useState } from 'react';
import { type FoundPart, findInParts, replaceInParts } from '../../../../../core/writing/index.ts';
import type { PostSession } from '../../../../state/post/post-session.ts';
import { useAppDispatch, useAppSelector } from '../../../../state/store.ts';
import { offerUndo } from '../../../../state/undo.ts';
import { findingSet } from '../../../../state/view.ts';
import { Button } from '../../../../ui/button.tsx';
import { CheckField } from '../../../../ui/check-field.tsx';
import { counted } from '../../../../ui/figures.ts';
import { IconButton } from '../../../../ui/icon-button.tsx';
import { isEnter } from '../../../../ui/keys.ts';

/** Every place of a query in the text. */
function placesOf(editor: Editor, query: SearchQuery): { from: number; to: number }[] {
  const places: { from: number; to: number }[] = [];
  if (!query.valid) return places;
  for (let hit = query.findNext(editor.state, 0); hit; hit = query.findNext(editor.state, hit.to)) {
    if (hit.to === hit.from) break;
    places.push(hit);
  }
  return places;
}

/** What a part is called, and where it stands on the screen. */
const PARTS: Record<FoundPart['part'], { name: string; place: string }> = {
  title: { name: 'title', place: 'title' },
  metaTitle: { name: 'meta title', place: 'meta-title' },
  metaDescription: { name: 'meta description', place: 'meta-description' },
  excerpt: { name: 'excerpt', place: 'featured' },
  imageAlt: { name: 'alt text of the featured picture', place: 'featured' },
  alt: { name: 'alt text', place: '' },
  shareTitle: { name: 'title for shares', place: 'share' },
  shareDescription: { name: 'description for shares', place: 'share' },
  caption: { name: 'caption', place: '' },
  embed: { name: 'title of an embed', place: '' },
};

/** Leads to a part beside the text. */
function goTo(editor: Editor, { part, blockId }: FoundPart): void {
  if (blockId === null) {
    const place = document.querySelector<HTMLElement>(`[data-place="${PARTS[part].place}"]`);
    place?.scrollIntoView({ block: 'center' });
    const fields = place?.matches('input, textarea')
      ? [place]
      : place?.querySelectorAll<HTMLElement>('input, textarea');
    const typed = [...(fields ?? [])].filter((field) => field.getAttribute('type') !== 'file');
    // The excerpt and the description of shares are the last fields of their places, every other the first.
    typed.at(part === 'excerpt' || part === 'shareDescription' ? -1 : 0)?.focus();
    return;
  }
  editor.state.doc.descendants((node, at) => {
    if (node.attrs['blockId'] === blockId) editor.chain().setNodeSelection(at).scrollIntoView().run();
    return !node.isTextblock;
  });
}

/** Finds words on the sheet, and beside it in title, listing and pictures, and replaces them. */
export function FindBar({ editor, session }: { editor: Editor; session: PostSession }) {
  const dispatch = useAppDispatch();
  const [search, setSearch] = useState('');
  const [replace, setReplace] = useState('');
  const [caseSensitive, setCaseSensitive] = useState(false);
  const [wholeWord, setWholeWord] = useState(false);
  const [said, setSaid] = useState('');
  const field = useRef<HTMLInputElement>(null);
  // Each report and each field that is typed in may change what is found beside the text.
  useAppSelector((state) => state.openPost.report);
  const fields = useAppSelector((state) => state.openPost.fields);
  const beside = findInParts({ fields, draft: session.document.draft }, { search, caseSensitive, wholeWord });
  const query = new SearchQuery({ search, caseSensitive, wholeWord, literal: true });

  const tell = () => {
    const places = placesOf(editor, query);
    const { from, to } = editor.state.selection;
    const at = places.findIndex((place) => place.from === from && place.to === to);
    setSaid(
      search === ''
        ? ''
        : places.length === 0
          ? 'Not found'
          : at < 0
            ? `${places.length} found`
            : `${at + 1} of ${places.length}`,
    );
  };
  useEffect(() => {
    field.current?.focus();
    return () => {
      if (!editor.isDestroyed)
        editor.view.dispatch(setSearchState(editor.state.tr, new SearchQuery({ search: '' })));
    };
  }, [editor]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the query is made of these
  useEffect(() => {
    editor.view.dispatch(setSearchState(editor.state.tr, query).setMeta('addToHistory', false));
    tell();
  }, [editor, search, caseSensitive, wholeWord]);

  const run = (command: typeof findNext) => {
    command(editor.state, editor.view.dispatch);
    editor.commands.scrollIntoView();
    tell();
  };
  const close = () => {
    dispatch(findingSet(false));
    editor.view.focus();
  };
  /** Puts the other words where the found ones stood, the last first so that places stay right. */
  const put = (places: readonly { from: number; to: number }[]) => {
    if (!editor.isEditable) return;
    const { tr } = editor.state;
    for (const { from, to } of places.toReversed())
      if (replace === '') tr.delete(from, to);
      else tr.insertText(replace, from, to);
    editor.view.dispatch(closeHistory(tr));
  };
  const one = () => {
    const { from, to } = editor.state.selection;
    const place = placesOf(editor, query).find((found) => found.from === from && found.to === to);
    if (place) put([place]);
    run(findNext);
  };
  const all = () => {
    const places = placesOf(editor, query);
    if (!editor.isEditable || places.length + beside.length === 0) return;
    const count = places.length + beside.reduce((sum, { places: more }) => sum + more.length, 0);
    const takeBack = session.tracked(() => {
      if (places.length > 0) put(places);
      session.apply(replaceInParts(beside, replace));
    });
    tell();
    offerUndo(`${counted(count, 'place')} replaced.`, takeBack);
  };
  const box = 'w-44 rounded border px-2 py-0.5';
  return (
    <search
      aria-label="Find and replace"
      onKeyDown={({ key }) => {
        if (key === 'Escape') close();
      }}
      className="flex flex-wrap items-center gap-x-3 gap-y-1.5 border-b bg-sheet px-3 py-1.5 text-[13px]"
    >
      <input
        ref={field}
        aria-label="Find"
        placeholder="Find"
        value={search}
        onChange={(event) => setSearch(event.target.value)}
        onKeyDown={(event) => {
          if (isEnter(event)) run(event.shiftKey ? findPrev : findNext);
        }}
        className={box}
      />
      <span role="status" className="min-w-16 text-soft">
        {said}
      </span>
      <IconButton name="Previous place" onClick={() => run(findPrev)} icon={ArrowUp} />
      <IconButton name="Next place" onClick={() => run(findNext)} icon={ArrowDown} />
      <CheckField checked={caseSensitive} onChange={(checked) => setCaseSensitive(checked)}>
        Same case
      </CheckField>
      <CheckField checked={wholeWord} onChange={(checked) => setWholeWord(checked)}>
        Whole words
      </CheckField>
      <span className="flex items-center gap-2">
        <input
          aria-label="Replace with"
          placeholder="Replace with"
          value={replace}
          onChange={(event) => setReplace(event.target.value)}
          onKeyDown={(event) => {
            if (isEnter(event)) one();
          }}
          className={box}
        />
        <Button className="min-h-0 py-0.5" onClick={() => one()}>
          Replace
        </Button>
        <Button className="min-h-0 py-0.5" onClick={all}>
          All
        </Button>
      </span>
      {beside.length > 0 && (
        <span className="order-last flex w-full flex-wrap items-baseline gap-x-3 text-soft">
          Beside the text:
          {beside.map((found) => (
            <Button
              key={`${found.part} ${found.blockId}`}
              look="word"
              className="font-normal"
              onClick={() => goTo(editor, found)}
            >
              {PARTS[found.part].name} {found.places.length}
            </Button>
          ))}
        </span>
      )}
      <span className="ml-auto">
        <IconButton name="Close find and replace" onClick={close} icon={X} />
      </span>
    </search>
  );
}
