import { useEffect, useState } from 'react';
import { pictureBlob } from '../../../../data/picture-store.ts';
import { attempt } from '../../../../state/attempt.ts';
import { useAppSelector } from '../../../../state/store.ts';

/** An address from which a kept picture can be shown; null while it loads or where it lies elsewhere. */
export function usePicture(src: string): string | null {
  const siteId = useAppSelector((state) => state.openPost.siteId);
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    let made: string | null = null;
    let left = false;
    setUrl(null);
    if (src && siteId) {
      attempt(
        pictureBlob(siteId, src).then((blob) => {
          if (!blob || left) return;
          made = URL.createObjectURL(blob);
          setUrl(made);
        }),
      );
    }
    return () => {
      left = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [src, siteId]);
  return src.startsWith('data:image/') ? src : url;
}
