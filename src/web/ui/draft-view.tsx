import type { ReactNode } from 'react';

/** What is shown of a draft's block. */
interface ShownBlock {
  id: string;
  kind: string;
  level?: number;
  path: readonly { type: string }[];
  text: string;
  marks: readonly { type: string; start: number; end: number }[];
}

/** A draft to read: headings, paragraphs and lists, with what is bold in them. */
export function DraftView({ blocks }: { blocks: readonly ShownBlock[] }) {
  return (
    <>
      {blocks.map((block) => {
        const depth = block.path.filter(({ type }) => type === 'item').length;
        const words = bold(block);
        if (block.kind === 'heading')
          return block.level === 1 ? (
            <h2 key={block.id} className="mb-3 font-serif text-[22px] leading-tight font-semibold">
              {words}
            </h2>
          ) : (
            <h3 key={block.id} className="mt-4 mb-1 font-semibold">
              {words}
            </h3>
          );
        return (
          <p
            key={block.id}
            className={`mb-1 break-words ${depth > 0 ? 'relative' : 'mb-2'}`}
            style={depth > 0 ? { paddingLeft: depth * 16 } : undefined}
          >
            {depth > 0 && (
              <span aria-hidden className="absolute text-soft" style={{ left: depth * 16 - 11 }}>
                ·
              </span>
            )}
            {words}
          </p>
        );
      })}
    </>
  );
}

function bold({ text, marks }: ShownBlock): ReactNode[] {
  const parts: ReactNode[] = [];
  let from = 0;
  for (const { start, end } of marks.filter(({ type }) => type === 'bold')) {
    parts.push(text.slice(from, start), <strong key={start}>{text.slice(start, end)}</strong>);
    from = end;
  }
  return [...parts, text.slice(from)];
}
