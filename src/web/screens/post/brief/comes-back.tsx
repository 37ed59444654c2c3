import { useState } from 'react';
import {
  cleanPaste,
  type Draft,
  readHtml,
  readMarkdown,
  writeMarkdownBody,
} from '../../../../core/draft/index.ts';
import { generationsOf, keepGenerations } from '../../../data/briefs.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { offerUndo } from '../../../state/undo.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { counted } from '../../../ui/figures.ts';
import { usePost } from '../frame/post-context.ts';
import { GenerationHistory } from './generation-history.tsx';

const nextId = () => crypto.randomUUID();

/** What comes back for a brief: pasted here, cleaned, kept in the history with its brief, and put into the post. */
export function ComesBack({ instructions }: { instructions: string }) {
  const { session } = usePost();
  const title = useAppSelector((state) => state.openPost.fields.title);
  const [text, setText] = useState('');
  const [html, setHtml] = useState('');
  const rows = useLiveQuery(() => generationsOf(session.siteId, session.id), [session]) ?? [];
  const history = rows.filter(({ recipe }) => recipe === 'brief');

  const put = (pasted: Draft, how: 'instead' | 'after') => {
    const { body } = session;
    const { draft, title: named } = cleanPaste(pasted, title.trim() === '');
    attempt(session.keepVersion('paste'));
    const takeBack = session.change({
      draft: how === 'instead' ? draft : { ...draft, blocks: [...body.blocks, ...draft.blocks] },
      ...(named === null ? {} : { fields: { title: named } }),
    });
    offerUndo(
      `${counted(draft.blocks.length, 'block')} put into the post, marked until you edit them.`,
      takeBack,
    );
  };
  const take = async (how: 'instead' | 'after') => {
    const pasted = html ? readHtml(html, nextId).draft : readMarkdown(text, nextId).draft;
    const { draft } = cleanPaste(pasted, false);
    await keepGenerations([
      {
        siteId: session.siteId,
        postId: session.id,
        at: new Date().toISOString(),
        recipe: 'brief',
        title: draft.blocks.find(({ text: words }) => words.trim())?.text.slice(0, 90) ?? 'Text',
        input: instructions,
        output: writeMarkdownBody(draft),
      },
    ]);
    put(pasted, how);
    setText('');
    setHtml('');
  };
  return (
    <section aria-label="What comes back" className="mt-6 print:hidden">
      <h3 className="mb-1 font-semibold">What comes back</h3>
      <p className="mb-2 text-[13px] text-soft">
        Paste the text that was written for this brief. It is cleaned as any paste, kept with the brief it
        answers, and every paragraph is marked until you have edited it.
      </p>
      <textarea
        aria-label="Text that came back"
        rows={5}
        value={text}
        placeholder="Paste Markdown, or text from a word processor"
        onPaste={(event) => {
          const markup = event.clipboardData.getData('text/html');
          if (markup && text === '') setHtml(markup);
        }}
        onChange={(event) => {
          // Typed into, it is the words alone that count.
          if (
            html &&
            event.nativeEvent instanceof InputEvent &&
            event.nativeEvent.inputType !== 'insertFromPaste'
          )
            setHtml('');
          setText(event.target.value);
        }}
        className="w-full rounded-md border px-2.5 py-1.5 text-[13px]"
      />
      <div className="mt-1 flex flex-wrap gap-2">
        <Button disabled={!text.trim()} onClick={() => attempt(take('instead'))}>
          Put in place of the draft
        </Button>
        <Button disabled={!text.trim()} onClick={() => attempt(take('after'))}>
          Put after the draft
        </Button>
      </div>
      <GenerationHistory
        name="Texts that came back"
        rows={history}
        action="Put in place of the draft"
        onAction={({ output }) => put(readMarkdown(output, nextId).draft, 'instead')}
      />
    </section>
  );
}
