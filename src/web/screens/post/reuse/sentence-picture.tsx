import { useEffect, useRef, useState } from 'react';
import {
  contrastOf,
  PICTURE_COLOURS,
  type PictureColours,
  READABLE_CONTRAST,
} from '../../../../core/reuse/index.ts';
import { addPicture } from '../../../data/pictures.ts';
import type { SiteRow } from '../../../data/post-rows.ts';
import type { ReuseRow } from '../../../data/reuse-rows.ts';
import { changeReuse } from '../../../data/reuses.ts';
import { changeHouse } from '../../../data/sites.ts';
import { attempt } from '../../../state/attempt.ts';
import type { PostSession } from '../../../state/post/post-session.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { copyText } from '../../../ui/copy-text.ts';
import { download } from '../../../ui/download.ts';
import { talkWorker } from '../../../workers/talk-client.ts';
import { firstWishes } from './kinds.ts';
import { fromOf } from './use-made.ts';

/** Lines of a text in a width, as a canvas measures them. */
function linesIn(context: CanvasRenderingContext2D, text: string, width: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(/\s+/)) {
    const longer = line ? `${line} ${word}` : word;
    if (line && context.measureText(longer).width > width) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return line ? [...lines, line] : lines;
}

/** Draws a sentence in the colours of the house, as large as its room lets it be. */
function draw(
  canvas: HTMLCanvasElement,
  sentence: string,
  house: string,
  { ground, words, line }: PictureColours,
): void {
  const context = canvas.getContext('2d');
  if (!context) return;
  const { width, height } = canvas;
  const edge = Math.round(width * 0.08);
  context.fillStyle = ground;
  context.fillRect(0, 0, width, height);
  // A dune line along the foot.
  context.strokeStyle = line;
  context.lineWidth = Math.max(4, width / 200);
  context.beginPath();
  context.moveTo(0, height - edge * 0.5);
  context.bezierCurveTo(
    width * 0.3,
    height - edge * 1.3,
    width * 0.55,
    height - edge * 0.1,
    width,
    height - edge * 0.9,
  );
  context.stroke();
  const room = height - edge * 3.2;
  let size = Math.round(width / 12);
  let lines: string[] = [];
  for (; size > 18; size -= 2) {
    context.font = `600 ${size}px "Literata Variable", Georgia, serif`;
    lines = linesIn(context, sentence, width - 2 * edge);
    if (lines.length * size * 1.25 <= room) break;
  }
  context.fillStyle = words;
  context.textBaseline = 'top';
  const top = edge + (room - lines.length * size * 1.25) / 2;
  lines.forEach((line, at) => {
    context.fillText(line, edge, top + at * size * 1.25);
  });
  context.font = `600 ${Math.round(width / 42)}px "Public Sans Variable", sans-serif`;
  context.fillStyle = line;
  context.fillText(house, edge, height - edge * 1.9);
}

const COLOUR_NAMES = { ground: 'Ground', words: 'Words', line: 'Line and name' } as const;

/** A picture with a sentence of the post, for shares: drawn here, saved as PNG, with its alt text. */
export function SentencePicture({
  row,
  session,
  site,
}: {
  row: ReuseRow;
  session: PostSession;
  site: SiteRow;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const sentence = (row.parts[0]?.text ?? '').trim();
  const [offers, setOffers] = useState<string[]>([]);
  const [width, height] = row.square ? [1080, 1080] : [1200, 630];
  const colours = site.house.pictureColours ?? PICTURE_COLOURS[0].colours;
  useEffect(() => {
    let isOver = false;
    const look = async () => {
      const parts = await (await talkWorker()).make('summary', session.body, fromOf(session, '', []), {
        ...firstWishes('summary'),
        parts: 5,
      });
      if (!isOver) setOffers(parts.map(({ text }) => text));
    };
    attempt(look());
    return () => {
      isOver = true;
    };
  }, [session]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another size is another canvas
  useEffect(() => {
    const paint = () => canvas.current && draw(canvas.current, sentence, site.name, colours);
    paint();
    // Until its faces have come the browser draws with others.
    attempt(document.fonts.ready.then(paint));
  }, [sentence, site.name, colours, width, height]);
  const picture = () => new Promise<Blob | null>((done) => canvas.current?.toBlob(done, 'image/png'));
  const name = `${session.document.fields.slug || 'post'}-${row.square ? 'square' : 'share'}.png`;
  const save = async () => {
    const blob = await picture();
    if (!blob) return;
    download(name, blob);
    await changeReuse(row.id, ({ sent }) => ({
      sent: [...sent, { channel: '', how: 'exported', at: new Date().toISOString() }],
    }));
  };
  const share = async () => {
    const blob = await picture();
    if (!blob) return;
    const src = await addPicture(session.siteId, new File([blob], name, { type: 'image/png' }), name);
    offerUndo('It is the picture for shares now.', session.change({ fields: { shareImage: src } }));
  };
  const setColours = (next: PictureColours) =>
    changeHouse(site.id, (house) => ({ ...house, pictureColours: next }));
  const takePair = async ({ name: pair, colours: next }: (typeof PICTURE_COLOURS)[number]) =>
    offerUndo(`Pictures with a sentence stand ${pair.toLowerCase()} now.`, await setColours(next));
  /** The writer's own words may have stood there: they come back. */
  const take = async (offer: string) =>
    offerUndo(
      'The picture has another sentence.',
      await changeReuse(row.id, () => ({ parts: [{ head: '', text: offer, from: [offer] }] })),
    );
  const alt = `“${sentence}”, ${site.name}`;
  const contrast = contrastOf(colours.words, colours.ground);
  return (
    <div className="space-y-3">
      <canvas
        ref={canvas}
        width={width}
        height={height}
        role="img"
        aria-label={alt}
        className="max-h-[360px] max-w-full rounded-md border"
      />
      <p className="text-[13px] text-soft">
        Alt text: {alt}{' '}
        <Button look="word" onClick={() => attempt(copyText(alt, 'The alt text is copied.', 'alt.txt'))}>
          Copy it
        </Button>
      </p>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 text-[13px]">
        <Choice
          aria-label="Size of the picture"
          value={row.square ? 'square' : 'share'}
          onChange={(size) => attempt(changeReuse(row.id, () => ({ square: size === 'square' })))}
          options={[
            { value: 'share', name: 'For shares, 1200 x 630' },
            { value: 'square', name: 'Square, 1080 x 1080' },
          ]}
          className="px-2 py-1.5"
        />
        {PICTURE_COLOURS.map((pair) => (
          <Button key={pair.name} onClick={() => attempt(takePair(pair))}>
            {pair.name}
          </Button>
        ))}
        {(['ground', 'words', 'line'] as const).map((part) => (
          <label key={part} className="flex items-center gap-1.5">
            <input
              type="color"
              value={colours[part]}
              onChange={({ target: { value } }) => attempt(setColours({ ...colours, [part]: value }))}
              className="h-7 w-9 rounded border bg-sheet"
            />
            {COLOUR_NAMES[part]}
          </label>
        ))}
      </div>
      {contrast < READABLE_CONTRAST && (
        <p role="note" className="text-[13px] text-ochre">
          The words are hard to read on this ground: their contrast is {contrast.toFixed(1)}, and{' '}
          {READABLE_CONTRAST} is the least that everybody can read.
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button look="main" disabled={sentence === ''} onClick={() => attempt(save())}>
          Save as PNG
        </Button>
        <Button disabled={sentence === ''} onClick={() => attempt(share(), 'The picture could not be kept')}>
          Use for shares
        </Button>
      </div>
      {offers.length > 0 && (
        <ul aria-label="Sentences of the post" className="text-[13px]">
          {offers.map((offer) => (
            <li key={offer} className="border-t py-1 first:border-t-0">
              <button
                type="button"
                onClick={() => attempt(take(offer))}
                className="text-left font-serif hover:text-sea"
              >
                {offer}
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
