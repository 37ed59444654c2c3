import { useEffect, useRef, useState } from 'react';
import { addPicture } from '../../../data/pictures.ts';
import type { SiteRow } from '../../../data/post-rows.ts';
import { attempt } from '../../../state/attempt.ts';
import type { PostSession } from '../../../state/post/post-session.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { download } from '../../../ui/download.ts';
import { TextField } from '../../../ui/field.tsx';
import { talkWorker } from '../../../workers/talk-client.ts';
import { firstWishes } from './kinds.ts';
import { fromOf } from './use-made.ts';

const SIZES = [
  { value: 'share', name: 'For shares, 1200 x 630', width: 1200, height: 630 },
  { value: 'square', name: 'Square, 1080 x 1080', width: 1080, height: 1080 },
] as const;
type Size = (typeof SIZES)[number]['value'];

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
function draw(canvas: HTMLCanvasElement, sentence: string, house: string, dark: boolean): void {
  const context = canvas.getContext('2d');
  if (!context) return;
  const { width, height } = canvas;
  const edge = Math.round(width * 0.08);
  context.fillStyle = dark ? '#1f5e63' : '#fbf8f2';
  context.fillRect(0, 0, width, height);
  // A dune line along the foot.
  context.strokeStyle = dark ? '#6fb5b3' : '#1f5e63';
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
  context.fillStyle = dark ? '#fbf8f2' : '#1f2a2e';
  context.textBaseline = 'top';
  const top = edge + (room - lines.length * size * 1.25) / 2;
  lines.forEach((line, at) => {
    context.fillText(line, edge, top + at * size * 1.25);
  });
  context.font = `600 ${Math.round(width / 42)}px "Public Sans Variable", sans-serif`;
  context.fillStyle = dark ? '#cfe3e0' : '#566266';
  context.fillText(house, edge, height - edge * 1.9);
}

/** A picture with a sentence of the post, for shares: drawn here, saved as PNG, with its alt text. */
export function SentencePicture({ session, site }: { session: PostSession; site: SiteRow }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [sentence, setSentence] = useState('');
  const [offers, setOffers] = useState<string[]>([]);
  const [size, setSize] = useState<Size>('share');
  const [dark, setDark] = useState(false);
  const { width, height } = SIZES.find(({ value }) => value === size)!;
  useEffect(() => {
    let isOver = false;
    const look = async () => {
      const parts = await (await talkWorker()).make('summary', session.body, fromOf(session, '', []), {
        ...firstWishes('summary'),
        parts: 5,
      });
      if (isOver) return;
      setOffers(parts.map(({ text }) => text));
      setSentence((now) => now || (parts[0]?.text ?? ''));
    };
    attempt(look());
    return () => {
      isOver = true;
    };
  }, [session]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another size is another canvas
  useEffect(() => {
    const paint = () => canvas.current && draw(canvas.current, sentence, site.name, dark);
    paint();
    // Until its faces have come the browser draws with others.
    attempt(document.fonts.ready.then(paint));
  }, [sentence, site.name, dark, width, height]);
  const picture = () => new Promise<Blob | null>((done) => canvas.current?.toBlob(done, 'image/png'));
  const name = `${session.document.fields.slug || 'post'}-${size}.png`;
  const save = async () => {
    const blob = await picture();
    if (blob) download(name, blob);
  };
  const share = async () => {
    const blob = await picture();
    if (!blob) return;
    const src = await addPicture(session.siteId, new File([blob], name, { type: 'image/png' }), name);
    offerUndo('It is the picture for shares now.', session.change({ fields: { shareImage: src } }));
  };
  const alt = `“${sentence}”, ${site.name}`;
  return (
    <section aria-label="Picture with a sentence" className="max-w-3xl space-y-3">
      <h2 className="font-serif text-xl font-semibold">Picture with a sentence</h2>
      <canvas
        ref={canvas}
        width={width}
        height={height}
        role="img"
        aria-label={alt}
        className="max-h-[360px] max-w-full rounded-md border"
      />
      <TextField
        label="Sentence"
        value={sentence}
        rows={2}
        onChange={setSentence}
        note={`Alt text: ${alt}`}
      />
      {offers.length > 0 && (
        <ul aria-label="Sentences of the post" className="text-[13px]">
          {offers.map((offer) => (
            <li key={offer} className="border-t py-1 first:border-t-0">
              <button
                type="button"
                onClick={() => setSentence(offer)}
                className="text-left font-serif hover:text-sea"
              >
                {offer}
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className="flex flex-wrap items-center gap-2">
        <Choice
          aria-label="Size of the picture"
          value={size}
          onChange={setSize}
          options={SIZES.map(({ value, name: shown }) => ({ value, name: shown }))}
          className="px-2 py-1.5"
        />
        <Button onClick={() => setDark(!dark)}>{dark ? 'On paper' : 'On marram'}</Button>
        <Button look="main" disabled={sentence.trim() === ''} onClick={() => attempt(save())}>
          Save as PNG
        </Button>
        <Button
          disabled={sentence.trim() === ''}
          onClick={() => attempt(share(), 'The picture could not be kept')}
        >
          Use for shares
        </Button>
      </div>
    </section>
  );
}
