import type { Editor } from '@tiptap/core';
import { useEditorState } from '@tiptap/react';
import {
  Bold,
  Code,
  Feather,
  Heading2,
  Heading3,
  Heading4,
  ImagePlus,
  Images,
  Italic,
  List,
  ListOrdered,
  Minus,
  Quote,
  Redo2,
  Search,
  Superscript,
  Table,
  Undo2,
} from 'lucide-react';
import type { RefObject } from 'react';
import type { StepLook } from '../../../../../core/draft/index.ts';
import { attempt } from '../../../../state/attempt.ts';
import type { PostSession } from '../../../../state/post/post-session.ts';
import { useAppDispatch } from '../../../../state/store.ts';
import { findingSet, patternAsked } from '../../../../state/view.ts';
import { FileInput } from '../../../../ui/file-button.tsx';
import { IconButton } from '../../../../ui/icon-button.tsx';
import { insertPictures } from '../pictures/insert-pictures.ts';
import { focusedChain } from './focused-chain.ts';
import { LinkPicker } from './link-picker.tsx';
import { addFootnote } from './put-in.ts';
import { StepTools } from './step-tools.tsx';
import { TableTools } from './table-tools.tsx';

/** Whether any words of the line in hand are a link. */
function hasLink({ state }: Editor): boolean {
  let found = false;
  state.selection.$from.parent.forEach(({ marks }) => {
    found ||= marks.some(({ type }) => type.name === 'link');
  });
  return found;
}

/** What the writer can do to the text in hand. */
export function Toolbar({
  editor,
  session,
  file,
  onPick,
  linking,
  setLinking,
}: {
  editor: Editor;
  session: PostSession;
  /** The field through which picture files come in. */
  file: RefObject<HTMLInputElement | null>;
  onPick: () => void;
  /** Whether the words in hand are being linked. */
  linking: boolean;
  setLinking: (linking: boolean) => void;
}) {
  const dispatch = useAppDispatch();
  const on = useEditorState({
    editor,
    selector: ({ editor: live }) => ({
      h2: live.isActive('heading', { level: 2 }),
      h3: live.isActive('heading', { level: 3 }),
      h4: live.isActive('heading', { level: 4 }),
      bold: live.isActive('bold'),
      italic: live.isActive('italic'),
      code: live.isActive('code'),
      bullet: live.isActive('bulletList'),
      ordered: live.isActive('orderedList'),
      quote: live.isActive('blockquote'),
      link: live.isActive('link'),
      table: live.isActive('table'),
      step: (live.getAttributes('paragraph')['step'] ?? null) as StepLook | null,
      stepLinked: hasLink(live),
      canUndo: live.can().undo(),
      canRedo: live.can().redo(),
    }),
  });
  const run = () => focusedChain(editor);
  const tools = [
    {
      name: 'Heading 2',
      keys: 'Ctrl Alt 2',
      icon: Heading2,
      active: on.h2,
      act: () => run().toggleHeading({ level: 2 }).run(),
    },
    {
      name: 'Heading 3',
      keys: 'Ctrl Alt 3',
      icon: Heading3,
      active: on.h3,
      act: () => run().toggleHeading({ level: 3 }).run(),
    },
    {
      name: 'Heading 4',
      keys: 'Ctrl Alt 4',
      icon: Heading4,
      active: on.h4,
      act: () => run().toggleHeading({ level: 4 }).run(),
    },
    { name: 'Bold', keys: 'Ctrl B', icon: Bold, active: on.bold, act: () => run().toggleBold().run() },
    {
      name: 'Italic',
      keys: 'Ctrl I',
      icon: Italic,
      active: on.italic,
      act: () => run().toggleItalic().run(),
    },
    {
      name: 'List',
      keys: 'Ctrl Shift 8',
      icon: List,
      active: on.bullet,
      act: () => run().toggleBulletList().run(),
    },
    {
      name: 'Numbered list',
      keys: 'Ctrl Shift 7',
      icon: ListOrdered,
      active: on.ordered,
      act: () => run().toggleOrderedList().run(),
    },
    {
      name: 'Quote',
      keys: 'Ctrl Shift B',
      icon: Quote,
      active: on.quote,
      act: () => run().toggleBlockquote().run(),
    },
    { name: 'Code', keys: 'Ctrl E', icon: Code, active: on.code, act: () => run().toggleCode().run() },
    {
      name: 'Table',
      keys: '',
      icon: Table,
      active: on.table,
      act: () => run().insertTable({ rows: 3, cols: 3, withHeaderRow: true }).run(),
    },
    {
      name: 'Footnote',
      keys: 'Ctrl Alt F',
      icon: Superscript,
      active: false,
      act: () => addFootnote(editor),
    },
    { name: 'Divider', keys: '', icon: Minus, active: false, act: () => run().setHorizontalRule().run() },
    { name: 'Picture', keys: '', icon: ImagePlus, active: false, act: () => file.current?.click() },
    { name: 'Picture of the site', keys: '', icon: Images, active: false, act: onPick },
  ];
  const tool = ({
    name,
    keys,
    icon,
    active,
    act,
    disabled,
  }: (typeof tools)[number] & { disabled?: boolean }) => (
    <IconButton
      key={name}
      name={name}
      icon={icon}
      hint={keys ? `${name} (${keys})` : name}
      look="tool"
      size={16}
      aria-pressed={active}
      disabled={disabled}
      onClick={act}
    />
  );
  return (
    <div
      role="toolbar"
      aria-label="Format"
      className="sticky top-0 z-20 flex flex-wrap items-center gap-0.5 rounded-t-md border-b bg-sheet px-3 py-1"
    >
      {tools.map(tool)}
      <LinkPicker editor={editor} session={session} active={on.link} open={linking} setOpen={setLinking} />
      {tool({
        name: 'Write with a pattern',
        keys: 'Ctrl Alt P',
        icon: Feather,
        active: false,
        act: () => void dispatch(patternAsked({ id: '', values: null })),
      })}
      <span className="ml-auto flex">
        {tool({
          name: 'Find and replace',
          keys: 'Ctrl F',
          icon: Search,
          active: false,
          act: () => void dispatch(findingSet(true)),
        })}
        {tool({
          name: 'Undo',
          keys: 'Ctrl Z',
          icon: Undo2,
          active: false,
          act: () => run().undo().run(),
          disabled: !on.canUndo,
        })}
        {tool({
          name: 'Redo',
          keys: 'Ctrl Shift Z',
          icon: Redo2,
          active: false,
          act: () => run().redo().run(),
          disabled: !on.canRedo,
        })}
      </span>
      {on.table && <TableTools editor={editor} />}
      {on.step && (
        <StepTools
          editor={editor}
          look={on.step}
          isLinked={on.stepLinked}
          onLink={() => {
            const { $from } = editor.state.selection;
            editor.chain().setTextSelection({ from: $from.start(), to: $from.end() }).run();
            setLinking(true);
          }}
        />
      )}
      <FileInput
        ref={file}
        label="Picture file"
        accept="image/*"
        multiple
        onFiles={(files) => attempt(insertPictures(session.siteId, editor, files))}
      />
    </div>
  );
}
