import { counted } from '../../../ui/figures.ts';
import type { PlannedJoin } from '../../../workers/site-join.ts';

/** What joining comes to, in a line. */
export function JoinEffect({ plan }: { plan: PlannedJoin }) {
  const { score, words, mend, redirect, problems } = plan;
  return (
    <div aria-label="What it comes to" role="status" className="min-w-0 flex-1">
      <p>
        <span className="font-semibold">{counted(words.after, 'word')}</span>
        <span className="text-soft"> (now {words.before}), score </span>
        <span className="font-semibold">{Math.round(score.after)}</span>
        <span className="text-soft"> (now {Math.round(score.before)})</span>
        {mend.length > 0 && (
          <span className="text-soft">. Links in {counted(mend.length, 'post')} follow</span>
        )}
        {redirect && (
          <span className="break-all text-soft">
            . Readers of {redirect.from} are led to {redirect.to}
          </span>
        )}
        <span className="text-soft">.</span>
      </p>
      {problems.map((problem) => (
        <p key={problem} role="alert" className="text-rust">
          {problem}
        </p>
      ))}
    </div>
  );
}
