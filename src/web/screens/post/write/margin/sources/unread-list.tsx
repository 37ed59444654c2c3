import { sayRead } from '../../../../../data/generations.ts';
import { attempt } from '../../../../../state/attempt.ts';
import { offerUndo } from '../../../../../state/undo.ts';
import { Button } from '../../../../../ui/button.tsx';
import { counted } from '../../../../../ui/figures.ts';
import { Editable } from '../../../frame/editable.tsx';
import { usePost } from '../../../frame/post-context.ts';
import { useUnedited } from '../../../frame/use-unedited.ts';
import { useUnreadChecks } from '../../help/use-unread-checks.ts';
import type { BodyEditor } from '../../sheet/body-editor.ts';

const KINDS = { figure: 'a figure', name: 'a name', quote: 'a quotation' } as const;
const SHOWN = 140;

/** Paragraphs that stand as they were generated or came back: what to check in each, and the word that it was read. */
export function UnreadList({ body }: { body: BodyEditor }) {
  const { session } = usePost();
  const unread = useUnedited(session);
  const checks = useUnreadChecks(session, unread);
  if (unread.length === 0) return null;
  const read = async (ids: readonly string[]) => {
    const takeBack = await sayRead(session.siteId, session.id, ids);
    offerUndo(`${counted(ids.length, 'paragraph')} read.`, takeBack);
  };
  const blocks = session.body.blocks.filter(({ id }) => unread.includes(id));
  return (
    <section aria-label="Not read yet" className="mb-5">
      <h2 className="font-semibold">Not read yet {blocks.length}</h2>
      <p className="mb-1 text-soft">
        Paragraphs as they were generated or came back. Change one, or say that you have read it.
      </p>
      <ul>
        {blocks.map(({ id, text }) => {
          const check = checks.get(id);
          return (
            <li key={id} className="border-t py-1.5">
              <button
                type="button"
                title="Show it in the text"
                onClick={() => body.select({ blockId: id, start: 0, end: text.length })}
                className="block w-full text-left font-serif leading-[1.35] text-soft hover:text-ink"
              >
                {text.length > SHOWN ? `${text.slice(0, SHOWN)}…` : text}
              </button>
              {check?.unsupported.map(({ kind, start, end, quote }) => (
                <p key={`${start} ${quote}`} className="text-ochre">
                  Check this:{' '}
                  <button
                    type="button"
                    className="underline underline-offset-4"
                    onClick={() => body.select({ blockId: id, start, end })}
                  >
                    {quote}
                  </button>{' '}
                  is {KINDS[kind]} that neither the study nor the site nor the brief has.
                </p>
              ))}
              {check?.shared.map(({ start, end, page, address }) => (
                <p key={`${start} ${address}`} className="text-ochre">
                  “{text.slice(start, Math.min(end, start + 60))}” stands word for word on a page of {page}.
                </p>
              ))}
              <Editable>
                <Button look="word" onClick={() => attempt(read([id]))}>
                  I have read it
                </Button>
              </Editable>
            </li>
          );
        })}
      </ul>
      {blocks.length > 1 && (
        <Editable>
          <Button look="word" onClick={() => attempt(read(blocks.map(({ id }) => id)))}>
            I have read all {blocks.length}
          </Button>
        </Editable>
      )}
    </section>
  );
}
