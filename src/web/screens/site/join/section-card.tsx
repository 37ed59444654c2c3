import type { ReactNode } from 'react';
import type { PostSection } from '../../../../core/site/index.ts';
import { DraftView } from '../../../ui/draft-view.tsx';
import { counted } from '../../../ui/figures.ts';

/** What a section is called: one without a heading is its post's beginning. */
export const sectionName = ({ heading }: PostSection): string => heading.trim() || 'Beginning';

const LOOKS = { own: '', come: 'border-l-[3px] border-l-ochre', gone: 'border-dashed bg-transparent' };
/** Characters with which a text begins that is not opened; two lines show fewer. */
const BEGINNING = 300;

/** A section of a post with its text, which opens. */
export function SectionCard({
  section,
  note,
  look = 'own',
  children,
}: {
  section: PostSection;
  /** What there is to say of it. */
  note?: ReactNode;
  /** `come`: from the post that gives way into the one that stays; `gone`: it stands there now. */
  look?: 'own' | 'come' | 'gone';
  /** What can be done with it. */
  children: ReactNode;
}) {
  const name = sectionName(section);
  const text = section.heading === '' ? section.blocks : section.blocks.slice(1);
  const beginning = text
    .map((block) => block.text)
    .filter(Boolean)
    .join(' ')
    .slice(0, BEGINNING);
  return (
    <li aria-label={name} className={`mb-2 rounded-md border bg-sheet ${LOOKS[look]}`}>
      <div className="flex items-start gap-2 px-3 pt-2">
        <h3 className="min-w-0 flex-1 font-semibold break-words">{name}</h3>
        <span className="flex shrink-0 items-center gap-1">{children}</span>
      </div>
      <p className="px-3 text-[13px] text-soft">
        {counted(section.words, 'word')}
        {note && <>. {note}</>}
      </p>
      {text.length > 0 && (
        <details className="group px-3 pb-2">
          <summary
            aria-label={`Text of ${name}`}
            className="mt-1 cursor-pointer list-none border-t pt-1.5 hover:text-marram group-open:text-soft"
          >
            <span className="line-clamp-2 group-open:hidden">{beginning}</span>
            <span className="hidden text-[13px] group-open:inline">Less of it</span>
          </summary>
          <div className="pt-1">
            <DraftView blocks={text} />
          </div>
        </details>
      )}
    </li>
  );
}
