/** Something the writer can do, as the palette and the list of shortcuts show it. */
export interface Command {
  id: string;
  name: string;
  /** Where it belongs, as a heading of the palette. */
  group: string;
  /** e.g. `Mod+Shift+F`; `Mod` is Ctrl, or the command key on a Mac. */
  keys?: string;
  /** Asked with its keys: where it says no, they are another command's. */
  isFor?: () => boolean;
  run: () => void;
}

let lists: readonly (readonly Command[])[] = [];
let all: readonly Command[] = [];

const changed = () => {
  all = lists.flat();
};

/** Offers commands until the answer is called. */
export function offerCommands(commands: readonly Command[]): () => void {
  lists = [...lists, commands];
  changed();
  return () => {
    lists = lists.filter((list) => list !== commands);
    changed();
  };
}

/** Every command that can be given just now; the latest offered first under the same id. */
export const commandsAtHand = (): readonly Command[] => all;

/**
 * The command that a key press asks for, the latest offered first; null where it asks for none. Without Ctrl, command
 * key or Alt a key belongs to the field in which it is typed, and what composes a character is no key press yet.
 */
export function commandFor(event: KeyboardEvent): Command | null {
  if (event.isComposing) return null;
  const command = all.findLast(({ keys, isFor }) => keys && isPressed(keys, event) && (!isFor || isFor()));
  if (!command || (!/Mod|Alt/.test(command.keys ?? '') && isTyping(event.target))) return null;
  return command;
}

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(?:INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

const isMac = () => /Mac|iPhone|iPad/.test(navigator.platform);

/** Keys as they are named on this machine. */
export const keysInWords = (keys: string): string =>
  keys.replace('Mod', isMac() ? '⌘' : 'Ctrl').replaceAll('+', ' ');

/** Whether a key press is the one that a command is bound to. */
export function isPressed(keys: string, event: KeyboardEvent): boolean {
  const parts = keys.split('+');
  const key = parts.at(-1) ?? '';
  const mod = isMac() ? event.metaKey : event.ctrlKey;
  return (
    // Alt turns digits into other signs on some machines: the key itself tells.
    (/^\d$/.test(key)
      ? event.code === `Digit${key}`
      : key.length === 1
        ? event.key.toLowerCase() === key.toLowerCase()
        : event.key === key) &&
    parts.includes('Mod') === mod &&
    // The question mark is typed with Shift on most keyboards.
    (key === '?' || parts.includes('Shift') === event.shiftKey) &&
    parts.includes('Alt') === event.altKey
  );
}
