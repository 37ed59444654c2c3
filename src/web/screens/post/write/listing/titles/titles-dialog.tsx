import { useEffect, useState } from 'react';
import { titleCandidates } from '../../../../../../core/writing/index.ts';
import { attempt } from '../../../../../state/attempt.ts';
import { applyAndSay } from '../../../../../state/post/apply-and-say.ts';
import { useAppSelector } from '../../../../../state/store.ts';
import { AddForm } from '../../../../../ui/add-form.tsx';
import { DialogFrame } from '../../../../../ui/dialog-frame.tsx';
import { remember, remembered } from '../../../../../ui/remembered.ts';
import { Waiting } from '../../../../../ui/waiting.tsx';
import { linksWorker } from '../../../../../workers/links-client.ts';
import type { TitlesView } from '../../../../../workers/titles.ts';
import { usePost } from '../../../frame/post-context.ts';
import { TitleRow } from './title-row.tsx';
import { shapesInWords } from './title-words.ts';

/** Titles that are kept for a post. */
const MOST_TYPED = 12;

function typedBefore(name: string): string[] {
  try {
    const kept: unknown = JSON.parse(remembered(name) ?? '[]');
    return Array.isArray(kept) ? kept.filter((one) => typeof one === 'string').slice(0, MOST_TYPED) : [];
  } catch {
    return [];
  }
}

/** Titles side by side: those the post has, those made of what it says, those that were typed; each judged, one to take. */
export function TitlesDialog({ onClose }: { onClose: () => void }) {
  const { session } = usePost();
  const name = `titles ${session.id}`;
  const { title, metaTitle } = useAppSelector((state) => state.openPost.fields);
  const [typed, setTyped] = useState(() => typedBefore(name));
  // Made once, so that none vanishes by being taken.
  const [made] = useState(() => titleCandidates(session.finished));
  const [had] = useState({ title, metaTitle });
  const [view, setView] = useState<TitlesView | null>(null);
  const rows: { text: string; from: string }[] = [];
  const add = (text: string, from: string) => {
    if (text.trim() && !rows.some((row) => row.text === text)) rows.push({ text, from });
  };
  add(had.title, 'its title');
  add(had.metaTitle, 'its meta title');
  for (const { text, from } of made) add(text, from);
  for (const text of typed) add(text, 'typed');
  const asked = JSON.stringify([rows.map(({ text }) => text), title, metaTitle]);
  useEffect(() => {
    let isOver = false;
    const look = async () => {
      const [texts] = JSON.parse(asked) as [string[]];
      const worker = await linksWorker();
      const found = await worker.titlesOf(session.siteId, session.id, session.finished, texts);
      if (!isOver) setView(found);
    };
    attempt(look(), 'The titles could not be judged');
    return () => {
      isOver = true;
    };
  }, [session, asked]);
  const take = (field: 'title' | 'metaTitle', text: string) => {
    applyAndSay(
      session,
      [{ kind: 'set-field', field, value: text }],
      `“${text}” is the ${field === 'title' ? 'title' : 'meta title'} now.`,
      'The title could not be changed here.',
    );
  };
  return (
    <DialogFrame title="Titles side by side" onClose={onClose} width="w-[min(1120px,96vw)]">
      <AddForm
        label="A title to try"
        placeholder="Type a title to try"
        className="mb-3 max-w-2xl"
        onAdd={(text) => {
          const next = [...typed.filter((one) => one !== text), text].slice(-MOST_TYPED);
          setTyped(next);
          remember(name, JSON.stringify(next));
        }}
      />
      {view?.shapes && <p className="mb-2 text-[13px] text-soft">{shapesInWords(view.shapes)}</p>}
      {view ? (
        <div className="min-h-0 flex-1 overflow-auto">
          <table aria-label="Titles" className="w-full text-[13px]">
            <thead className="text-left text-soft">
              <tr>
                <th className="py-1 pr-4 font-normal">Title</th>
                <th className="py-1 pr-4 font-normal">In the results</th>
                <th className="py-1 pr-4 font-normal">Keyword</th>
                <th className="py-1 pr-4 font-normal">Score as title</th>
                <th className="py-1 font-normal">Score as meta title</th>
              </tr>
            </thead>
            <tbody>
              {rows.map(({ text, from }) => (
                <TitleRow
                  key={text}
                  text={text}
                  from={from}
                  judged={view.titles.find((one) => one.text === text) ?? null}
                  score={view.score}
                  isTitle={text === title}
                  isMetaTitle={text === metaTitle}
                  take={take}
                />
              ))}
            </tbody>
          </table>
        </div>
      ) : (
        <Waiting name="Judging the titles" className="h-40" />
      )}
    </DialogFrame>
  );
}
