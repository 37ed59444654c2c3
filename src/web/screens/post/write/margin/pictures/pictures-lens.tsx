import { lazy, Suspense, useState } from 'react';
import { wholeProfile } from '../../../../../../core/criteria/index.ts';
import { pictureOrder, pictureRules, shownPictures } from '../../../../../../core/pictures/index.ts';
import { useAppDispatch, useAppSelector } from '../../../../../state/store.ts';
import { patternAsked } from '../../../../../state/view.ts';
import { Button } from '../../../../../ui/button.tsx';
import { Waiting } from '../../../../../ui/waiting.tsx';
import { Editable } from '../../../frame/editable.tsx';
import { usePost } from '../../../frame/post-context.ts';
import { picturesInWords } from '../../pictures/picture-words.ts';
import { usePictureFiles } from '../../pictures/use-picture-files.ts';
import type { LensProps } from '../lens-props.ts';
import { PictureEntry } from './picture-entry.tsx';

const OrderDialog = lazy(() =>
  import('../../pictures/bench/order-dialog.tsx').then((module) => ({ default: module.OrderDialog })),
);

/** The post's pictures: what each weighs, what is the matter with it, and the ways to mend that. */
export function PicturesLens({ body }: Pick<LensProps, 'body'>) {
  const { session, site } = usePost();
  const dispatch = useAppDispatch();
  // Each report tells that the post changed.
  useAppSelector((state) => state.openPost.report);
  const fields = useAppSelector((state) => state.openPost.fields);
  const [ordering, setOrdering] = useState(false);
  const { document } = session;
  const shown = shownPictures({ fields, draft: document.draft });
  const files = usePictureFiles(site.id, shown);
  const rules = pictureRules(wholeProfile(site.profile).limits, site.house.pictureFormat);
  const plans = files ? pictureOrder(shown, files, fields.keyword, rules) : [];
  const waiting = plans.filter(({ steps }) => steps.length > 0);
  const bytes = plans.reduce((sum, { file }) => sum + file.bytes, 0);
  const withoutAlt = shown.filter(({ alt }) => alt === null).length;
  return (
    <section aria-label="Pictures" className="min-w-0 flex-1 px-4 pt-3 pb-10 text-[13px]">
      {shown.length === 0 ? (
        <p className="text-soft">
          There is no picture yet. Drop files onto the sheet, paste one, or press + at the start of an empty
          line.
        </p>
      ) : !files ? (
        <Waiting name="Looking into the pictures" className="h-40" />
      ) : (
        <>
          <p className="mb-2 text-soft">{picturesInWords(shown.length, bytes, withoutAlt)}</p>
          <Editable>
            {waiting.length > 0 ? (
              <Button className="mb-3" onClick={() => setOrdering(true)}>
                Put all in order…
              </Button>
            ) : (
              plans.length > 0 && <p className="mb-3 text-marram">All files keep the house’s rules.</p>
            )}
          </Editable>
          <ul aria-label="Pictures of the post">
            {shown.map((picture) => (
              <PictureEntry
                key={picture.blockId ?? 'featured'}
                picture={picture}
                plan={plans.find(({ src }) => src === picture.src) ?? null}
                mostCharacters={wholeProfile(site.profile).limits.altCharacters}
                body={body}
              />
            ))}
          </ul>
        </>
      )}
      <Editable>
        <p className="mt-4 border-t pt-2 text-soft">
          No picture for a place yet? Set the caret there.{' '}
          <Button look="word" onClick={() => dispatch(patternAsked({ id: 'picture', values: null }))}>
            Describe what it should show
          </Button>
        </p>
      </Editable>
      <Suspense fallback={null}>
        {ordering && <OrderDialog plans={plans} rules={rules} onClose={() => setOrdering(false)} />}
      </Suspense>
    </section>
  );
}
