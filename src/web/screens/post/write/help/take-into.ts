import type { PostFields } from '../../../../../core/draft/index.ts';
import type { OutlineItem } from '../../../../../core/outline/index.ts';
import type { Into, Pattern } from '../../../../../core/writing/index.ts';
import { database } from '../../../../data/database.ts';
import { addIdeas } from '../../../../data/ideas.ts';
import type { PostSession } from '../../../../state/post/post-session.ts';
import { offerUndo } from '../../../../state/undo.ts';
import type { BodyEditor } from '../sheet/body-editor.ts';

/** What pressing a piece of an answer does, in words; null: it can only be copied. */
export const TAKE_WORDS: Record<Into, string | null> = {
  sheet: null,
  title: 'Take as title',
  'meta-title': 'Take as meta title',
  'meta-description': 'Take as meta description',
  excerpt: 'Take as excerpt',
  alt: 'Take as alt text',
  outline: 'Add to the outline',
  questions: 'Add to the questions',
  points: 'Add to the points',
  ideas: 'Put on the ideas',
  list: null,
};

const FIELDS: Partial<
  Record<Into, keyof PostFields & ('title' | 'metaTitle' | 'metaDescription' | 'excerpt')>
> = {
  title: 'title',
  'meta-title': 'metaTitle',
  'meta-description': 'metaDescription',
  excerpt: 'excerpt',
};

/** Takes a piece of an answer to where its pattern's answers go. Every way offers its way back. */
export async function takeInto(
  { into }: Pattern,
  piece: string,
  { session, body }: { session: PostSession; body: BodyEditor },
): Promise<void> {
  const field = FIELDS[into];
  if (field) {
    offerUndo(
      `“${short(piece)}” is the ${field === 'title' ? 'title' : TAKE_WORDS[into]?.replace('Take as ', '')} now.`,
      session.change({ fields: { [field]: piece } }),
    );
  } else if (into === 'questions' || into === 'points') {
    const before = session.document.fields[into];
    if (before.includes(piece)) return;
    offerUndo(`“${short(piece)}” is added.`, session.change({ fields: { [into]: [...before, piece] } }));
  } else if (into === 'outline') {
    const { outline } = session.content;
    const level = Math.min(4, Math.max(2, /^#+/.exec(piece)?.[0].length ?? 2));
    const item: OutlineItem = { id: crypto.randomUUID(), level, text: piece.replace(/^#+\s*/, ''), note: '' };
    offerUndo(`“${short(item.text)}” is in the outline.`, session.changeOutline(outline, [...outline, item]));
  } else if (into === 'ideas') {
    const [row] = await addIdeas(
      session.siteId,
      [
        {
          origin: 'hand',
          title: piece,
          line: '',
          keyword: '',
          phrases: [],
          from: session.id,
          opportunity: null,
        },
      ],
      new Date().toISOString(),
    );
    offerUndo(`“${short(piece)}” is among the ideas.`, () => database().ideas.delete(row.id));
  } else if (into === 'alt') {
    const { state } = body.editor;
    const node = state.doc.nodeAt(state.selection.from);
    if (node?.type.name !== 'figure') throw new Error('Select the picture in the text first.');
    const blockId = String(node.attrs['blockId']);
    offerUndo(
      'The picture has this alt text now.',
      session.apply([{ kind: 'set-picture', blockId, picture: { alt: piece } }]),
    );
  }
}

const short = (text: string) => (text.length > 60 ? `${text.slice(0, 59).trimEnd()}…` : text);
