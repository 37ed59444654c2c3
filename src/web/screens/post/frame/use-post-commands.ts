import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { STATUSES } from '../../../../core/draft/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { EXPORT_NAMES, EXPORTS } from '../../../state/post/exports.ts';
import { setStatus } from '../../../state/post/set-status.ts';
import { useCommands } from '../../../state/use-commands.ts';
import { STATUS_NAMES } from '../../../ui/status-names.ts';
import type { PostContext } from './post-context.ts';
import { STEP_NAMES, STEPS } from './trail-state.ts';

/** What can be done to the post in hand, wherever in it the writer is. */
export function usePostCommands({ session, site }: PostContext): void {
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
    { id: 'start', group: 'This post', name: 'Guided start', run: () => go('start') },
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
    ...EXPORTS.map((as) => ({
      id: `export ${as}`,
      group: 'This post',
      name: `Export: ${EXPORT_NAMES[as]}`,
      // The writers come when they are asked for: most visits never export.
      run: () =>
        attempt(
          import('../../../state/post/export-post.ts').then(({ exportPost }) =>
            exportPost(session, site, as),
          ),
        ),
    })),
    ...STATUSES.map((status) => ({
      id: `status ${status}`,
      group: 'This post',
      name: `Status: ${STATUS_NAMES[status]}`,
      run: () => {
        const refused = setStatus(session, status);
        if (refused) toast.error(refused);
        else toast(`The status is “${STATUS_NAMES[status]}” now.`);
      },
    })),
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
