import { useCallback } from 'react';
import { attempt } from '../../../../state/attempt.ts';
import { useAppDispatch } from '../../../../state/store.ts';
import { useCommands } from '../../../../state/use-commands.ts';
import { patternAsked } from '../../../../state/view.ts';
import { filledWish, patternsOf } from '../../../../state/writing/ask-text.ts';
import { usePost } from '../../frame/post-context.ts';
import type { BodyEditor } from '../sheet/body-editor.ts';
import { askedAt } from './asked-at.ts';
import { askInSheet } from './use-ask.ts';

const GROUP = 'Write with a pattern';

/** Asks by a pattern as the post fills it, without a form; answers go into the sheet. */
export function useAskAtOnce(body: BodyEditor): (pattern: string) => void {
  const { session, site } = usePost();
  return useCallback(
    (id: string) => {
      const at = askedAt(body.editor);
      attempt(
        filledWish(session, id, at).then((wish) => askInSheet(session, site, wish)),
        'No text could be asked for',
      );
    },
    [session, site, body],
  );
}

/** Every pattern as a command; continuing has keys of its own. */
export function useHelpCommands(askAtOnce: (pattern: string) => void): void {
  const { site } = usePost();
  const dispatch = useAppDispatch();
  useCommands([
    {
      id: 'continue-text',
      group: GROUP,
      name: 'Continue from the caret',
      keys: 'Mod+Alt+Enter',
      run: () => askAtOnce('continue'),
    },
    {
      id: 'all-patterns',
      group: GROUP,
      name: 'All patterns',
      keys: 'Mod+Alt+P',
      run: () => dispatch(patternAsked({ id: '', values: null })),
    },
    ...patternsOf(site)
      .filter(({ id }) => id !== 'continue')
      .map(({ id, name }) => ({
        id: `pattern ${id}`,
        group: GROUP,
        name: `${name}…`,
        run: () => dispatch(patternAsked({ id, values: null })),
      })),
  ]);
}
