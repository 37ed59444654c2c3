import { useState } from 'react';
import { useNavigate } from 'react-router';
import { type Pattern, placesIn } from '../../../../core/writing/index.ts';
import { generationsOfSite } from '../../../data/generations.ts';
import { postsOf } from '../../../data/posts.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { listInWords } from '../../../ui/figures.ts';

/** Answers that are shown as examples. */
const EXAMPLES = 2;

const READ = {
  lines: 'one answer in each line',
  headings: 'headings with their levels',
  paragraphs: 'paragraphs',
  text: 'one text',
} as const;

/** A pattern as it is: its request, its fields, what goes along, two of its answers, and a way to try it. */
export function PatternView({
  pattern,
  siteId,
  isOwn,
}: {
  pattern: Pattern;
  siteId: string;
  isOwn: boolean;
}) {
  const navigate = useNavigate();
  const posts = useLiveQuery(() => postsOf(siteId), [siteId]) ?? [];
  const rows = useLiveQuery(() => generationsOfSite(siteId), [siteId]) ?? [];
  const [postId, setPostId] = useState('');
  const titles = new Map(posts.map(({ id, fields }) => [id, fields.title || 'Untitled']));
  const open = posts.filter(({ deleted }) => deleted === '');
  const tried = postId || open.find(({ fields }) => fields.status === 'draft')?.id || open[0]?.id || '';
  const examples = rows
    .filter(({ asked, output }) => asked?.pattern === pattern.id && output.trim() !== '')
    .slice(0, EXAMPLES);
  return (
    <>
      {!isOwn && (
        <>
          <h3 className="mb-1 font-semibold">The request</h3>
          <pre className="mb-4 rounded-md border bg-sheet p-3 font-sans text-[13px] whitespace-pre-wrap">
            {pattern.text}
          </pre>
          <dl className="mb-5 grid grid-cols-[130px_1fr] gap-x-4 gap-y-1 text-[13px]">
            <dt className="text-soft">Fields</dt>
            <dd>
              {listInWords(
                pattern.fields.map(({ name, required }) => (required ? `${name} (needed)` : name)),
              )}
            </dd>
            <dt className="text-soft">Goes along</dt>
            <dd>{listInWords(pattern.along)}</dd>
            <dt className="text-soft">Answers with</dt>
            <dd>
              {READ[pattern.readAs]}
              {pattern.rules.pieces ? `, ${pattern.rules.pieces} wished for` : ''}
              {pattern.words ? `, about ${pattern.words} words` : ''}
            </dd>
          </dl>
        </>
      )}
      <h3 className="mb-1 font-semibold">Try it on a post</h3>
      {open.length === 0 ? (
        <p className="mb-5 text-soft">There is no post yet.</p>
      ) : (
        <p className="mb-5 flex flex-wrap items-center gap-2">
          <Choice
            aria-label="Post to try it on"
            value={tried}
            onChange={setPostId}
            options={open.map(({ id }) => ({ value: id, name: titles.get(id) ?? '' }))}
            className="max-w-80 px-2 py-1.5"
          />
          <Button
            disabled={placesIn(pattern.text).length === 0 && pattern.text.trim() === ''}
            onClick={() => navigate(`/posts/${tried}/write`, { state: { pattern: pattern.id } })}
          >
            Open it there
          </Button>
        </p>
      )}
      <h3 className="mb-1 font-semibold">Answers so far</h3>
      {examples.length === 0 && <p className="text-soft">It was not asked yet.</p>}
      {examples.map(({ id, postId: of, input, output, asked }) => (
        <section
          key={id}
          aria-label={`Answer for ${titles.get(of) ?? 'a post'}`}
          className="mb-4 border-t pt-2 text-[13px]"
        >
          <p className="mb-1 text-soft">
            For “{titles.get(of) ?? 'a post that is gone'}”,{' '}
            {asked?.model ? `by ${asked.model}` : 'made without a model'}
          </p>
          <pre className="mb-1 font-sans whitespace-pre-wrap text-soft">{input}</pre>
          <pre className="max-h-72 overflow-auto rounded-md border bg-sheet p-3 font-sans whitespace-pre-wrap">
            {output}
          </pre>
        </section>
      ))}
    </>
  );
}
