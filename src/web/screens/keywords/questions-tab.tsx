import { useState } from 'react';
import { QUESTION_PLACES, type Question, type QuestionPlace } from '../../../core/research/index.ts';
import { Check } from '../../ui/check-field.tsx';
import { None } from '../../ui/empty.tsx';
import { countInWords } from '../../ui/figures.ts';

const PLACE_NAMES: Record<QuestionPlace, string> = {
  suggestion: 'Suggested while typing',
  related: 'On results pages',
  forum: 'In forums',
};

/** What people ask about the seeds, those searched for most first; by where it was met. */
export function QuestionsTab({
  questions,
  selected,
  onSelect,
}: {
  questions: readonly Question[];
  selected: ReadonlySet<string>;
  onSelect: (texts: ReadonlySet<string>) => void;
}) {
  const [place, setPlace] = useState<QuestionPlace | 'all'>('all');
  const shown = questions
    .filter((question) => place === 'all' || question.place === place)
    .sort((a, b) => (b.volume ?? -1) - (a.volume ?? -1));
  if (questions.length === 0)
    return (
      <None>
        Nothing is known that people ask about this. Search for a seed, or bring phrases of your own:
        questions among them stand under Phrases, "Questions only".
      </None>
    );
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 pb-4 text-[13px]">
      <div role="group" aria-label="Where it was asked" className="flex gap-3 py-2">
        {(['all', ...QUESTION_PLACES] as const).map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={place === each}
            onClick={() => setPlace(each)}
            className={place === each ? 'font-semibold text-ink' : 'text-soft hover:text-ink'}
          >
            {each === 'all' ? 'Everywhere' : PLACE_NAMES[each]}{' '}
            {each === 'all'
              ? questions.length
              : questions.filter((question) => question.place === each).length}
          </button>
        ))}
      </div>
      <ul aria-label="Questions">
        {shown.map(({ text, place: where, volume }) => (
          <li
            key={`${where} ${text}`}
            className="grid grid-cols-[30px_1fr_170px_90px] items-center border-t py-1.5"
          >
            <Check
              name={`Select ${text}`}
              checked={selected.has(text)}
              onChange={() => {
                const next = new Set(selected);
                if (!next.delete(text)) next.add(text);
                onSelect(next);
              }}
            />
            <span>{text}</span>
            <span className="text-soft">{PLACE_NAMES[where]}</span>
            <span className="text-right tabular-nums">{countInWords(volume)}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
