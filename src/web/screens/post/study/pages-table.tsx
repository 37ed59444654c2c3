import { scoreAsPage } from '../../../../core/study/index.ts';
import { useAppSelector } from '../../../state/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Check } from '../../../ui/check-field.tsx';
import { countInWords, figureInWords } from '../../../ui/figures.ts';
import { Opening } from '../../../ui/opening.tsx';
import type { StudyLine } from '../../../workers/study.ts';

const COLUMNS = ['Words', 'Headings', 'Images', 'Links out', 'Ease', 'On topic', 'Score'] as const;

/** The pages of a study: figures of each, which are taken in, and what is suggested to be left out. */
export function PagesTable({
  lines,
  opened,
  onOpen,
  onTake,
}: {
  lines: readonly StudyLine[];
  opened: string;
  onOpen: (address: string) => void;
  onTake: (addresses: readonly string[], taken: boolean) => void;
}) {
  const { words, report } = useAppSelector((state) => state.openPost);
  const suggested = lines.filter(({ ref, suggestion }) => suggestion && !ref.left);
  return (
    <>
      {suggested.length > 0 && (
        <p className="mb-2 text-[13px] text-ochre">
          {suggested.length === 1 ? 'One page' : `${suggested.length} pages`} may be no help; the reason
          stands below each.{' '}
          <Button
            look="word"
            onClick={() =>
              onTake(
                suggested.map(({ ref }) => ref.address),
                false,
              )
            }
          >
            Leave {suggested.length === 1 ? 'it' : 'them'} out
          </Button>
        </p>
      )}
      <table aria-label="Pages studied" className="w-full text-[13px]">
        <thead className="text-left text-soft">
          <tr>
            <th className="w-8 py-1 font-normal">In</th>
            <th className="w-7 text-right font-normal">
              <span className="sr-only">Rank</span>
            </th>
            <th className="pl-3 font-normal">Page</th>
            {COLUMNS.map((name) => (
              <th key={name} className="w-16 text-right font-normal" title={MEANINGS[name]}>
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {report && (
            <tr className="border-t bg-marram/5">
              <td />
              <td />
              <th scope="row" className="py-1.5 pl-3 text-left font-semibold">
                Your draft
              </th>
              <td className="text-right tabular-nums">{countInWords(words)}</td>
              <td colSpan={5} />
              <td
                className="text-right font-semibold tabular-nums"
                title="By the criteria that can be judged on any page"
              >
                {figureInWords(scoreAsPage(report.criteria))}
              </td>
            </tr>
          )}
          {lines.map(({ ref, figures, onTopic, suggestion }) => (
            <tr
              key={ref.address}
              className={`border-t align-top ${ref.left ? 'text-soft' : ''} ${opened === ref.address ? 'bg-sand/40' : ''}`}
            >
              <td className="py-1.5">
                <Check
                  name={`Take in ${ref.title}`}
                  checked={!ref.left && figures !== null}
                  disabled={figures === null}
                  onChange={(checked) => onTake([ref.address], checked)}
                />
              </td>
              <td className="py-1.5 text-right text-soft tabular-nums">{ref.rank}</td>
              <td className="py-1.5 pl-3">
                <Opening
                  disabled={figures === null}
                  open={opened === ref.address}
                  onToggle={() => onOpen(opened === ref.address ? '' : ref.address)}
                  className="block max-w-full break-words"
                >
                  {ref.title}
                </Opening>
                <span className="block text-soft">
                  {ref.publisher}
                  {ref.kind ? `, ${ref.kind}` : ''}
                </span>
                {ref.problem && <span className="block text-rust">{ref.problem}</span>}
                {suggestion && <span className="block text-ochre">{suggestion}</span>}
              </td>
              {figures ? (
                <>
                  <td className="py-1.5 text-right tabular-nums">{countInWords(figures.words)}</td>
                  <td className="py-1.5 text-right tabular-nums">{figures.headings}</td>
                  <td className="py-1.5 text-right tabular-nums">{figures.images}</td>
                  <td className="py-1.5 text-right tabular-nums">{figures.linksOut}</td>
                  <td className="py-1.5 text-right tabular-nums">{figureInWords(figures.ease)}</td>
                  <td className="py-1.5 text-right tabular-nums">
                    {onTopic === null ? '–' : `${Math.round(onTopic * 100)} %`}
                  </td>
                  <td className="py-1.5 text-right tabular-nums">{figureInWords(figures.score)}</td>
                </>
              ) : (
                <td colSpan={COLUMNS.length} className="py-1.5 text-right text-soft">
                  not read
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

const MEANINGS: Record<(typeof COLUMNS)[number], string> = {
  Words: 'Words of the article, without menus, asides and comments',
  Headings: 'Headings below the title',
  Images: 'Images in the article',
  'Links out': 'Links to other hosts',
  Ease: 'Flesch Reading Ease: higher reads more easily',
  'On topic':
    'How near it is to the subject of these pages, the nearest being 100 %: by naming the query, and by speaking as the pages do that name it',
  Score: 'By our criteria that can be judged on any page',
};
