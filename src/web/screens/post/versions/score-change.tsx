import type { VersionScore } from '../../../data/post-rows.ts';
import { GROUP_NAMES, Ridge } from '../../../ui/ridge.tsx';

/** Points below which a criterion counts as unmoved. */
const VISIBLE = 0.05;

const signed = (points: number) => `${points > 0 ? '+' : '−'}${Math.abs(points).toFixed(1)}`;

/** What a step of the score is made of: the groups of both states and the criteria that moved. */
export function ScoreChange({
  before,
  after,
  narrow = false,
}: {
  before: VersionScore;
  after: VersionScore;
  /** One column, for a margin. */
  narrow?: boolean;
}) {
  const width = narrow ? 62 : 120;
  const old = new Map(before.criteria.map((line) => [line.id, line.points]));
  const moved = after.criteria
    .map((line) => ({ ...line, by: line.points - (old.get(line.id) ?? 0) }))
    .filter((line) => Math.abs(line.by) >= VISIBLE)
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
  const gain = after.score - before.score;
  const groups = new Map(after.groups.map((group) => [group.id as string, group]));
  const names = [...groups.keys()].filter((id) => {
    const [was, is] = [before.groups.find((group) => group.id === id), groups.get(id)];
    return was && is && Math.abs(is.points - was.points) >= VISIBLE;
  });
  return (
    <section aria-label="What changed the score" className="flex flex-wrap items-start gap-x-8 gap-y-3">
      <div className={`flex items-center ${narrow ? 'gap-2' : 'gap-3'}`}>
        <span className="text-[22px] font-semibold">{before.score.toFixed(1)}</span>
        <Ridge groups={before.groups} width={width} height={24} />
        <span aria-hidden>→</span>
        <span className="text-[22px] font-semibold">{after.score.toFixed(1)}</span>
        <Ridge groups={after.groups} width={width} height={24} />
        <span className={`font-semibold ${gain < 0 ? 'text-ochre' : 'text-marram'}`}>
          {Math.abs(gain) < VISIBLE ? 'no change' : signed(gain)}
        </span>
      </div>
      {moved.length > 0 && (
        <ul className={`min-w-64 flex-1 gap-8 text-[13px] ${narrow ? '' : 'columns-2'}`}>
          {moved.slice(0, 10).map((line) => (
            <li key={line.id} className="flex justify-between gap-3">
              {line.title}
              <span className={`font-semibold ${line.by < 0 ? 'text-ochre' : 'text-marram'}`}>
                {signed(line.by)}
              </span>
            </li>
          ))}
          {moved.length > 10 && <li className="text-soft">and {moved.length - 10} smaller ones</li>}
        </ul>
      )}
      {names.length > 0 && (
        <p className="w-full text-[13px] text-soft">
          {names
            .map((id) => {
              const by = groups.get(id)!.points - before.groups.find((group) => group.id === id)!.points;
              return `${GROUP_NAMES[id]} ${signed(by)}`;
            })
            .join(' · ')}
        </p>
      )}
    </section>
  );
}
