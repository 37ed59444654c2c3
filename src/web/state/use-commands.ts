import { useEffect, useRef } from 'react';
import { type Command, offerCommands } from './commands.ts';

/** Offers a screen's commands while it is shown. What they do may change with every render; their names may not. */
export function useCommands(commands: readonly Command[]): void {
  const latest = useRef(commands);
  latest.current = commands;
  const names = commands.map(({ id, name, keys }) => `${id} ${name} ${keys ?? ''}`).join('\n');
  // biome-ignore lint/correctness/useExhaustiveDependencies: offered anew only when what is shown of them changes
  useEffect(
    () =>
      offerCommands(
        latest.current.map((command) => ({
          ...command,
          run: () => latest.current.find(({ id }) => id === command.id)?.run(),
          ...(command.isFor
            ? { isFor: () => latest.current.find(({ id }) => id === command.id)?.isFor?.() ?? false }
            : {}),
        })),
      ),
    [names],
  );
}
