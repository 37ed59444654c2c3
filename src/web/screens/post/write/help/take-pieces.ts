import { readMarkdown } from '../../../../../core/draft/index.ts';
import { withPlannedHeadings } from '../../../../../core/outline/index.ts';
import { readable, type TextPiece } from '../../../../../core/writing/index.ts';
import type { PostSession } from '../../../../state/post/post-session.ts';
import { noteTaken, type TakenPiece, type TextPlace } from '../../../../state/writing/text-places.ts';
import type { BodyEditor } from '../sheet/body-editor.ts';
import { blocksTaken, selectionReplaced, sentenceAdded, type Taken } from '../sheet/take-text.ts';

const nextId = () => crypto.randomUUID();
const draftOf = (markdown: string) => readMarkdown(markdown, nextId).draft;
/** Blocks for the place in the sheet: headings that wait in the post get their text there. */
const blocksFor = (session: PostSession, markdown: string) =>
  withPlannedHeadings(draftOf(markdown), session.body, session.content.outline);

/** A sheet, and the post that it is of. */
export interface InSheet {
  body: BodyEditor;
  session: PostSession;
}

/** Where a text goes: at its place, or in the place of what was selected. */
export type TakeHow = 'here' | 'instead';

function dispatch(body: BodyEditor, taken: Taken | null): string[] | null {
  if (!taken || !body.editor.isEditable) return null;
  body.editor.view.dispatch(taken.tr);
  return taken.blockIds;
}

/** The text of a block as it stands now; null where it is gone. */
const textOf = (body: BodyEditor, blockId: string): string | null =>
  body.positionOf(blockId, 0)?.node.textContent ?? null;

/** Whether a piece that was taken still stands in the draft: undone, it can be taken again. */
export const stillThere = (body: BodyEditor, { blockIds, words }: TakenPiece): boolean =>
  blockIds.some((id) => textOf(body, id)?.includes(words) ?? false);

/** The words by which a piece is known in the block that it went into. */
const knownBy = (markdown: string) =>
  readMarkdown(markdown, nextId).draft.blocks[0]?.text.slice(0, 80) ?? readable(markdown).slice(0, 80);

/** A step that takes all of a text; nothing is changed yet. Null where it cannot be taken. */
export const wholeStep = ({ body, session }: InSheet, markdown: string, how: TakeHow): Taken | null => {
  const { state } = body.editor;
  return how === 'instead'
    ? selectionReplaced(state, draftOf(markdown))
    : blocksTaken(state, blocksFor(session, markdown));
};

/** Takes all of a text in one step. Answers whether it could. */
export function takeWhole(sheet: InSheet, place: TextPlace, markdown: string, how: TakeHow): boolean {
  const blockIds = dispatch(sheet.body, wholeStep(sheet, markdown, how));
  if (!blockIds) return false;
  noteTaken(place, [{ paragraph: -1, sentence: null, blockIds, words: knownBy(markdown) }], true);
  return true;
}

/** Takes one paragraph. */
export function takeParagraph(
  { body, session }: InSheet,
  place: TextPlace,
  piece: TextPiece,
  at: number,
): void {
  const blockIds = dispatch(body, blocksTaken(body.editor.state, blocksFor(session, piece.markdown)));
  if (blockIds)
    noteTaken(place, [{ paragraph: at, sentence: null, blockIds, words: knownBy(piece.markdown) }], false);
}

/** Takes one sentence: after the sentence of its paragraph that was taken last, else as a paragraph of its own. */
export function takeSentence(
  { body, session }: InSheet,
  place: TextPlace,
  piece: TextPiece,
  at: number,
  sentence: number,
): void {
  const markdown = piece.sentences[sentence];
  const draft = blocksFor(session, markdown);
  const last = place.taken
    .filter((one) => one.paragraph === at && one.sentence !== null && stillThere(body, one))
    .at(-1);
  const { state } = body.editor;
  const taken =
    (piece.kind === 'paragraph' && last && sentenceAdded(state, last.blockIds[0], draft)) ||
    blocksTaken(state, draft);
  const blockIds = dispatch(body, taken);
  if (blockIds) noteTaken(place, [{ paragraph: at, sentence, blockIds, words: knownBy(markdown) }], false);
}
