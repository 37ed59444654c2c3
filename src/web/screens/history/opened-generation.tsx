import { useNavigate } from 'react-router';
import type { GenerationRow } from '../../data/study-rows.ts';
import { attempt } from '../../state/attempt.ts';
import { Button } from '../../ui/button.tsx';
import { copyText } from '../../ui/copy-text.ts';

/** A text of the history opened: what was asked, with what, what came, and where it can go from here. */
export function OpenedGeneration({ row, isPostThere }: { row: GenerationRow; isPostThere: boolean }) {
  const navigate = useNavigate();
  const { asked } = row;
  const label = 'mb-0.5 font-semibold text-soft';
  return (
    <div className="mt-2 mb-3 ml-7 grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-5 text-[13px] max-[900px]:grid-cols-1">
      <div className="space-y-3">
        <div>
          <h2 className={label}>Asked with</h2>
          <pre className="font-sans whitespace-pre-wrap">{row.input || 'Nothing but the post.'}</pre>
        </div>
        {asked && (
          <>
            <p className="text-soft">
              {asked.model ? `Made by ${asked.model}` : 'Made without a model'} in{' '}
              {(asked.ms / 1000).toFixed(1)} s{asked.problem ? `. ${asked.problem}` : ''}
              {asked.note ? `. ${asked.note}` : ''}
            </p>
            <details>
              <summary className="cursor-pointer text-soft">What was sent</summary>
              {asked.messages.map(({ role, content }, at) => (
                <pre
                  // biome-ignore lint/suspicious/noArrayIndexKey: messages have nothing but their order
                  key={at}
                  className="mt-1 max-h-60 overflow-auto rounded border bg-sheet p-2 font-sans whitespace-pre-wrap"
                >
                  <strong>{role}</strong>
                  {`\n${content}`}
                </pre>
              ))}
            </details>
          </>
        )}
      </div>
      <div>
        <h2 className={label}>What came</h2>
        <pre className="mb-2 max-h-80 overflow-auto rounded-md border bg-sheet p-3 font-serif text-[15px] whitespace-pre-wrap">
          {row.output || 'Nothing.'}
        </pre>
        <p className="flex flex-wrap gap-x-4 gap-y-1">
          {asked && isPostThere && (
            <Button
              look="word"
              onClick={() =>
                navigate(`/posts/${row.postId}/write`, {
                  state: { pattern: asked.pattern, values: asked.values },
                })
              }
            >
              Ask again with other inputs
            </Button>
          )}
          {isPostThere && (
            <Button look="word" onClick={() => navigate(`/posts/${row.postId}/write`)}>
              Open the post
            </Button>
          )}
          <Button look="word" onClick={() => attempt(copyText(row.output, 'Copied.', 'text.md'))}>
            Copy
          </Button>
        </p>
      </div>
    </div>
  );
}
