import type { Editor } from '@tiptap/core';
import { closeHistory } from '@tiptap/pm/history';
import type { Transaction } from '@tiptap/pm/state';
import { toast } from 'sonner';
import { addPicture } from '../../../../data/pictures.ts';
import { type PicturePlace, picturesPlaced } from './place-pictures.ts';

const SHOWN = /^image\/(?:png|jpeg|gif|webp|avif)$/;

/** Keeps the file of a picture and answers its address; null, with the reason said, where that cannot be. */
export async function keptPicture(siteId: string, file: File): Promise<string | null> {
  if (!SHOWN.test(file.type)) {
    toast.error(`${file.name} is no picture that a blog can show. Use PNG, JPEG, WebP, AVIF or GIF.`);
    return null;
  }
  try {
    return await addPicture(siteId, file, file.name || 'picture.png');
  } catch (error) {
    console.error('A picture could not be kept:', error);
    toast.error(
      `${file.name} could not be kept: the browser’s storage may be full. Make room and choose it again.`,
    );
    return null;
  }
}

/** Puts pictures of the site in as one step that can be undone by itself. */
export function placePictures(editor: Editor, srcs: readonly string[], place: PicturePlace): void {
  if (srcs.length === 0 || editor.isDestroyed || !editor.isEditable) return;
  editor.view.dispatch(closeHistory(picturesPlaced(editor.state, srcs, place)));
  editor.view.focus();
}

/**
 * Keeps picture files and puts them in, in their order, at the caret or where they were dropped. What is typed while
 * they are being kept moves the place along.
 */
export async function insertPictures(
  siteId: string,
  editor: Editor,
  files: readonly File[],
  place: PicturePlace = { caret: true },
): Promise<void> {
  let at = 'at' in place ? place.at : null;
  const moved = ({ transaction }: { transaction: Transaction }) => {
    if (at !== null) at = transaction.mapping.map(at);
  };
  editor.on('transaction', moved);
  const srcs: string[] = [];
  for (const file of files) {
    const src = await keptPicture(siteId, file);
    if (src !== null) srcs.push(src);
  }
  editor.off('transaction', moved);
  placePictures(editor, srcs, at === null ? { caret: true } : { at });
}
