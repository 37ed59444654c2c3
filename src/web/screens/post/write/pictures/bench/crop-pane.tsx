import { type PercentCrop, ReactCrop } from 'react-image-crop';
import 'react-image-crop/dist/ReactCrop.css';
import type { Crop, Turn } from '../../../../../../core/pictures/index.ts';
import { Waiting } from '../../../../../ui/waiting.tsx';
import { useDrawn } from './use-drawn.ts';

/** Pixels of the picture that the crop is drawn on. */
const PREVIEW = 1000;
const PREVIEW_BYTES = 4_000_000;

const HANDLES = {
  cropArea: 'Part of the picture that is kept; arrow keys move it',
  nwDragHandle: 'Upper left corner of what is kept',
  nDragHandle: 'Upper edge of what is kept',
  neDragHandle: 'Upper right corner of what is kept',
  eDragHandle: 'Right edge of what is kept',
  seDragHandle: 'Lower right corner of what is kept',
  sDragHandle: 'Lower edge of what is kept',
  swDragHandle: 'Lower left corner of what is kept',
  wDragHandle: 'Left edge of what is kept',
};

const inFractions = ({ x, y, width, height }: PercentCrop): Crop | null =>
  width < 1 || height < 1 ? null : { x: x / 100, y: y / 100, width: width / 100, height: height / 100 };

/** The whole picture, turned, with the part that is kept drawn on it. */
export function CropPane({
  siteId,
  src,
  turn,
  crop,
  ratio,
  onCrop,
}: {
  siteId: string;
  src: string;
  turn: Turn;
  crop: Crop | null;
  ratio: number | null;
  onCrop: (crop: Crop | null) => void;
}) {
  const { drawn, problem } = useDrawn(siteId, src, {
    cut: { turn, crop: null, width: PREVIEW },
    format: 'fitting',
    most: PREVIEW_BYTES,
    isShown: 'in the text',
  });
  if (problem) return <p className="p-4 text-rust">{problem}</p>;
  if (!drawn || drawn.wish.cut.turn !== turn)
    return <Waiting name="Unpacking the picture" className="h-full" />;
  const shown = crop && {
    unit: '%' as const,
    x: 100 * crop.x,
    y: 100 * crop.y,
    width: 100 * crop.width,
    height: 100 * crop.height,
  };
  return (
    <div className="flex h-full items-center justify-center">
      <ReactCrop
        {...(shown ? { crop: shown } : {})}
        {...(ratio === null ? {} : { aspect: ratio })}
        onChange={(_pixels, percent) => onCrop(inFractions(percent))}
        ariaLabels={HANDLES}
        minWidth={16}
        minHeight={16}
        ruleOfThirds
        className="max-h-[min(58vh,540px)]"
      >
        <img src={drawn.url} alt="All of it" />
      </ReactCrop>
    </div>
  );
}
