import { useState } from 'react';
import { setTick, ticksOf } from '../../../data/ticks.ts';
import { attempt } from '../../../state/attempt.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { CheckField } from '../../../ui/check-field.tsx';
import { WordLink } from '../../../ui/word-link.tsx';
import type { PostContext } from '../frame/post-context.ts';

/** The house's own checklist, ticked for this post. */
export function HouseChecklist({ session, site }: PostContext) {
  const { checklist } = site.house;
  const kept = useLiveQuery(() => ticksOf(session.siteId, session.id), [session]) ?? [];
  // A tick stands at once; the database follows.
  const [pressed, setPressed] = useState<Record<string, boolean>>({});
  const isTicked = (id: string) => pressed[id] ?? kept.includes(id);
  const tick = (id: string, ticked: boolean) => {
    setPressed({ ...pressed, [id]: ticked });
    attempt(setTick(session.siteId, session.id, id, ticked));
  };
  // The count says what is kept.
  const done = checklist.filter(({ id }) => kept.includes(id)).length;
  return (
    <section aria-label="House checklist">
      <h2 className="mb-1 flex items-baseline gap-3 font-serif text-xl font-semibold">
        House checklist
        {checklist.length > 0 && (
          <span className="font-sans text-[13px] font-normal text-soft">
            {done} of {checklist.length} done
          </span>
        )}
      </h2>
      {checklist.length === 0 ? (
        <p className="text-soft">
          Points that no program can judge. Write yours down in <WordLink to="/rules">House rules</WordLink>.
        </p>
      ) : (
        <ul>
          {checklist.map(({ id, text }) => (
            <li key={id}>
              <CheckField
                checked={isTicked(id)}
                onChange={(checked) => tick(id, checked)}
                className="flex items-start gap-2.5 py-1"
                boxClassName="mt-1"
              >
                {text}
              </CheckField>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
