import { useState } from 'react';
import type { Held } from '../../../core/research/index.ts';
import { changeIdea } from '../../data/ideas.ts';
import type { PostRow } from '../../data/post-rows.ts';
import type { IdeaRow, IdeaStage } from '../../data/research-rows.ts';
import { attempt } from '../../state/attempt.ts';
import { Button } from '../../ui/button.tsx';
import { counted, figureInWords } from '../../ui/figures.ts';
import { WordLink } from '../../ui/word-link.tsx';

const ORIGINS: Record<IdeaRow['origin'], string> = {
  cluster: 'from phrases',
  title: 'beside',
  offer: 'from the offer',
  heading: 'from a heading of',
  hand: 'by hand',
};
/** One idea: its title and line to edit, where it comes from, and what can be decided. */
export function IdeaLine({
  idea,
  posts,
  held,
  onDecide,
  onBegin,
}: {
  idea: IdeaRow;
  posts: readonly PostRow[];
  /** The post that holds its keyword already; null: none. */
  held: Held | null;
  onDecide: (stage: IdeaStage, words: string) => void;
  onBegin: () => void;
}) {
  const [title, setTitle] = useState(idea.title);
  const [line, setLine] = useState(idea.line);
  const parent = posts.find(({ id }) => id === idea.from);
  const post = posts.find(({ id }) => id === idea.postId);
  return (
    <div className="grid min-w-0 flex-1 grid-cols-[minmax(0,1fr)_auto] gap-x-6 max-[760px]:grid-cols-1">
      <div className="min-w-0">
        <textarea
          rows={1}
          aria-label="Working title"
          value={title}
          onChange={(event) => setTitle(event.target.value.replace(/\n/g, ' '))}
          onBlur={() =>
            title.trim() &&
            title !== idea.title &&
            attempt(changeIdea(idea.id, () => ({ title: title.trim() })))
          }
          className="field-sizing-content w-full resize-none rounded border border-transparent bg-transparent font-serif text-[17px] font-semibold hover:border-line"
        />
        <textarea
          rows={1}
          aria-label={`Line of description of ${idea.title}`}
          value={line}
          onChange={(event) => setLine(event.target.value)}
          onBlur={() => line !== idea.line && attempt(changeIdea(idea.id, () => ({ line })))}
          placeholder="What it is about, in a line"
          className="field-sizing-content w-full resize-none rounded border border-transparent bg-transparent text-soft hover:border-line"
        />
        <p className="mt-0.5 text-[13px] text-soft">
          {idea.keyword && (
            <>
              <WordLink to={`/keywords?seed=${encodeURIComponent(idea.keyword)}`} quiet>
                {idea.keyword}
              </WordLink>
              {idea.phrases.length > 1 ? ` and ${counted(idea.phrases.length - 1, 'phrase')} more` : ''} ·{' '}
            </>
          )}
          {idea.opportunity !== null && `opportunity ${figureInWords(idea.opportunity)} · `}
          {ORIGINS[idea.origin]}
          {parent && (
            <>
              {' '}
              <WordLink to={`/posts/${parent.id}/write`} quiet>
                {parent.fields.title || 'Untitled'}
              </WordLink>
            </>
          )}
        </p>
        {held && (
          <p className="text-[13px] text-ochre">
            {held.how === 'target' ? 'Clashes with the target of' : 'Its keyword is held by'}{' '}
            <WordLink to={`/posts/${held.id}/target`} quiet>
              {held.title || 'Untitled'}
            </WordLink>
          </p>
        )}
      </div>
      <div className="flex items-start gap-2">
        {post && (
          <WordLink to={`/posts/${post.id}/target`} className="self-center">
            Open its post
          </WordLink>
        )}
        {idea.stage !== 'begun' && (
          <>
            {idea.stage !== 'kept' && <Button onClick={() => onDecide('kept', 'Kept')}>Keep</Button>}
            {idea.stage !== 'parked' && <Button onClick={() => onDecide('parked', 'Parked')}>Park</Button>}
            {idea.stage !== 'dropped' && <Button onClick={() => onDecide('dropped', 'Dropped')}>Drop</Button>}
            <Button look={idea.stage === 'kept' ? 'main' : 'plain'} onClick={onBegin}>
              Begin the post
            </Button>
          </>
        )}
      </div>
    </div>
  );
}
