import type { CriterionResult } from '../../../../../../core/criteria/index.ts';
import { useAppSelector } from '../../../../../state/store.ts';
import { Waiting } from '../../../../../ui/waiting.tsx';
import { usePost } from '../../../frame/post-context.ts';
import type { LensProps } from '../lens-props.ts';
import { useLook } from '../use-look.ts';
import { Figures } from './figures.tsx';
import { PlaceList } from './place-list.tsx';
import { SharedList } from './shared-list.tsx';
import { UnreadList } from './unread-list.tsx';

/** Whose words and figures the post holds. */
export function SourcesLens({ body }: Pick<LensProps, 'body'>) {
  const { session } = usePost();
  const criteria = useAppSelector((state) => state.openPost.report?.criteria) ?? [];
  const { answer } = useLook(
    session,
    (worker) => worker.sourcesOf(session.siteId, session.id, session.finished),
    'The sources could not be looked through',
  );
  const timely = (criteria as CriterionResult[]).find(({ id }) => id === 'timely');
  return (
    <section aria-label="Sources" className="min-w-0 flex-1 px-4 pt-3 pb-10 text-[13px]">
      <UnreadList body={body} />
      {answer ? (
        <>
          {answer.figures ? (
            <Figures figures={answer.figures} body={body} />
          ) : (
            <p className="text-soft">How this language states figures is not known: none are told.</p>
          )}
          <h3 className="mt-5 font-semibold">Quotes without a name {answer.quotes.length}</h3>
          {answer.quotes.length === 0 ? (
            <p className="text-soft">No words of others stand here without saying whose they are.</p>
          ) : (
            <PlaceList name="Quotes without a name" places={answer.quotes} body={body} />
          )}
          <SharedList body={body} />
          {timely?.applies && (
            <>
              <h3 className="mt-5 font-semibold">Words that age {timely.measured}</h3>
              <p className="text-soft">
                {timely.advice ?? 'No year has passed, and no word is true on one day alone.'}
              </p>
              <PlaceList name="Words that age" places={timely.evidence} body={body} />
            </>
          )}
        </>
      ) : (
        <Waiting name="Looking through the sources" className="h-40" />
      )}
    </section>
  );
}
