import {
  BAND_FIGURES,
  type Band,
  type BandFigure,
  type Study,
  scoreAsPage,
} from '../../../../core/study/index.ts';
import { useAppSelector } from '../../../state/store.ts';
import { countInWords } from '../../../ui/figures.ts';
import { ScatterChart } from '../../../ui/scatter-chart.tsx';
import type { StudyLine } from '../../../workers/study.ts';

const NAMES: Record<BandFigure, string> = {
  words: 'Words',
  headings: 'Headings',
  images: 'Images',
  links: 'Links',
  ease: 'Reading ease',
  score: 'Score',
};

/** Where the pages taken in stand with each figure, and length against score with the draft among them. */
export function BandsPanel({ study, lines }: { study: Study; lines: readonly StudyLine[] }) {
  const { words, report } = useAppSelector((state) => state.openPost);
  const own = report ? scoreAsPage(report.criteria) : null;
  const taken = lines.filter(({ ref, figures }) => figures && !ref.left);
  return (
    <div className="px-4 py-3 text-[13px]">
      <h3 className="mb-1 font-semibold">Where the pages stand</h3>
      <p className="mb-1.5 text-soft">
        The band of a figure runs from Lower to Upper: the middle half of the pages lies in it, and pages near
        the subject count most. Your draft stands in the chart below, counted the same way.
      </p>
      <table aria-label="Bands" className="w-full">
        <thead className="text-right text-soft">
          <tr>
            <th className="py-0.5 text-left font-normal">Figure</th>
            <th className="font-normal" title="Lower quartile: a quarter of the pages has less">
              Lower
            </th>
            <th className="font-normal">Middle</th>
            <th className="font-normal" title="Upper quartile: a quarter of the pages has more">
              Upper
            </th>
            <th className="font-normal">Most</th>
          </tr>
        </thead>
        <tbody>
          {BAND_FIGURES.map((name) => (
            <BandRow key={name} name={NAMES[name]} band={study.bands[name]} />
          ))}
        </tbody>
      </table>
      {study.topTen !== null && (
        <p className="mt-1 text-soft">The first ten score {Math.round(study.topTen)} on average.</p>
      )}
      <h3 className="mt-4 mb-1 font-semibold">Length against score</h3>
      <ScatterChart
        name={`${taken.length} pages by words (across) and score (up)`}
        height={230}
        across="words"
        up="score"
        points={taken.map(({ ref, figures }) => ({
          x: figures!.words,
          y: Math.round(figures!.score * 10) / 10,
          label: ref.title,
        }))}
        own={
          own === null || words === 0 ? null : { x: words, y: Math.round(own * 10) / 10, label: 'Your draft' }
        }
      />
      <p className="text-soft">
        Scores are those by the criteria that can be judged on any page: no site, no study, no brief.
      </p>
    </div>
  );
}

function BandRow({ name, band }: { name: string; band: Band | null }) {
  return (
    <tr className="border-t text-right tabular-nums">
      <th scope="row" className="py-1 text-left font-normal">
        {name}
      </th>
      {(['lower', 'median', 'upper', 'best'] as const).map((part) => (
        <td key={part}>{band ? countInWords(Math.round(band[part])) : '–'}</td>
      ))}
    </tr>
  );
}
