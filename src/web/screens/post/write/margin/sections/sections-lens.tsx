import { type SectionFacts, sectionRemarks, wholeProfile } from '../../../../../../core/criteria/index.ts';
import { counted } from '../../../../../ui/figures.ts';
import { Waiting } from '../../../../../ui/waiting.tsx';
import { usePost } from '../../../frame/post-context.ts';
import type { LensProps } from '../lens-props.ts';
import { useLook } from '../use-look.ts';

/** The post section by section: what each holds, and which is thin, hard or bare. */
export function SectionsLens({ body, study }: Pick<LensProps, 'body' | 'study'>) {
  const { session, site } = usePost();
  const { answer } = useLook(
    session,
    (worker) => worker.sectionsOf(session.siteId, session.id, session.finished),
    'The sections could not be looked through',
  );
  const [, easeFrom] = wholeProfile(site.profile).limits.readingEase;
  const most = Math.max(1, ...(answer ?? []).map(({ words }) => words));
  const remarks = sectionRemarks(answer ?? [], easeFrom ?? 0);
  return (
    <section aria-label="Sections" className="min-w-0 flex-1 px-4 pt-3 pb-10 text-[13px]">
      {!answer ? (
        <Waiting name="Looking through the sections" className="h-40" />
      ) : answer.length === 0 ? (
        <p className="text-soft">There is no text yet. Each heading will begin a section here.</p>
      ) : (
        <ol aria-label="Sections of the post">
          {answer.map((section, at) => (
            <li key={section.blockId} className="border-t">
              <button
                type="button"
                title="Go to this section"
                onClick={() => body.select({ blockId: section.blockId, start: 0, end: 0 })}
                className="w-full py-1.5 text-left hover:text-sea"
                style={{ paddingInlineStart: Math.max(0, section.level - 2) * 12 }}
              >
                <span className={`block break-words ${section.heading ? 'font-medium' : 'text-soft italic'}`}>
                  {section.heading || 'Before the first heading'}
                </span>
                <span aria-hidden className="mt-1 block h-[3px] bg-line">
                  <span
                    className="block h-full bg-marram"
                    style={{ width: `${(100 * section.words) / most}%` }}
                  />
                </span>
                <span className="mt-0.5 block text-[12px] text-soft">{holds(section, study !== null)}</span>
                {remarks[at].map((remark) => (
                  <span key={remark} className="block text-[12px] text-ochre">
                    {remark}
                  </span>
                ))}
              </button>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

/** What a section holds, in a line. */
function holds(
  { words, ease, terms, termsOnlyHere, links, pictures, scanPoints, claims, questions }: SectionFacts,
  hasStudy: boolean,
): string {
  return [
    counted(words, 'word'),
    ease === null ? '' : `ease ${Math.round(ease)}`,
    hasStudy ? `${counted(terms, 'term')}${termsOnlyHere > 0 ? ` (${termsOnlyHere} only here)` : ''}` : '',
    links > 0 ? counted(links, 'link') : '',
    pictures > 0 ? counted(pictures, 'picture') : '',
    scanPoints > 0 ? counted(scanPoints, 'list or table', 'lists or tables') : '',
    claims > 0 ? counted(claims, 'figure') : '',
    questions.length > 0 ? `answers ${counted(questions.length, 'question')}` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}
