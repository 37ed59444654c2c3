import { useEffect, useState } from 'react';
import type { PictureFile, ShownPicture } from '../../../../../core/pictures/index.ts';
import { attempt } from '../../../../state/attempt.ts';
import { picturesWorker } from '../../../../workers/pictures-client.ts';

/** What the files of a post's pictures hold, looked into one by one; null until the first look. */
export function usePictureFiles(
  siteId: string,
  shown: readonly ShownPicture[],
): ReadonlyMap<string, PictureFile> | null {
  const [files, setFiles] = useState<ReadonlyMap<string, PictureFile> | null>(null);
  const wanted = [...new Set(shown.map(({ src }) => src))].sort().join('\n');
  useEffect(() => {
    let isOver = false;
    const look = async () => {
      const known = files ?? new Map<string, PictureFile>();
      const fresh = wanted.split('\n').filter((src) => src && !known.has(src));
      const found = fresh.length > 0 ? await (await picturesWorker()).look(siteId, fresh) : new Map();
      if (!isOver && (found.size > 0 || files === null)) setFiles(new Map([...known, ...found]));
    };
    attempt(look(), 'The pictures could not be looked into');
    return () => {
      isOver = true;
    };
  }, [siteId, wanted, files]);
  return files;
}
