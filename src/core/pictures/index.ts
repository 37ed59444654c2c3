/**
 * Pictures: what makes a picture's file fit for a page, as data; drawing and writing it is for those who have a canvas.
 *
 * `shown-pictures` lists where a post shows which; `picture-order` says what has to be done to each by the house's
 * rules, with `picture-name` for its file. `picture-cut` turns, crops and narrows, `picture-format` tells drawings
 * from photographs and which formats suit, `fit-weight` finds the quality at which a file is light enough, `metadata` takes
 * out what a camera wrote beside the picture, `credit` reads there whose it is, and `moving` tells which pictures move.
 */
export { creditOf, type PictureTags } from './credit.ts';
export { type FittedPicture, fitWeight, type WritePicture, type Written } from './fit-weight.ts';
export { type WithoutMetadata, withoutMetadata } from './metadata.ts';
export { isMoving } from './moving.ts';
export {
  CROP_RATIOS,
  type Crop,
  frameOf,
  middleCrop,
  type PictureCut,
  type PictureFrame,
  type PixelSize,
  type Turn,
  turned,
  WHOLE,
} from './picture-cut.ts';
export {
  endingOf,
  FORMAT_WISHES,
  type FormatWish,
  formatsFor,
  type PictureFormat,
  type PixelKind,
  pixelKind,
} from './picture-format.ts';
export { pictureName } from './picture-name.ts';
export {
  type PictureFile,
  type PicturePlan,
  type PictureRules,
  type PictureStep,
  pictureOrder,
  pictureRules,
} from './picture-order.ts';
export { type ShownPicture, shownPictures } from './shown-pictures.ts';
