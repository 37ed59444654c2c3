import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import type { FidelityAccount } from '../../../../core/talk/index.ts';
import { withValue } from '../../../../core/writing/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { filledWish, NOWHERE } from '../../../state/writing/ask-text.ts';
import { Button } from '../../../ui/button.tsx';
import { counted } from '../../../ui/figures.ts';
import type { HeardSection } from '../../../workers/talk.ts';
import { talkWorker } from '../../../workers/talk-client.ts';
import { Editable } from '../frame/editable.tsx';
import { usePost } from '../frame/post-context.ts';
import { askInSheet } from '../write/help/use-ask.ts';
import { TimeButton } from './time-button.tsx';

/** Sections as they were heard: each can be asked for from the text service, in the speaker's words, held against the talk. */
export function SectionAsking({
  at,
  account,
  onTime,
}: {
  /** When the talk was brought. */
  at: string;
  account: FidelityAccount | null;
  onTime: (seconds: number) => void;
}) {
  const { session, site } = usePost();
  const navigate = useNavigate();
  const [sections, setSections] = useState<HeardSection[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a talk that is brought anew has another instant
  useEffect(() => {
    let isOver = false;
    attempt(
      talkWorker()
        .then((worker) => worker.sectionsOf(session.id))
        .then((found) => {
          if (!isOver) setSections(found);
        }),
      'The sections of the talk could not be read',
    );
    return () => {
      isOver = true;
    };
  }, [session, at]);
  if (sections.length === 0) return null;
  /** The block that the section is asked for below: the last of which the words were said in it; null: the end of the post. */
  const blockOf = ({ start }: HeardSection): string | null => {
    const until = sections.find((one) => start !== null && one.start !== null && one.start > start)?.start;
    const said = (account?.times ?? []).filter(
      ([, seconds]) => start !== null && seconds >= start && seconds < (until ?? Number.POSITIVE_INFINITY),
    );
    const { blocks } = session.body;
    // A heading may have been said anywhere; a section goes below its text.
    return (
      blocks.findLast(({ id, kind }) => kind !== 'heading' && said.some(([block]) => block === id))?.id ??
      null
    );
  };
  const ask = async (section: HeardSection) => {
    const { heading, said } = section;
    const wish = await filledWish(session, 'from-talk', NOWHERE);
    let values = withValue(wish.values, 'heading', heading);
    values = withValue(values, 'said', said);
    askInSheet(session, site, { ...wish, values, at: { ...NOWHERE, blockId: blockOf(section) } });
    navigate('../write', { relative: 'path', state: { lens: 'talk' } });
  };
  return (
    <section aria-label="Sections of the talk" className="text-[13px]">
      <h3 className="mb-1 font-semibold">Sections of the talk</h3>
      <p className="mb-2 text-soft">
        Each can be asked for from the text service of the house, in the speaker’s words; what comes stands in
        the text until you take it, held against the talk.
      </p>
      <ul className="space-y-1">
        {sections.map((section, index) => (
          <li
            // biome-ignore lint/suspicious/noArrayIndexKey: sections have no other name than their place
            key={index}
            className="grid grid-cols-[3.2rem_1fr_auto_auto] items-baseline gap-x-3"
          >
            <TimeButton seconds={section.start} onTime={onTime} />
            <span className="min-w-0 font-serif text-[14px] break-words">{section.heading || 'Opening'}</span>
            <span className="text-soft tabular-nums">{counted(section.words, 'word')}</span>
            <Editable>
              <Button
                look="word"
                aria-label={`Ask for ${section.heading || 'the opening'}`}
                onClick={() => attempt(ask(section))}
              >
                Ask for it
              </Button>
            </Editable>
          </li>
        ))}
      </ul>
    </section>
  );
}
