import { lazy, Suspense, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { attempt } from '../state/attempt.ts';
import { type Command, commandFor } from '../state/commands.ts';
import { themeChosen } from '../state/preferences.ts';
import { saveBackup } from '../state/save-backup.ts';
import { useAppDispatch } from '../state/store.ts';
import { useCommands } from '../state/use-commands.ts';

const CommandPalette = lazy(async () => ({
  default: (await import('./command-palette.tsx')).CommandPalette,
}));
const ShortcutList = lazy(async () => ({ default: (await import('./command-palette.tsx')).ShortcutList }));

/** The palette, the list of shortcuts, and the keys that lead to every command. */
export function Commands() {
  const [open, setOpen] = useState<'palette' | 'shortcuts' | null>(null);
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const go = (name: string, to: string): Command => ({
    id: `go ${to}`,
    group: 'Go to',
    name,
    run: () => navigate(to),
  });
  useCommands([
    {
      id: 'new-post',
      group: 'Go to',
      name: 'New post',
      run: () => navigate('/posts', { state: 'new post' }),
    },
    { id: 'palette', group: 'Help', name: 'All actions', keys: 'Mod+K', run: () => setOpen('palette') },
    { id: 'shortcuts', group: 'Help', name: 'Shortcuts', keys: '?', run: () => setOpen('shortcuts') },
    go('Today', '/today'),
    go('Keywords', '/keywords'),
    go('Keyword lists', '/keywords/lists'),
    go('Near wins', '/keywords/near-wins'),
    go('Bring figures', '/keywords?show=figures'),
    go('Ideas', '/ideas'),
    go('Posts', '/posts'),
    go('Site', '/site'),
    go('House rules', '/rules'),
    go('Weights and limits', '/rules/criteria'),
    go('Patterns', '/rules/patterns'),
    go('Voices', '/rules/voices'),
    go('History of texts', '/history'),
    go('Import', '/import'),
    { id: 'backup', group: 'House', name: 'Save a backup', run: () => attempt(saveBackup()) },
    { id: 'light', group: 'House', name: 'Light theme', run: () => dispatch(themeChosen('light')) },
    { id: 'dark', group: 'House', name: 'Dark theme', run: () => dispatch(themeChosen('dark')) },
    { id: 'system', group: 'House', name: 'Theme of the system', run: () => dispatch(themeChosen('system')) },
  ]);
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (event.defaultPrevented) return;
      const command = commandFor(event);
      if (!command) return;
      event.preventDefault();
      command.run();
    };
    addEventListener('keydown', pressed);
    return () => removeEventListener('keydown', pressed);
  }, []);
  const close = () => setOpen(null);
  return (
    <Suspense fallback={null}>
      {open === 'palette' && <CommandPalette onClose={close} />}
      {open === 'shortcuts' && <ShortcutList onClose={close} />}
    </Suspense>
  );
}
