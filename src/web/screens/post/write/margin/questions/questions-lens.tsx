import { useAppSelector } from '../../../../../state/store.ts';
import { Earned } from '../../../../../ui/earned.tsx';
import { WordLink } from '../../../../../ui/word-link.tsx';
import { usePost } from '../../../frame/post-context.ts';
import type { LensProps } from '../lens-props.ts';

/** Questions the post is to answer beside the text, and those of the study that could be chosen. */
export function QuestionsLens({ study }: Pick<LensProps, 'study'>) {
  const { session } = usePost();
  const questions = useAppSelector((state) => state.openPost.fields.questions);
  const line = useAppSelector((state) =>
    state.openPost.report?.criteria.find(({ id }) => id === 'questions-answered'),
  );
  const offered = (study?.asked ?? []).filter(({ text }) => !questions.includes(text)).slice(0, 12);
  return (
    <section aria-label="Questions" className="min-w-0 flex-1 px-4 pt-3 pb-10 text-[13px]">
      {line?.applies && (
        <p className="mb-2 flex items-center gap-2">
          <Earned share={line.points / line.available} />
          {line.measured} answered{line.advice ? `. ${line.advice}` : ''}
        </p>
      )}
      {questions.length === 0 ? (
        <p className="text-soft">
          No question is chosen.{' '}
          <WordLink to="../target" relative="path">
            Choose them on Target
          </WordLink>{' '}
          or below.
        </p>
      ) : (
        <ul aria-label="Questions to answer">
          {questions.map((text) => (
            <li key={text} className="border-t py-1">
              {text}
            </li>
          ))}
        </ul>
      )}
      {offered.length > 0 && (
        <>
          <h3 className="mt-4 mb-0.5 font-semibold">Asked around your keyword</h3>
          <ul aria-label="Questions asked">
            {offered.map(({ text, place }) => (
              <li key={`${text} ${place}`} className="border-t">
                <button
                  type="button"
                  title="Choose it: one section should hold its words"
                  onClick={() => session.setFields({ questions: [...questions, text] })}
                  className="w-full py-1 text-left text-marram hover:underline"
                >
                  {text}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
