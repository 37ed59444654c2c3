import type { ReactNode } from 'react';
import { toast } from 'sonner';
import { storageProblem } from '../data/storage.ts';

/**
 * The way back of a change: takes back that change and nothing that came since. May answer, at once or later, in words
 * what stays because it was changed since; anything else means that all of it went back.
 */
export type TakeBack = () => unknown;

/** Takes a change back and says what stays, or why it could not be. */
export async function undo(takeBack: TakeBack): Promise<void> {
  try {
    const stays = await takeBack();
    if (typeof stays === 'string' && stays) toast(stays, { duration: 12_000 });
  } catch (error) {
    console.error('A change could not be taken back:', error);
    toast.error(`It could not be taken back. ${storageProblem(error)}`, { duration: 12_000 });
  }
}

/** Says what was done, with its way back for some seconds; with the id of one that is shown, in its place. */
export function offerUndo(said: ReactNode, takeBack: TakeBack, duration = 12_000, id?: string): void {
  let taken = false;
  toast(said, {
    duration,
    ...(id === undefined ? {} : { id }),
    action: {
      label: 'Undo',
      onClick: () => {
        // A second press while the first is under way would take back twice.
        if (taken) return;
        taken = true;
        void undo(takeBack);
      },
    },
  });
}

/** The way back of several changes as one: the last first, as a later one may stand on an earlier. */
export const allTakenBack =
  (backs: readonly TakeBack[]): TakeBack =>
  async () => {
    const stays: unknown[] = [];
    for (const back of [...backs].reverse()) stays.push(await back());
    return stays.find((one) => typeof one === 'string' && one !== '') ?? '';
  };
