import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { PostFields } from '../../../../core/draft/index.ts';
import { BRIEF_PARTS, type Brief, type BriefPart, PART_NAMES } from '../../../../core/writing/index.ts';
import type { BriefRow, StudyRow } from '../../../data/study-rows.ts';
import { useAppSelector } from '../../../state/store.ts';
import {
  AudienceField,
  GoalField,
  KeywordField,
  LengthField,
  NextStepField,
  PointsField,
  QuestionsField,
  StyleField,
  SupportingField,
  ToneField,
} from '../../../ui/brief-fields.tsx';
import { Button } from '../../../ui/button.tsx';
import { Check } from '../../../ui/check-field.tsx';
import { ChipsField } from '../../../ui/chips-field.tsx';
import { TextField } from '../../../ui/field.tsx';
import { counted, countInWords } from '../../../ui/figures.ts';
import { IconButton } from '../../../ui/icon-button.tsx';
import { usePost } from '../frame/post-context.ts';
import { LinkChooser } from './link-chooser.tsx';

const word = 'font-semibold text-marram underline decoration-marram/40 underline-offset-4';

/** Every part of a brief: whether it goes in, and what it says, edited in place. */
export function BriefParts({
  brief,
  row,
  study,
  onChange,
}: {
  brief: Brief;
  row: BriefRow;
  study: StudyRow | null;
  onChange: (patch: Partial<BriefRow>) => void;
}) {
  const { session } = usePost();
  const fields = useAppSelector((state) => state.openPost.fields);
  const set = (patch: Partial<PostFields>) => session.setFields(patch);
  const terms = brief.terms.staple.length + brief.terms.supporting.length;
  const contents: Record<BriefPart, ReactNode> = {
    target: (
      <div className="space-y-3">
        <KeywordField value={fields.keyword} onChange={(keyword) => set({ keyword })} />
        <SupportingField items={fields.supporting} onChange={(supporting) => set({ supporting })} />
      </div>
    ),
    reader: (
      <div className="grid grid-cols-2 gap-3">
        <GoalField value={fields.goal} onChange={(goal) => set({ goal })} />
        <ToneField value={fields.tone} onChange={(tone) => set({ tone })} />
        <StyleField value={fields.style} onChange={(style) => set({ style })} />
        <NextStepField value={fields.nextStep} onChange={(nextStep) => set({ nextStep })} />
        <div className="col-span-2">
          <AudienceField items={fields.audience} onChange={(audience) => set({ audience })} />
        </div>
      </div>
    ),
    length: (
      <div className="max-w-80">
        <LengthField
          value={fields.targetWords}
          onChange={(targetWords) => set({ targetWords })}
          placeholder={String(Math.round((brief.length.from + brief.length.to) / 2))}
          note={`${countInWords(brief.length.from)} to ${countInWords(brief.length.to)} words${
            fields.targetWords === null && study?.facts?.words ? ', as half of the pages have' : ''
          }`}
        />
      </div>
    ),
    points: <PointsField items={fields.points} onChange={(points) => set({ points })} />,
    topics: (
      <>
        <ChipsField
          label="Topics to cover"
          items={brief.topics}
          onChange={(topics) => onChange({ topics })}
          splitAt={/[\n\r]+/}
          suggestions={(study?.facts?.topics ?? []).slice(0, 12).map(({ name }) => name)}
        />
        {row.topics !== null && study && (
          <Button look="word" className="mt-1" onClick={() => onChange({ topics: null })}>
            Take those of the study again
          </Button>
        )}
      </>
    ),
    headings: (
      <p className="text-soft">
        {brief.outline.length === 0
          ? 'No headings are planned. '
          : `${counted(brief.outline.length, 'heading')}. `}
        <Link to="../outline" relative="path" className={word}>
          To the outline
        </Link>
      </p>
    ),
    questions: (
      <QuestionsField
        items={fields.questions}
        onChange={(questions) => set({ questions })}
        suggestions={(study?.asked ?? []).slice(0, 10).map(({ text }) => text)}
      />
    ),
    terms: (
      <p className="text-soft">
        {terms === 0 ? 'No terms are known. ' : `${counted(terms, 'term')} with their uses. `}
        <Link to="../study" relative="path" className={word}>
          {terms === 0 ? 'Study the result pages' : 'Pin, drop and add them on Study'}
        </Link>
      </p>
    ),
    figures: (
      <>
        {row.figures.length === 0 && (
          <p className="text-soft">
            None yet.{' '}
            <Link to="../study" relative="path" className={word}>
              Choose figures on Study
            </Link>
          </p>
        )}
        <ul aria-label="Figures of the brief">
          {row.figures.map((figure, at) => (
            <li key={`${figure.address} ${figure.text}`} className="flex items-start gap-2 border-t py-1">
              <span className="min-w-0 flex-1">
                {figure.text} <span className="text-soft">{figure.publisher}</span>
              </span>
              <Remove
                name={`the figure ${figure.text.slice(0, 40)}`}
                onClick={() => onChange({ figures: row.figures.toSpliced(at, 1) })}
              />
            </li>
          ))}
        </ul>
      </>
    ),
    links: (
      <>
        <ul aria-label="Pages of the brief">
          {row.links.map(({ address, title }, at) => (
            <li key={address} className="flex items-center gap-2 border-t py-1">
              <span className="min-w-0 flex-1 truncate">
                {title ?? address} <span className="text-soft">{address}</span>
              </span>
              <Remove
                name={`the page ${title ?? address}`}
                onClick={() => onChange({ links: row.links.toSpliced(at, 1) })}
              />
            </li>
          ))}
        </ul>
        <LinkChooser
          taken={row.links.map(({ address }) => address)}
          onChoose={(page) => onChange({ links: [...row.links, page] })}
        />
      </>
    ),
    avoid: (
      <TextField
        stored
        rows={2}
        label="What to avoid"
        value={row.avoid}
        onChange={(avoid) => onChange({ avoid })}
        placeholder="Words, claims, names that must not stand there"
      />
    ),
    notes: (
      <TextField stored rows={2} label="Notes" value={row.notes} onChange={(notes) => onChange({ notes })} />
    ),
  };
  return (
    <ol>
      {BRIEF_PARTS.map((part) => {
        const goesIn = !row.left.includes(part);
        return (
          <li
            key={part}
            className="grid grid-cols-[190px_1fr] gap-x-5 border-t py-3 text-[13px] max-[700px]:grid-cols-1"
          >
            <label className="flex items-start gap-2 font-semibold">
              <Check
                name={`${PART_NAMES[part]} goes in`}
                checked={goesIn}
                onChange={(checked) =>
                  onChange({
                    left: checked ? row.left.filter((each) => each !== part) : [...row.left, part],
                  })
                }
                className="mt-0.5"
              />
              {PART_NAMES[part]}
            </label>
            <div className={goesIn ? '' : 'opacity-60'}>{contents[part]}</div>
          </li>
        );
      })}
    </ol>
  );
}

const Remove = ({ name, onClick }: { name: string; onClick: () => void }) => (
  <IconButton name={`Take out ${name}`} icon={X} size={14} onClick={onClick} className="shrink-0" />
);
