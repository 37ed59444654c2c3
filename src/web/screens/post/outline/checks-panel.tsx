import type { OutlineCheck } from '../../../../core/outline/index.ts';

/** What is not right with the plan yet; pressing one goes to its heading. */
export function ChecksPanel({
  checks,
  onShow,
}: {
  checks: readonly OutlineCheck[];
  onShow: (id: string) => void;
}) {
  if (checks.length === 0) return <p className="text-soft">Levels, lengths and headings are in order.</p>;
  return (
    <ul aria-label="Checks">
      {checks.map(({ id, text }) => (
        <li key={`${id} ${text}`} className="border-t py-1">
          {id === null ? (
            text
          ) : (
            <button type="button" onClick={() => onShow(id)} className="text-left hover:text-sea">
              {text}
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
