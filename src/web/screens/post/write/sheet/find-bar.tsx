import type { Editor } from '@tiptap/core';
import { closeHistory } from '@tiptap/pm/history';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { findNext, findPrev, SearchQuery, setSearchState } from 'prosemirror-search';
import { useEffect, useRef, useState } from 'react';
import type { PostSession } from '../../../../state/post/post-session.ts';
import { useAppDispatch } from '../../../../state/store.ts';
import { offerUndo } from '../../../../state/undo.ts';
import { findingSet } from '../../../../state/view.ts';
import { Button } from '../../../../ui/button.tsx';
import { CheckField } from '../../../../ui/check-field.tsx';
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

/** Finds words on the sheet and replaces them. */
export function FindBar({ editor, session }: { editor: Editor; session: PostSession }) {
  const dispatch = useAppDispatch();
  const [search, setSearch] = useState('');
  const [replace, setReplace] = useState('');
  const [caseSensitive, setCaseSensitive] = useState(false);
  const [wholeWord, setWholeWord] = useState(false);
  const [said, setSaid] = useState('');
  const field = useRef<HTMLInputElement>(null);
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
    editor.commands.focus();
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
    if (places.length === 0 || !editor.isEditable) return;
    const takeBack = session.tracked(() => put(places));
    tell();
    offerUndo(`${places.length} ${places.length === 1 ? 'place' : 'places'} replaced.`, takeBack);
  };
  const box = 'w-44 rounded border px-2 py-0.5';
  return (
    <search
      aria-label="Find and replace"
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
          if (event.key === 'Escape') close();
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
            if (event.key === 'Escape') close();
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
      <span className="ml-auto">
        <IconButton name="Close find and replace" onClick={close} icon={X} />
      </span>
    </search>
  );
}
