import { lazy, Suspense, useEffect } from 'react';
import { shownPictures } from '../../../../../../core/pictures/index.ts';
import { useAppDispatch, useAppSelector } from '../../../../../state/store.ts';
import { benchSet } from '../../../../../state/view.ts';
import { usePost } from '../../../frame/post-context.ts';

// Cropping and comparing come when they are asked for.
const PictureBench = lazy(() =>
  import('./picture-bench.tsx').then((module) => ({ default: module.PictureBench })),
);

/** The bench over the picture that was put on it; nothing where none is, or where it is gone. */
export function BenchInHand() {
  const { session } = usePost();
  const dispatch = useAppDispatch();
  const onBench = useAppSelector((state) => state.view.onBench);
  useEffect(() => () => void dispatch(benchSet(null)), [dispatch]);
  if (!onBench) return null;
  const picture = shownPictures(session.document).find(({ blockId }) => blockId === onBench.blockId);
  return picture ? (
    <Suspense fallback={null}>
      <PictureBench picture={picture} onClose={() => dispatch(benchSet(null))} />
    </Suspense>
  ) : null;
}
