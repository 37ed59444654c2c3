import { Command as Palette } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { commandsAtHand, keysInWords } from '../state/commands.ts';
import { PalettePosts, paletteFit } from './palette-posts.tsx';

const FRAME =
  'rise fixed top-[12vh] left-1/2 z-50 w-[min(600px,94vw)] -translate-x-1/2 overflow-hidden rounded-md border bg-sheet';

/** What the writer has in hand comes first. */
const GROUPS = ['This post', 'Write with a pattern', 'Go to', 'House', 'Help'];

const byGroup = () => {
  const groups = new Map<string, ReturnType<typeof commandsAtHand>[number][]>();
  for (const command of commandsAtHand())
    groups.set(command.group, [...(groups.get(command.group) ?? []), command]);
  return [...groups].sort(([a], [b]) => GROUPS.indexOf(a) - GROUPS.indexOf(b));
};

const Keys = ({ keys }: { keys: string }) => (
  <kbd className="ml-auto shrink-0 font-sans text-[12px] whitespace-nowrap text-soft">
    {keysInWords(keys)}
  </kbd>
);

const GROUP =
  '[&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:text-[12px] [&_[cmdk-group-heading]]:text-soft';

/** Every action by its name and every post by its words, to be found by typing. */
export function CommandPalette({ onClose }: { onClose: () => void }) {
  const [typed, setTyped] = useState('');
  const navigate = useNavigate();
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-veil" />
        <Dialog.Content aria-describedby={undefined} className={FRAME}>
          <Dialog.Title className="sr-only">Actions</Dialog.Title>
          <Palette label="Actions" loop filter={paletteFit}>
            <Palette.Input
              value={typed}
              onValueChange={setTyped}
              placeholder="What would you like to do, or which post?"
              className="w-full border-b bg-transparent px-4 py-3 text-[15px] outline-none"
            />
            <Palette.List className="max-h-[52vh] overflow-auto p-2">
              <Palette.Empty className="px-3 py-6 text-center text-soft">
                No action and no post has these words.
              </Palette.Empty>
              {byGroup().map(([group, commands]) => (
                <Palette.Group key={group} heading={group} className={GROUP}>
                  {commands.map(({ id, name, keys, run }) => (
                    <Palette.Item
                      key={id}
                      value={`${group} ${name}`}
                      onSelect={() => {
                        onClose();
                        // The dialog gives the focus back first.
                        setTimeout(run);
                      }}
                      className="flex cursor-pointer items-center gap-3 rounded px-2 py-1.5 data-[selected=true]:bg-paper"
                    >
                      <span className="min-w-0 truncate">{name}</span>
                      {keys && <Keys keys={keys} />}
                    </Palette.Item>
                  ))}
                </Palette.Group>
              ))}
              <PalettePosts
                typed={typed}
                className={GROUP}
                onTake={(path) => {
                  onClose();
                  navigate(path);
                }}
              />
            </Palette.List>
          </Palette>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** Shortcuts of the editor itself, beside those of the commands. */
const EDITOR_KEYS: [name: string, keys: string][] = [
  ['Insert menu, at the beginning of a line', '/'],
  ['Bold', 'Mod+B'],
  ['Italic', 'Mod+I'],
  ['Code', 'Mod+E'],
  ['Heading 2, 3, 4', 'Mod+Alt+2, 3, 4'],
  ['Numbered list', 'Mod+Shift+7'],
  ['Bulleted list', 'Mod+Shift+8'],
  ['Quote', 'Mod+Shift+B'],
  ['Undo', 'Mod+Z'],
  ['Redo', 'Mod+Shift+Z'],
  ['Leave the sheet by keyboard', 'Escape, then Tab'],
];

/** The list of all shortcuts. */
export function ShortcutList({ onClose }: { onClose: () => void }) {
  const groups: [string, [string, string][]][] = [
    ...byGroup().map(([group, commands]): [string, [string, string][]] => [
      group,
      commands.flatMap(({ name, keys }): [string, string][] => (keys ? [[name, keys]] : [])),
    ]),
    ['On the sheet', EDITOR_KEYS],
    [
      'Outline',
      [
        ['Move a heading up or down', 'Alt+↑ ↓'],
        ['Lift or nest a heading', 'Alt+← →'],
        ['Add a heading below', 'Enter'],
      ],
    ],
  ];
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-veil" />
        <Dialog.Content
          aria-describedby={undefined}
          className={`${FRAME} max-h-[76vh] overflow-auto px-6 py-5`}
        >
          <Dialog.Title className="mb-3 font-serif text-xl font-semibold">Shortcuts</Dialog.Title>
          <div className="gap-8 sm:columns-2">
            {groups
              .filter(([, rows]) => rows.length > 0)
              .map(([group, rows]) => (
                <section key={group} className="mb-4 break-inside-avoid">
                  <h3 className="mb-1 font-semibold">{group}</h3>
                  <ul className="text-[13px]">
                    {rows.map(([name, keys]) => (
                      <li key={name} className="flex items-baseline gap-3 border-t py-1">
                        {name}
                        <Keys keys={keys} />
                      </li>
                    ))}
                  </ul>
                </section>
              ))}
          </div>
          <Dialog.Close className="rounded-md border bg-sheet px-2.5 py-1.5 hover:border-soft">
            Close
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
