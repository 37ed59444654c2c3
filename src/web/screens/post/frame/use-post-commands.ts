import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { attempt } from '../../../state/attempt.ts';
import type { PostSession } from '../../../state/post/post-session.ts';
import { useCommands } from '../../../state/use-commands.ts';
import { STEP_NAMES, STEPS } from './trail-state.ts';

/** What can be done to the post in hand, wherever in it the writer is. */
export function usePostCommands(session: PostSession): void {
  const navigate = useNavigate();
  const go = (place: string) => navigate(`/posts/${session.id}/${place}`);
  useCommands([
    ...STEPS.map((step, at) => ({
      id: `step ${step}`,
      group: 'This post',
      name: STEP_NAMES[step],
      keys: `Alt+${at + 1}`,
      run: () => go(step),
    })),
    { id: 'brief', group: 'This post', name: 'Brief', run: () => go('brief') },
    { id: 'versions', group: 'This post', name: 'Versions', run: () => go('versions') },
    {
      id: 'reading',
      group: 'This post',
      name: 'Reader’s view',
      keys: 'Mod+Shift+L',
      run: () => go('reading'),
    },
    { id: 'report', group: 'This post', name: 'Report to print', run: () => go('report') },
    {
      id: 'keep version',
      group: 'This post',
      name: 'Keep a version now',
      keys: 'Mod+Shift+S',
      run: () => {
        attempt(session.keepVersion('named', 'Kept by hand').then(() => toast('A version is kept.')));
      },
    },
  ]);
}
