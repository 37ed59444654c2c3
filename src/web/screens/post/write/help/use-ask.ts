import { resultsWished } from '../../../../../core/writing/index.ts';
import type { SiteRow } from '../../../../data/post-rows.ts';
import type { PostSession } from '../../../../state/post/post-session.ts';
import { askText, type TextWish } from '../../../../state/writing/ask-text.ts';
import { openPlace, placeOf, tryAgain } from '../../../../state/writing/text-places.ts';
import type { TextInHand } from '../../../../state/writing/text-run.ts';

/** Asks for a text that stands in the sheet until it is taken, and for as many others as are wished for, one after the other. */
export function askInSheet(session: PostSession, site: SiteRow, wish: TextWish): TextInHand {
  const key = crypto.randomUUID();
  const again = () => askText(session, site, wish, key);
  const run = again();
  openPlace({
    key,
    postId: session.id,
    pattern: wish.pattern,
    values: wish.values,
    along: wish.along,
    blockId: wish.at.blockId,
    hasSelection: wish.at.selection !== '',
    runs: [run],
    shown: 0,
    taken: [],
    again,
  });
  void others(session.id, key, run, resultsWished(wish.values) - 1);
  return run;
}

/** Further results, each after the one before: a later one must not say what an earlier one said. */
async function others(postId: string, key: string, first: TextInHand, count: number): Promise<void> {
  let last = first;
  for (let more = 0; more < count; more++) {
    await last.done;
    const place = placeOf(postId);
    if (place?.key !== key || last.state.finish === 'failed' || last.state.finish === 'stopped') return;
    tryAgain(place, false);
    last = placeOf(postId)?.runs.at(-1) ?? last;
  }
}
