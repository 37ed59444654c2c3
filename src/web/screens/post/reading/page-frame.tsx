import { useEffect, useRef, useState } from 'react';
import { pictureBlob } from '../../../data/picture-store.ts';
import { attempt } from '../../../state/attempt.ts';
import { type AboveFold, aboveFold } from './above-fold.ts';
import { fillPage, type PageContent, showPictures } from './fill-page.ts';

/** The height of a screen before one scrolls, on a small laptop and on a phone alike, in pixels. */
export const FOLD = 800;

/**
 * The page in a frame of its own: nothing in it can run, load from elsewhere or lead away. It is drawn at the width of the
 * device and made smaller where there is less room.
 */
export function PageFrame({
  siteId,
  content,
  css,
  width,
  onFold,
}: {
  siteId: string;
  content: PageContent;
  css: string;
  width: number;
  onFold: (fold: AboveFold) => void;
}) {
  const frame = useRef<HTMLIFrameElement>(null);
  const box = useRef<HTMLDivElement>(null);
  // Some browsers put another empty page in the place of the first one a moment later: it is filled again.
  const [loads, setLoads] = useState(0);
  const [room, setRoom] = useState({ width: 0, height: 0 });
  const tell = useRef(onFold);
  tell.current = onFold;
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      const { width: across, height } = entry.contentRect;
      setRoom({ width: across, height });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each load brings an empty page
  useEffect(() => {
    const page = frame.current?.contentDocument;
    const window = frame.current?.contentWindow as (Window & typeof globalThis) | null | undefined;
    if (!page || !window) return;
    let isOver = false;
    let made: string[] = [];
    fillPage(page, content);
    const sheet = new window.CSSStyleSheet();
    sheet.replaceSync(css);
    page.adoptedStyleSheets = [sheet];
    const stay = (event: Event) => event.preventDefault();
    page.addEventListener('click', stay);
    page.addEventListener('auxclick', stay);
    const show = async () => {
      made = await showPictures(page, (src) => pictureBlob(siteId, src));
      if (isOver) {
        for (const url of made) URL.revokeObjectURL(url);
        return;
      }
      await Promise.all([...page.images].map((image) => image.decode().catch(() => {})));
      if (!isOver) tell.current(aboveFold(page, FOLD));
    };
    attempt(show(), 'The pictures could not be shown');
    return () => {
      isOver = true;
      page.removeEventListener('click', stay);
      page.removeEventListener('auxclick', stay);
      for (const url of made) URL.revokeObjectURL(url);
    };
  }, [siteId, content, css, loads]);
  // Another width lays the page out anew.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the width is what changed
  useEffect(() => {
    const page = frame.current?.contentDocument;
    const timer = setTimeout(() => page?.body.firstChild && tell.current(aboveFold(page, FOLD)), 50);
    return () => clearTimeout(timer);
  }, [width]);
  const scale = room.width > 0 ? Math.min(1, room.width / width) : 1;
  return (
    <div ref={box} className="relative min-h-0 flex-1 overflow-hidden">
      <iframe
        ref={frame}
        title="The post as readers see it"
        sandbox="allow-same-origin"
        onLoad={() => setLoads((times) => times + 1)}
        className="absolute top-0 left-1/2 border bg-white"
        style={{
          width,
          height: room.height / scale,
          transform: `translateX(-50%) scale(${scale})`,
          transformOrigin: 'top center',
        }}
      />
    </div>
  );
}
