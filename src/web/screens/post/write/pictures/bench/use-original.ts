import { useEffect, useState } from 'react';
import type { PictureFile } from '../../../../../../core/pictures/index.ts';
import { MEDIA, pictureBlob, pictureRow } from '../../../../../data/picture-store.ts';
import type { PictureOrigin } from '../../../../../data/post-rows.ts';
import { picturesWorker } from '../../../../../workers/pictures-client.ts';

/** What work on a picture begins with: its original where that is kept, else the picture itself. */
export interface OnBench {
  src: string;
  file: PictureFile;
  /** The picture itself was made of this one earlier. */
  isOriginal: boolean;
  origin: PictureOrigin;
  url: string;
}

async function putOn(siteId: string, shown: string): Promise<OnBench> {
  const row = await pictureRow(siteId, shown);
  const original = row?.madeFrom === undefined ? null : MEDIA + row.madeFrom;
  const isOriginal = original !== null && (await pictureBlob(siteId, original)) !== null;
  const src = isOriginal ? original : shown;
  const blob = await pictureBlob(siteId, src);
  if (!blob) throw new Error('Its file is not here. Choose it again.');
  const file = await (await picturesWorker()).lookInto(src, blob);
  const origin = row?.origin ?? { kind: 'unsaid' as const, credit: file.credit, licence: '' };
  return { src, file, isOriginal, origin, url: URL.createObjectURL(blob) };
}

/** The picture to work on; null while it is being looked into. `problem` says why it cannot be worked on. */
export function useOriginal(siteId: string, shown: string): { onBench: OnBench | null; problem: string } {
  const [onBench, setOnBench] = useState<OnBench | null>(null);
  const [problem, setProblem] = useState('');
  useEffect(() => {
    let made: OnBench | null = null;
    let isOver = false;
    putOn(siteId, shown).then(
      (found) => {
        if (isOver) return URL.revokeObjectURL(found.url);
        made = found;
        return setOnBench(found);
      },
      (error: Error) => !isOver && setProblem(error.message),
    );
    return () => {
      isOver = true;
      if (made) URL.revokeObjectURL(made.url);
    };
  }, [siteId, shown]);
  return { onBench, problem };
}
