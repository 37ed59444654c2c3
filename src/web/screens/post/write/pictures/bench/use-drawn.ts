import { useEffect, useState } from 'react';
import type { DrawnPicture, PictureWish } from '../../../../../workers/picture-canvas.ts';
import { picturesWorker } from '../../../../../workers/pictures-client.ts';

/** Milliseconds without a change after which a picture is drawn anew. */
const QUIET_FOR = 200;

/** A picture as it would become, drawn anew a moment after the wish changed. */
export interface Drawn {
  picture: DrawnPicture;
  url: string;
  /** The wish that it was drawn by. */
  wish: PictureWish;
}

/** The picture drawn as wished; the last one stays in sight while the next is being drawn. */
export function useDrawn(
  siteId: string,
  src: string,
  wish: PictureWish | null,
): { drawn: Drawn | null; busy: boolean; problem: string } {
  const [drawn, setDrawn] = useState<Drawn | null>(null);
  const [problem, setProblem] = useState('');
  const asked = JSON.stringify(wish);
  useEffect(() => {
    if (asked === 'null') return;
    let isOver = false;
    const next = JSON.parse(asked) as PictureWish;
    const draw = async () => {
      try {
        const picture = await (await picturesWorker()).draw(siteId, src, next);
        if (isOver) return;
        setProblem('');
        setDrawn({ picture, url: URL.createObjectURL(picture.blob), wish: next });
      } catch (error) {
        if (!isOver) setProblem((error as Error).message);
      }
    };
    const timer = setTimeout(() => void draw(), QUIET_FOR);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [siteId, src, asked]);
  useEffect(() => () => void (drawn && URL.revokeObjectURL(drawn.url)), [drawn]);
  return { drawn, busy: wish !== null && JSON.stringify(drawn?.wish) !== asked && problem === '', problem };
}
