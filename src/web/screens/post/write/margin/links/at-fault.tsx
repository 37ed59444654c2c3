import { toast } from 'sonner';
import type { Fix } from '../../../../../../core/criteria/index.ts';
import type { LinkFault, LinkFaultKind } from '../../../../../../core/site/index.ts';
import { offerUndo } from '../../../../../state/undo.ts';
import { Button } from '../../../../../ui/button.tsx';
import type { LinksView } from '../../../../../workers/links.ts';
import { Editable } from '../../../frame/editable.tsx';
import { usePost } from '../../../frame/post-context.ts';
import type { BodyEditor } from '../../sheet/body-editor.ts';
import { OutsideCheck } from './outside-check.tsx';

/** How each fault is called. */
const NAMES: Record<LinkFaultKind, string> = {
  broken: 'Leads nowhere',
  gone: 'Gone',
  unpublished: 'Not published',
  redirected: 'Leads on',
  itself: 'To itself',
  doubled: 'Twice',
  insecure: 'Not encrypted',
  vague: 'Bare words',
};

/** Links of the draft with something to mend, and the check of those that lead outside. */
export function AtFault({ view, body, look }: { view: LinksView; body: BodyEditor; look: () => void }) {
  const { session } = usePost();
  const mend = (fault: LinkFault, fix: Fix) => {
    const before = session.document;
    const takeBack = session.apply(fix.edits);
    if (session.document.draft === before.draft)
      toast(`"${fault.quote}" is not there any more. The links are being looked at anew.`);
    else offerUndo(`${fix.label}.`, takeBack, 8000);
  };
  return (
    <section aria-label="At fault" className="mt-5">
      <h3 className="font-semibold">At fault {view.faults.length}</h3>
      {view.faults.length === 0 && <p className="text-soft">Nothing is wrong with the links that stand.</p>}
      <ul aria-label="Links at fault">
        {view.faults.map((fault) => (
          <li key={`${fault.blockId} ${fault.start} ${fault.kind}`} className="border-t py-1.5">
            <button
              type="button"
              title="Show this link in the text"
              onClick={() => body.select(fault)}
              className="block w-full text-left break-words hover:text-sea"
            >
              <span className="font-medium">{NAMES[fault.kind]}: </span>“{fault.quote || 'a picture'}”
            </button>
            <p className="break-words text-soft">{fault.says}</p>
            <Editable>
              {fault.fixes.map((fix) => (
                <Button
                  key={fix.label}
                  look="word"
                  className="mr-3 inline! break-words"
                  onClick={() => mend(fault, fix)}
                >
                  {fix.label}
                </Button>
              ))}
            </Editable>
          </li>
        ))}
      </ul>
      <OutsideCheck view={view} onChecked={look} />
    </section>
  );
}
