import type { NavigateFunction } from 'react-router';
import type { CriterionResult } from '../../../../../../core/criteria/index.ts';
import type { BodyEditor } from '../../sheet/body-editor.ts';

/** Criteria that want more to be written: they lead to the end of the text, all others without a place to its beginning. */
const WANT_MORE: ReadonlySet<string> = new Set([
  'body-length',
  'post-size',
  'topics-covered',
  'questions-answered',
]);

/**
 * Brings the writer to where a note is mended: to its words (the next of them each time), the field, the picture, or the keyword
 * on Target.
 */
export function leadTo(
  note: CriterionResult,
  turn: number,
  { body, postId, navigate }: { body: BodyEditor; postId: string; navigate: NavigateFunction },
): void {
  if (note.evidence.length > 0) {
    body.select(note.evidence[turn % note.evidence.length]);
    return;
  }
  if (note.place === 'target') {
    navigate(`/posts/${postId}/target`, { state: { focus: 'keyword' } });
    return;
  }
  if (note.place === 'text') {
    body.editor
      .chain()
      .focus(WANT_MORE.has(note.id) ? 'end' : 'start')
      .scrollIntoView()
      .run();
    return;
  }
  const place = document.querySelector<HTMLElement>(`[data-place="${note.place}"]`);
  const field = place?.matches('input, textarea')
    ? place
    : place?.querySelector<HTMLElement>('input:not([type=file]), textarea, button');
  place?.scrollIntoView({ block: 'nearest' });
  field?.focus();
}
