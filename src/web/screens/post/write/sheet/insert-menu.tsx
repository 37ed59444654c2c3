import { type Editor, Extension, type Range } from '@tiptap/core';
import { PluginKey } from '@tiptap/pm/state';
import { ReactRenderer } from '@tiptap/react';
import Suggestion, { type SuggestionProps } from '@tiptap/suggestion';
import { type Ref, useEffect, useId, useImperativeHandle, useRef, useState } from 'react';
import { focusedChain } from './focused-chain.ts';
import { addFootnote, setMore } from './put-in.ts';

/** What the menu can ask of the screen around the sheet. */
export type Ask =
  | 'picture-file'
  | 'picture-picker'
  | 'embed'
  | 'next-step'
  | 'continue'
  | 'section'
  | 'pattern';

interface Insert {
  name: string;
  /** Other words by which it is found. */
  words: string;
  run: (editor: Editor, range: Range, ask: (what: Ask) => void) => void;
}

const cleared = (editor: Editor, range: Range) => focusedChain(editor).deleteRange(range);

const INSERTS: readonly Insert[] = [
  ...([2, 3, 4] as const).map(
    (level): Insert => ({
      name: `Heading ${level}`,
      words: `h${level} title section`,
      run: (editor, range) => cleared(editor, range).setHeading({ level }).run(),
    }),
  ),
  {
    name: 'Bulleted list',
    words: 'points items',
    run: (editor, range) => cleared(editor, range).toggleBulletList().run(),
  },
  {
    name: 'Numbered list',
    words: 'steps ordered',
    run: (editor, range) => cleared(editor, range).toggleOrderedList().run(),
  },
  {
    name: 'Quote',
    words: 'blockquote',
    run: (editor, range) => cleared(editor, range).setBlockquote().run(),
  },
  {
    name: 'Table',
    words: 'rows columns grid',
    run: (editor, range) =>
      cleared(editor, range).insertTable({ rows: 3, cols: 3, withHeaderRow: true }).run(),
  },
  {
    name: 'Picture from a file',
    words: 'image photo upload',
    run: (editor, range, ask) => {
      cleared(editor, range).run();
      ask('picture-file');
    },
  },
  {
    name: 'Picture of the site',
    words: 'image photo gallery again',
    run: (editor, range, ask) => {
      cleared(editor, range).run();
      ask('picture-picker');
    },
  },
  {
    name: 'Embed',
    words: 'video audio map recording player address frame',
    run: (editor, range, ask) => {
      cleared(editor, range).run();
      ask('embed');
    },
  },
  {
    name: 'Next step',
    words: 'button call action link',
    run: (editor, range, ask) => {
      cleared(editor, range).run();
      ask('next-step');
    },
  },
  {
    name: 'Footnote',
    words: 'note source reference',
    run: (editor, range) => {
      cleared(editor, range).run();
      addFootnote(editor);
    },
  },
  {
    name: 'Read more',
    words: 'teaser mark lists excerpt cut',
    run: (editor, range) => {
      cleared(editor, range).run();
      setMore(editor);
    },
  },
  {
    name: 'Divider',
    words: 'line rule',
    run: (editor, range) => cleared(editor, range).setHorizontalRule().run(),
  },
  {
    name: 'Code',
    words: 'block listing',
    run: (editor, range) => cleared(editor, range).setCodeBlock().run(),
  },
  {
    name: 'Continue the text',
    words: 'write help generate go on',
    run: (editor, range, ask) => {
      cleared(editor, range).run();
      ask('continue');
    },
  },
  {
    name: 'Section from its notes',
    words: 'write help generate draft',
    run: (editor, range, ask) => {
      cleared(editor, range).run();
      ask('section');
    },
  },
  {
    name: 'Any pattern',
    words: 'write help generate ask',
    run: (editor, range, ask) => {
      cleared(editor, range).run();
      ask('pattern');
    },
  },
];

const found = (query: string): Insert[] => {
  const words = query.toLowerCase().split(/\s+/).filter(Boolean);
  return INSERTS.filter((insert) =>
    words.every((word) => `${insert.name} ${insert.words}`.toLowerCase().includes(word)),
  );
};

interface MenuHandle {
  onKeyDown(event: KeyboardEvent): boolean;
}

function Menu({ items, command, editor, ref }: SuggestionProps<Insert, Insert> & { ref?: Ref<MenuHandle> }) {
  const [at, setAt] = useState(0);
  const list = useRef<HTMLDivElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another list begins at its first entry
  useEffect(() => setAt(0), [items]);
  const id = useId();
  useEffect(() => {
    list.current?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' });
  });
  // The focus stays in the text: what is in hand in the menu is said from there.
  useEffect(() => {
    const { dom } = editor.view;
    if (items.length === 0) return;
    dom.setAttribute('aria-controls', id);
    dom.setAttribute('aria-activedescendant', `${id}-${at}`);
    return () => {
      dom.removeAttribute('aria-controls');
      dom.removeAttribute('aria-activedescendant');
    };
  }, [editor, items, at, id]);
  useImperativeHandle(ref, () => ({
    onKeyDown({ key, isComposing }) {
      if (items.length === 0 || isComposing) return false;
      if (key === 'ArrowDown') setAt((at + 1) % items.length);
      else if (key === 'ArrowUp') setAt((at + items.length - 1) % items.length);
      else if (key === 'Enter' || key === 'Tab') command(items[at]);
      else return false;
      return true;
    },
  }));
  if (items.length === 0) return null;
  return (
    <div
      ref={list}
      id={id}
      role="listbox"
      aria-label="Insert"
      tabIndex={-1}
      className="rise max-h-72 w-56 overflow-auto rounded-md border bg-sheet p-1 font-sans text-[14px]"
    >
      {items.map((item, index) => (
        <div
          key={item.name}
          id={`${id}-${index}`}
          role="option"
          aria-selected={index === at}
          tabIndex={-1}
          onMouseEnter={() => setAt(index)}
          // The editor must keep the focus.
          onMouseDown={(event) => {
            event.preventDefault();
            command(item);
          }}
          className="cursor-pointer rounded px-2 py-1 aria-selected:bg-paper aria-selected:font-semibold"
        >
          {item.name}
        </div>
      ))}
    </div>
  );
}

/** A menu of what can be put in, opened by `/` at the beginning of a line. */
export const insertMenu = (ask: (what: Ask) => void) =>
  Extension.create({
    name: 'insertMenu',
    addProseMirrorPlugins() {
      return [
        Suggestion<Insert, Insert>({
          editor: this.editor,
          pluginKey: new PluginKey('insertMenu'),
          char: '/',
          startOfLine: true,
          placement: 'bottom-start',
          offset: { mainAxis: 6 },
          allowSpaces: true,
          items: ({ query }) => found(query),
          allow: ({ state }) => state.selection.$from.parent.type.name === 'paragraph',
          command: ({ editor, range, props }) => props.run(editor, range, ask),
          render: () => {
            let menu: ReactRenderer<MenuHandle, SuggestionProps<Insert, Insert>> | null = null;
            let unmount = () => {};
            return {
              onStart: (props) => {
                menu = new ReactRenderer<MenuHandle, SuggestionProps<Insert, Insert>>(Menu, {
                  props,
                  editor: props.editor,
                });
                (menu.element as HTMLElement).style.zIndex = '50';
                unmount = props.mount(menu.element as HTMLElement);
              },
              onUpdate: (props) => {
                menu?.updateProps(props);
              },
              onKeyDown: ({ event }) => menu?.ref?.onKeyDown(event) ?? false,
              onExit: () => {
                unmount();
                menu?.destroy();
                menu = null;
              },
            };
          },
        }),
      ];
    },
  });
