import { RotateCcw, RotateCw } from 'lucide-react';
import { useState } from 'react';
import { altDraft, type DraftEdit, imageName, wholeProfile } from '../../../../../../core/criteria/index.ts';
import { bytesInWords } from '../../../../../../core/draft/index.ts';
import { slugOf } from '../../../../../../core/listing/index.ts';
import {
  CROP_RATIOS,
  type Crop,
  FORMAT_WISHES,
  type FormatWish,
  frameOf,
  middleCrop,
  pictureName,
  pictureRules,
  type ShownPicture,
  type Turn,
  turned,
} from '../../../../../../core/pictures/index.ts';
import type { PictureOrigin } from '../../../../../data/post-rows.ts';
import { applyAndSay } from '../../../../../state/post/apply-and-say.ts';
import { keepDrawn } from '../../../../../state/post/fit-pictures.ts';
import { Button } from '../../../../../ui/button.tsx';
import { DialogFrame } from '../../../../../ui/dialog-frame.tsx';
import { ChoiceField, TextField } from '../../../../../ui/field.tsx';
import { IconButton } from '../../../../../ui/icon-button.tsx';
import { TabPanel, TabRow, TabSet } from '../../../../../ui/tabs.tsx';
import { Waiting } from '../../../../../ui/waiting.tsx';
import type { PictureWish } from '../../../../../workers/picture-canvas.ts';
import { usePost } from '../../../frame/post-context.ts';
import { AltArea } from '../picture-fields.tsx';
import { FORMAT_NAMES, fileInWords } from '../picture-words.ts';
import { ComparePane } from './compare-pane.tsx';
import { CropPane } from './crop-pane.tsx';
import { OriginFields } from './origin-fields.tsx';
import { useDrawn } from './use-drawn.ts';
import { type OnBench, useOriginal } from './use-original.ts';

/** The bench: one picture cropped, turned, narrowed, compressed and named, with the result beside the original. */
export function PictureBench({ picture, onClose }: { picture: ShownPicture; onClose: () => void }) {
  const { site } = usePost();
  const { onBench, problem } = useOriginal(site.id, picture.src);
  return (
    <DialogFrame title="Make the picture fit" onClose={onClose} width="w-[min(1160px,96vw)]">
      {problem ? (
        <p role="alert" className="text-rust">
          {problem}
        </p>
      ) : onBench ? (
        <Bench picture={picture} onBench={onBench} onClose={onClose} />
      ) : (
        <Waiting name="Unpacking the picture" className="h-60" />
      )}
    </DialogFrame>
  );
}

const quarter = (turn: Turn, by: 90 | 270): Turn => ((turn + by) % 360) as Turn;

function Bench({
  picture,
  onBench: { src, file, isOriginal, origin: firstOrigin, url },
  onClose,
}: {
  picture: ShownPicture;
  onBench: OnBench;
  onClose: () => void;
}) {
  const { session, site } = usePost();
  const { limits } = wholeProfile(site.profile);
  const rules = pictureRules(limits, site.house.pictureFormat);
  const { keyword } = session.document.fields;
  const [view, setView] = useState<'crop' | 'compare'>('crop');
  const [turn, setTurn] = useState<Turn>(0);
  const [crop, setCrop] = useState<Crop | null>(null);
  const [ratio, setRatio] = useState('free');
  const [width, setWidth] = useState(String(Math.min(rules.widest, file.width)));
  const [kilobytes, setKilobytes] = useState(String(Math.round(rules.heaviest / 1000)));
  const [format, setFormat] = useState<FormatWish>(rules.format);
  const [name, setName] = useState(pictureName(picture, keyword, rules.nameWords));
  const [alt, setAlt] = useState(picture.alt);
  const [origin, setOrigin] = useState<PictureOrigin>(firstOrigin);
  const [saving, setSaving] = useState(false);
  const [problem, setProblem] = useState('');

  const pixels = Number(width);
  const weight = Number(kilobytes);
  const badWidth = !Number.isInteger(pixels) || pixels < 16 ? 'A whole number of pixels, 16 or more.' : '';
  const badWeight = !(weight >= 5) ? 'A number of kilobytes, 5 or more.' : '';
  const badName = slugOf(name) === '' ? 'A name of letters or figures.' : '';
  const wish: PictureWish | null =
    badWidth || badWeight
      ? null
      : {
          cut: { turn, crop, width: pixels },
          format,
          most: weight * 1000,
          isShown: picture.blockId === null ? 'in shares' : 'in the text',
        };
  const { drawn, busy, problem: notDrawn } = useDrawn(site.id, src, wish);
  const cut = frameOf(file, { turn, crop, width: null }).source;
  const draft = alt === null ? altDraft(picture.caption, src, limits.altCharacters) : null;
  const hold = (chosen: string) => {
    setRatio(chosen);
    const held = CROP_RATIOS.find((one) => one.name === chosen)?.ratio ?? null;
    if (held !== null) setCrop(middleCrop(turned(file, turn), held));
  };
  const turnBy = (by: 90 | 270) => {
    setTurn(quarter(turn, by));
    setCrop(null);
    setRatio('free');
  };
  const save = async () => {
    if (!wish) return;
    setSaving(true);
    try {
      const said = origin.kind === 'unsaid' && !origin.credit ? undefined : origin;
      const kept = await keepDrawn(site.id, picture.src, src, slugOf(name), wish, said);
      const edits: DraftEdit[] =
        picture.blockId === null
          ? [
              { kind: 'set-field', field: 'image', value: kept.src },
              { kind: 'set-field', field: 'imageAlt', value: alt },
            ]
          : [{ kind: 'set-picture', blockId: picture.blockId, picture: { src: kept.src, alt } }];
      applyAndSay(
        session,
        edits,
        `“${imageName(kept.src)}” now weighs ${bytesInWords(kept.bytes)}.`,
        'The picture is not in this post any more, or is changed elsewhere: nothing was changed.',
        12_000,
      );
      onClose();
    } catch (error) {
      setProblem((error as Error).message);
      setSaving(false);
    }
  };
  return (
    <div className="flex min-h-0 flex-1 gap-5 overflow-auto max-[900px]:flex-col">
      <TabSet value={view} onChange={setView} className="flex min-h-0 min-w-0 flex-1 flex-col">
        <div className="mb-2 flex flex-wrap items-center gap-3 text-[13px]">
          <TabRow
            label="What is shown"
            tabs={[
              { id: 'crop', name: 'Crop and turn' },
              { id: 'compare', name: 'Before and after' },
            ]}
          />
          <IconButton name="Turn left" icon={RotateCcw} onClick={() => turnBy(270)} />
          <IconButton name="Turn right" icon={RotateCw} onClick={() => turnBy(90)} />
          <span className="ml-auto text-soft">
            {cut.width.toLocaleString('en')} × {cut.height.toLocaleString('en')} px are kept
          </span>
        </div>
        <TabPanel of="crop" className="h-[min(58vh,540px)] min-h-60">
          <CropPane
            siteId={site.id}
            src={src}
            turn={turn}
            crop={crop}
            ratio={CROP_RATIOS.find((one) => one.name === ratio)?.ratio ?? null}
            onCrop={setCrop}
          />
        </TabPanel>
        <TabPanel of="compare" className="h-[min(58vh,540px)] min-h-60">
          {drawn ? (
            <ComparePane original={{ url, file }} drawn={drawn} />
          ) : (
            <Waiting name="Drawing the picture" className="h-full" />
          )}
        </TabPanel>
        <p role="status" className="mt-2 text-[13px]">
          <span className="text-soft">
            {isOriginal ? 'Original' : 'Now'}: {fileInWords(file)}.{' '}
          </span>
          {notDrawn ? (
            <span className="text-rust">{notDrawn}</span>
          ) : busy || !drawn ? (
            <span className="text-soft">Drawing…</span>
          ) : (
            <>
              Becomes {drawn.picture.width.toLocaleString('en')} × {drawn.picture.height.toLocaleString('en')}{' '}
              px, <strong>{bytesInWords(drawn.picture.blob.size)}</strong>,{' '}
              {FORMAT_NAMES[drawn.picture.format]}.
              {drawn.picture.tooHeavy && (
                <span className="text-ochre">
                  {' '}
                  It does not get lighter than this: crop it, or allow more.
                </span>
              )}
            </>
          )}
        </p>
      </TabSet>
      <div className="w-72 shrink-0 space-y-3 overflow-auto pr-1 pb-1 max-[900px]:w-full">
        <ChoiceField
          label="Hold the crop to"
          value={ratio}
          onChange={hold}
          options={CROP_RATIOS.map((one) => ({ value: one.name, name: one.name }))}
        />
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="Width, px"
            inputMode="numeric"
            value={width}
            onChange={setWidth}
            problem={badWidth}
          />
          <TextField
            label="At most, kB"
            inputMode="numeric"
            value={kilobytes}
            onChange={setKilobytes}
            problem={badWeight}
          />
        </div>
        <ChoiceField label="Format" value={format} onChange={setFormat} options={FORMAT_WISHES} />
        <TextField label="File name" value={name} onChange={setName} problem={badName} />
        <div>
          <AltArea alt={alt} onChange={setAlt} />
          {draft && (
            <p className="mt-1 text-[13px]">
              <Button look="word" onClick={() => setAlt(draft.text)}>
                Say “{draft.text}”
              </Button>{' '}
              <span className="text-soft">from {draft.from}</span>
            </p>
          )}
        </div>
        <OriginFields origin={origin} onChange={setOrigin} />
        {file.hasPlace && <p className="text-[13px] text-soft">The place it was taken at is left out.</p>}
        {problem && (
          <p role="alert" className="text-[13px] text-rust">
            {problem}
          </p>
        )}
        <div className="flex gap-3 pt-1">
          <Button look="main" disabled={!wish || badName !== '' || saving} onClick={() => void save()}>
            {saving ? 'Saving…' : 'Use this'}
          </Button>
          <Button onClick={onClose}>Leave it</Button>
        </div>
      </div>
    </div>
  );
}
