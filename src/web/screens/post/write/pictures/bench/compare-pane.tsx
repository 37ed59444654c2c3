import { type ReactNode, useRef } from 'react';
import { bytesInWords } from '../../../../../../core/draft/index.ts';
import { frameOf, type PictureFile } from '../../../../../../core/pictures/index.ts';
import { FORMAT_NAMES } from '../picture-words.ts';
import type { Drawn } from './use-drawn.ts';

/** The original beside what it becomes, both at the pixels that readers get; moving one moves the other. */
export function ComparePane({
  original,
  drawn: { picture, url, wish },
}: {
  original: { url: string; file: PictureFile };
  drawn: Drawn;
}) {
  const boxes = useRef<(HTMLDivElement | null)[]>([]);
  const follow = (from: number) => {
    const [one, other] = [boxes.current[from], boxes.current[1 - from]];
    if (!one || !other) return;
    if (other.scrollTop !== one.scrollTop) other.scrollTop = one.scrollTop;
    if (other.scrollLeft !== one.scrollLeft) other.scrollLeft = one.scrollLeft;
  };
  const { source, turn } = frameOf(original.file, wish.cut);
  const { width, height } = original.file;
  // The same steps by which the result was drawn, so that the same places lie under one another.
  const steps = [
    `scale(${picture.width / source.width})`,
    `translate(${-source.x}px, ${-source.y}px)`,
    turn === 90 ? `translate(${height}px, 0)` : '',
    turn === 180 ? `translate(${width}px, ${height}px)` : '',
    turn === 270 ? `translate(0, ${width}px)` : '',
    `rotate(${turn}deg)`,
  ];
  const box = (at: number, label: string, inside: ReactNode) => (
    <figure className="flex min-h-0 min-w-0 flex-1 flex-col">
      <div
        ref={(element) => {
          boxes.current[at] = element;
        }}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a box that scrolls is reached by keys
        tabIndex={0}
        role="group"
        aria-label={label}
        onScroll={() => follow(at)}
        className="min-h-0 flex-1 overflow-auto rounded-md border bg-sand/30"
      >
        <div className="relative overflow-hidden" style={{ width: picture.width, height: picture.height }}>
          {inside}
        </div>
      </div>
      <figcaption className="pt-1 text-[13px] text-soft">{label}</figcaption>
    </figure>
  );
  return (
    <div className="flex h-full gap-3 max-[760px]:flex-col">
      {box(
        0,
        `Before: ${bytesInWords(original.file.bytes)}`,
        <img
          src={original.url}
          alt="Before"
          className="absolute top-0 left-0 max-w-none origin-top-left"
          style={{ width, height, transform: steps.join(' ') }}
        />,
      )}
      {box(
        1,
        `After: ${bytesInWords(picture.blob.size)}, ${FORMAT_NAMES[picture.format]}`,
        <img src={url} alt="After" className="max-w-none" width={picture.width} height={picture.height} />,
      )}
    </div>
  );
}
