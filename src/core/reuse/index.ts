/**
 * Reuse: a post becomes everything else, out of its own sentences.
 *
 * `post-sentences` are what there is, `points` the ones that say most; `reused` says what can be made and by which wishes, `compose`
 * makes it, over `limits` (how long a message may be), `hashtags` and `campaign` (links that can be told apart). `wording` asks
 * for another one and reads the answer. `held` holds a text against the post, and tells what is out of date; `newsletter` writes one over several posts,
 * `picture-colours` are those of a picture with a sentence.
 */
export { type CampaignTags, withCampaign } from './campaign.ts';
export { MAX_THREAD, MIN_THREAD, reuse } from './compose.ts';
export { type NotInPost, PostIndex } from './held.ts';
export { MESSAGE_LIMITS, type MessageLimit, messageLength } from './limits.ts';
export { type Letter, type LetterItem, letterHtml, letterText } from './newsletter.ts';
export { contrastOf, PICTURE_COLOURS, type PictureColours, READABLE_CONTRAST } from './picture-colours.ts';
export {
  defaultReuseWishes,
  isMessage,
  type ReusedPart,
  type ReuseFrom,
  type ReuseKind,
  type ReuseWishes,
} from './reused.ts';
export { canBeReworded, readWording, type WordingAsk, wordingAsk } from './wording.ts';
