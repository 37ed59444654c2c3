import { useState } from 'react';
import { Button } from '../../../ui/button.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { Editable } from '../frame/editable.tsx';
import { usePost } from '../frame/post-context.ts';
import { BringTalk } from './bring-talk.tsx';
import { TalkBench } from './talk-bench.tsx';
import { useTalkRow } from './use-talk.ts';

/** Talk: a transcript is brought, and stands beside the post that is made of it. */
export function TalkStep() {
  const { session } = usePost();
  const row = useTalkRow(session.id);
  const [bringing, setBringing] = useState(false);
  if (row === undefined) return <Waiting className="m-6 h-60" />;
  return (
    <main className="flex h-full flex-col overflow-auto">
      {row && !bringing ? (
        <TalkBench key={row.at} row={row} onOther={() => setBringing(true)} />
      ) : (
        <Editable>
          <BringTalk onDone={() => setBringing(false)} />
          {row && (
            <p className="text-center">
              <Button look="word" onClick={() => setBringing(false)}>
                Back to the talk
              </Button>
            </p>
          )}
        </Editable>
      )}
    </main>
  );
}
