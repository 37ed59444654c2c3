import { useEffect, useState } from 'react';
import { attempt } from '../../../../state/attempt.ts';
import type { PostSession } from '../../../../state/post/post-session.ts';
import { NOWHERE, writingPlace } from '../../../../state/writing/ask-text.ts';
import { studyWorker } from '../../../../workers/study-client.ts';
import type { PieceCheck } from '../../../../workers/writing.ts';

const NONE: ReadonlyMap<string, PieceCheck> = new Map();

/** What stands out in paragraphs that were generated and are not read yet, by their block; anew when one of them changes. */
export function useUnreadChecks(
  session: PostSession,
  unread: readonly string[],
): ReadonlyMap<string, PieceCheck> {
  const [checks, setChecks] = useState(NONE);
  const blocks = session.body.blocks.filter(({ id }) => unread.includes(id));
  const given = JSON.stringify(blocks.map(({ id, text }) => [id, text]));
  useEffect(() => {
    const pairs = JSON.parse(given) as [id: string, text: string][];
    if (pairs.length === 0) {
      setChecks(NONE);
      return;
    }
    let isOver = false;
    const look = async () => {
      const worker = await studyWorker();
      const found = await worker.checkTexts(
        writingPlace(session, NOWHERE),
        pairs.map(([, text]) => text),
      );
      if (!isOver) setChecks(new Map(found.map((check, at) => [pairs[at][0], check])));
    };
    attempt(look(), 'What was generated could not be held against its sources');
    return () => {
      isOver = true;
    };
  }, [session, given]);
  return checks;
}
