import { EditorContent } from '@tiptap/react';
import { Minimize2 } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useLocation } from 'react-router';
import type { FieldValue } from '../../../../core/writing/index.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useCommands } from '../../../state/use-commands.ts';
import { findingSet, patternAsked, quietSet } from '../../../state/view.ts';
import { counted } from '../../../ui/figures.ts';
import { isEnter } from '../../../ui/keys.ts';
import { Panes } from '../../../ui/panes.tsx';
import { Editable } from '../frame/editable.tsx';
import { LeftOverNotice } from '../frame/left-over-notice.tsx';
import { usePost } from '../frame/post-context.ts';
import { useLeftOver } from '../frame/use-left-over.ts';
import { useUnedited, useWaiting } from '../frame/use-unedited.ts';
import { SheetPlace } from './help/sheet-place.tsx';
import { useAskAtOnce, useHelpCommands } from './help/use-help-commands.ts';
import { useUnreadChecks } from './help/use-unread-checks.ts';
import { ListingEditor } from './listing/listing-editor.tsx';
import { ShareEditor } from './listing/share-editor.tsx';
import { SlugQuestion } from './listing/slug-question.tsx';
import { Margin } from './margin/margin.tsx';
import { BenchInHand } from './pictures/bench/bench-in-hand.tsx';
import { FeaturedEditor } from './pictures/featured-editor.tsx';
import { placePictures } from './pictures/insert-pictures.ts';
import { PicturePicker } from './pictures/picture-picker.tsx';
import { bodyEditor } from './sheet/body-editor.ts';
import { EmbedDialog } from './sheet/embed-dialog.tsx';
import { FindBar } from './sheet/find-bar.tsx';
import { focusedChain } from './sheet/focused-chain.ts';
import { LINK_KEYS } from './sheet/link-picker.tsx';
import { addEmbed, addFootnote, addLinkLine, addStep, setMore } from './sheet/put-in.ts';
import { Toolbar } from './sheet/toolbar.tsx';
import { useMarks } from './sheet/use-marks.ts';
import { useLed } from './use-led.ts';

/** What stands in a next step where the brief names none. */
const NEXT_STEP = 'What to do next';

/** Pixels of the sheet with its edges: a measure of 66 characters. */
const SHEET_WIDTH = 798;

/** Write: listing and sheet on the left, the margin beside them, one scroller. */
export function Write() {
  const { session } = usePost();
  const body = useMemo(() => bodyEditor(session), [session]);
  const title = useAppSelector((state) => state.openPost.fields.title);
  const { quiet, finding } = useAppSelector((state) => state.view);
  const dispatch = useAppDispatch();
  const [inHand, setInHand] = useState<string | null>(null);
  const [pinned, setPinned] = useState<string | null>(null);
  const [picking, setPicking] = useState(false);
  const [linking, setLinking] = useState(false);
  const [embedding, setEmbedding] = useState(false);
  const column = useRef<HTMLDivElement>(null);
  const file = useRef<HTMLInputElement>(null);
  const leftOver = useLeftOver(session);
  const unedited = useUnedited(session);
  const waiting = useWaiting(session);
  const checks = useUnreadChecks(session, unedited);
  const marked = useMemo(
    () => ({ leftOver: leftOver?.blocks ?? [], unedited, waiting, checks }),
    [leftOver, unedited, waiting, checks],
  );
  useMarks(body, quiet ? null : inHand, marked);
  useLed(body, session.id);
  const askAtOnce = useAskAtOnce(body);
  // Somebody was led here to ask by a pattern.
  const asked = useLocation().state as { pattern?: string; values?: FieldValue[] } | null;
  useEffect(() => {
    if (asked?.pattern) dispatch(patternAsked({ id: asked.pattern, values: asked.values ?? null }));
  }, [asked, dispatch]);
  useEffect(() => {
    body.ask = (what) => {
      if (what === 'picture-picker') setPicking(true);
      else if (what === 'picture-file') file.current?.click();
      else if (what === 'embed') setEmbedding(true);
      else if (what === 'pattern') dispatch(patternAsked({ id: '', values: null }));
      else if (what === 'continue' || what === 'section') askAtOnce(what);
      else {
        addStep(body.editor, session.document.fields.nextStep.trim() || NEXT_STEP);
        setLinking(true);
      }
    };
    return () => {
      body.ask = () => {};
    };
  }, [body, session, dispatch, askAtOnce]);
  // The next visit begins with everything in sight.
  useEffect(
    () => () => {
      dispatch(quietSet(false));
      dispatch(findingSet(false));
      dispatch(patternAsked(null));
    },
    [dispatch],
  );
  useCommands([
    {
      id: 'find',
      group: 'This post',
      name: 'Find and replace',
      keys: 'Mod+F',
      run: () => dispatch(findingSet(true)),
    },
    {
      id: 'quiet',
      group: 'This post',
      name: quiet ? 'Leave the quiet sheet' : 'Quiet: the sheet alone',
      keys: 'Mod+Shift+Q',
      run: () => dispatch(quietSet(!quiet)),
    },
    {
      id: 'link',
      group: 'This post',
      name: 'Link the selected words',
      keys: LINK_KEYS,
      isFor: () => body.editor.isFocused && !body.editor.state.selection.empty,
      run: () => setLinking(true),
    },
    {
      id: 'embed',
      group: 'This post',
      name: 'Embed a video, recording or map',
      run: () => setEmbedding(true),
    },
    { id: 'next-step', group: 'This post', name: 'Put in the next step', run: () => body.ask('next-step') },
    { id: 'footnote', group: 'This post', name: 'Add a footnote', run: () => addFootnote(body.editor) },
    { id: 'more', group: 'This post', name: 'Mark where lists stop', run: () => setMore(body.editor) },
    {
      id: 'picture-picker',
      group: 'This post',
      name: 'Put in a picture of the site',
      run: () => setPicking(true),
    },
  ]);
  useHelpCommands(askAtOnce);
  const putIn = (src: string) => {
    setPicking(false);
    placePictures(body.editor, [src], { caret: true });
  };
  return (
    <main className="relative h-full overflow-auto">
      {quiet && (
        <button
          type="button"
          onClick={() => dispatch(quietSet(false))}
          className="fixed top-3 right-4 z-30 inline-flex items-center gap-1.5 rounded-md border bg-sheet px-2.5 py-1 text-[13px] text-soft hover:text-ink"
        >
          <Minimize2 size={14} aria-hidden />
          Back to everything
        </button>
      )}
      <Panes
        name="write"
        together
        main={
          <div
            ref={column}
            className={`w-full px-6 max-[1100px]:px-4 max-[760px]:px-3 ${quiet ? 'mx-auto max-w-[798px] py-8' : ''}`}
          >
            {!quiet && (
              <>
                <Editable>
                  <ListingEditor />
                </Editable>
                <LeftOverNotice postId={session.id} leftOver={leftOver} />
                {unedited.length > 0 && (
                  <p
                    role="note"
                    className="mb-3 border-l-[3px] border-ochre bg-ochre-wash px-3 py-2 text-[13px]"
                  >
                    {counted(unedited.length, 'paragraph stands', 'paragraphs stand')} as{' '}
                    {unedited.length === 1 ? 'it was' : 'they were'} generated or came back. Change{' '}
                    {unedited.length === 1 ? 'it' : 'them'}, or say in Sources that you have read{' '}
                    {unedited.length === 1 ? 'it' : 'them'}.
                  </p>
                )}
              </>
            )}
            {/* biome-ignore lint/a11y/noStaticElementInteractions: hovering marked words shows their note, which is itself reached by keyboard */}
            {/* biome-ignore lint/a11y/useKeyWithMouseEvents: as above */}
            <div
              className="rounded-md border bg-sheet"
              onMouseOver={(event) => {
                const noted = (event.target as HTMLElement).closest<HTMLElement>('[data-note]');
                setInHand(noted?.dataset['note'] ?? null);
                setPinned(noted?.dataset['note'] ?? null);
              }}
            >
              <div className="sticky top-0 z-20">
                <Editable>
                  <Toolbar
                    editor={body.editor}
                    session={session}
                    file={file}
                    onPick={() => setPicking(true)}
                    linking={linking}
                    setLinking={setLinking}
                  />
                </Editable>
                {finding && <FindBar editor={body.editor} session={session} />}
              </div>
              <div className="px-10 pt-5 pb-10 max-[1100px]:px-6 max-[760px]:px-4">
                <label className="sr-only" htmlFor="post-title">
                  Title
                </label>
                <Editable>
                  <textarea
                    id="post-title"
                    data-place="title"
                    rows={1}
                    value={title}
                    placeholder="Title"
                    onChange={(event) => session.setFields({ title: event.target.value.replace(/\n/g, ' ') })}
                    onKeyDown={(event) => {
                      if (!isEnter(event)) return;
                      event.preventDefault();
                      focusedChain(body.editor).focus('start').run();
                    }}
                    className="field-sizing-content mb-3 block w-full resize-none bg-transparent font-serif text-[28px] leading-tight font-semibold outline-none"
                  />
                </Editable>
                <EditorContent editor={body.editor} />
                <SheetPlace body={body} />
              </div>
            </div>
            {!quiet && (
              <Editable>
                <FeaturedEditor />
                <ShareEditor />
              </Editable>
            )}
          </div>
        }
        side={
          quiet ? null : (
            <Margin body={body} column={column} inHand={inHand} setInHand={setInHand} pinned={pinned} />
          )
        }
        sideName="the margin"
        mainMost={SHEET_WIDTH}
        mainLeast={460}
        least={300}
        below={760}
      />
      <SlugQuestion />
      <EmbedDialog
        open={embedding}
        onClose={() => setEmbedding(false)}
        onEmbed={(found) => addEmbed(body.editor, found)}
        onLink={(address) => addLinkLine(body.editor, address)}
      />
      <BenchInHand />
      <PicturePicker
        siteId={session.siteId}
        open={picking}
        onClose={() => setPicking(false)}
        onChoose={putIn}
      />
    </main>
  );
}
