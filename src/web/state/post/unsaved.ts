import { toast } from 'sonner';
import { slugOf } from '../../../core/listing/index.ts';
import type { PostContent } from '../../data/post-content.ts';
import { download } from '../../ui/download.ts';
import { holdPage } from '../hold-page.ts';

/** Hands a post out as a file. The writers come only when they are asked for. */
export async function saveAsFile({ document }: PostContent): Promise<void> {
  const { draftFile } = await import('./draft-file.ts');
  const { slug, title } = document.fields;
  download(`${slugOf(slug || title) || 'untitled'}.md`, draftFile(document), 'text/markdown');
}

/**
 * Says that a post which was left could not be saved, until it is: it is held in this window, tried again on request,
 * and offered as a file.
 */
export function tellUnsaved(content: PostContent, tryAgain: () => Promise<boolean>): void {
  const name = content.document.fields.title || 'Untitled';
  const release = holdPage();
  // Each time anew: the one whose button was pressed is just going.
  const tell = (said: string) =>
    toast.error(said, {
      duration: Number.POSITIVE_INFINITY,
      action: {
        label: 'Save as a file',
        onClick: () => {
          saveAsFile(content).then(release, () =>
            tell(`"${name}" could not be handed out as a file. Try again.`),
          );
        },
      },
      cancel: {
        label: 'Try again',
        onClick: () => {
          tryAgain()
            .then((kept) => {
              if (!kept) return tell(`"${name}" still could not be saved.`);
              release();
              return toast.success(`"${name}" is saved.`, { duration: 5000 });
            })
            .catch(() => tell(`"${name}" still could not be saved.`));
        },
      },
    });
  tell(`"${name}" could not be saved before it was left. It is held in this window only.`);
}
