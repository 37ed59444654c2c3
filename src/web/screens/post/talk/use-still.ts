import type { RefObject } from 'react';
import { toast } from 'sonner';
import { clock, type FidelityAccount, pictureWish } from '../../../../core/talk/index.ts';
import { addPicture } from '../../../data/pictures.ts';
import type { PostSession } from '../../../state/post/post-session.ts';
import { offerUndo } from '../../../state/undo.ts';
import type { Recorder } from './recording-bar.tsx';

/** Where in a draft something belongs that was said or shown at a second: behind the last block said before it. */
function indexBehind(session: PostSession, account: FidelityAccount | null, seconds: number): number {
  const { blocks } = session.body;
  const place = account?.times.findLast(([, at]) => at <= seconds)?.[0];
  // The block may be gone by now.
  const found = blocks.findIndex(({ id }) => id === place);
  return (found === -1 ? blocks.length - 1 : found) + 1;
}

/** Notes in the draft, behind what was said at a second, that a picture belongs there, and of what. Release asks for it. */
export function askForPicture(
  session: PostSession,
  account: FidelityAccount | null,
  seconds: number,
  said: string,
): void {
  const { blocks } = session.body;
  const wish = {
    id: crypto.randomUUID(),
    kind: 'paragraph' as const,
    path: [],
    text: pictureWish(said, seconds),
    marks: [],
  };
  const index = indexBehind(session, account, seconds);
  offerUndo(
    `A picture is asked for at ${clock(seconds)}; Release reminds you of it.`,
    session.change({ draft: { version: 1, blocks: blocks.toSpliced(index, 0, wish) } }),
  );
}

/** Puts the picture that a video shows into the draft, behind what is said at that second. Its alt text is still to be written. */
export function useStill(
  session: PostSession,
  recorder: RefObject<Recorder | null>,
  account: FidelityAccount | null,
): () => Promise<void> {
  return async () => {
    const still = await recorder.current?.still();
    if (!still) {
      toast.error('There is no picture at this second yet. Let the video play for a moment, then take it.');
      return;
    }
    const at = clock(still.seconds);
    const name = `still-${at.replaceAll(':', '-')}.jpg`;
    const src = await addPicture(session.siteId, new File([still.blob], name, { type: 'image/jpeg' }), name);
    const { blocks } = session.body;
    const index = indexBehind(session, account, still.seconds);
    const picture = {
      id: crypto.randomUUID(),
      kind: 'image' as const,
      path: [],
      text: '',
      marks: [],
      image: { src, alt: null },
    };
    const takeBack = session.change({
      draft: { version: 1, blocks: blocks.toSpliced(index, 0, picture) },
    });
    offerUndo(`The still of ${at} stands in the post; it wants alt text.`, takeBack);
  };
}
