import { useEffect, useState } from 'react';
import { readable } from '../../../../../core/writing/index.ts';
import { attempt } from '../../../../state/attempt.ts';
import { NOWHERE, writingPlace } from '../../../../state/writing/ask-text.ts';
import { studyWorker } from '../../../../workers/study-client.ts';
import type { PieceCheck } from '../../../../workers/writing.ts';
import { usePost } from '../../frame/post-context.ts';

/** What stands out in each of some pieces of text: known a moment after they have come. Empty until then. */
export function useChecks(pieces: readonly string[], isRunning: boolean): readonly PieceCheck[] {
  const { session } = usePost();
  const [checks, setChecks] = useState<{ for: string; found: PieceCheck[] }>({ for: '', found: [] });
  const text = isRunning ? '' : JSON.stringify(pieces);
  useEffect(() => {
    if (text === '' || text === '[]') return;
    let isOver = false;
    const look = async () => {
      const worker = await studyWorker();
      const found = await worker.checkTexts(
        writingPlace(session, NOWHERE),
        (JSON.parse(text) as string[]).map(readable),
      );
      if (!isOver) setChecks({ for: text, found });
    };
    attempt(look(), 'The text could not be held against its sources');
    return () => {
      isOver = true;
    };
  }, [session, text]);
  return checks.for === text ? checks.found : [];
}
