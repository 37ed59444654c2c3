import { ImagePlus } from 'lucide-react';
import { useRef } from 'react';
import { attempt } from '../../../../state/attempt.ts';
import { useAppSelector } from '../../../../state/store.ts';
import { Button } from '../../../../ui/button.tsx';
import { TextField } from '../../../../ui/field.tsx';
import { FileInput } from '../../../../ui/file-button.tsx';
import { usePost } from '../../frame/post-context.ts';
import { keptPicture } from '../pictures/insert-pictures.ts';
import { ShareCard } from './share-card.tsx';

/** The post as a card in a network or a message, with what is written for it alone. */
export function ShareEditor() {
  const { session } = usePost();
  const fields = useAppSelector((state) => state.openPost.fields);
  const input = useRef<HTMLInputElement>(null);
  const choose = async (file: File) => {
    const src = await keptPicture(session.siteId, file);
    if (src !== null) session.setFields({ shareImage: src });
  };
  return (
    <section
      aria-label="When it is shared"
      data-place="share"
      className="mt-5 mb-16 grid gap-5 rounded-md border bg-sheet p-5 md:grid-cols-2"
    >
      <ShareCard />
      <div className="min-w-0 space-y-3">
        <p className="font-semibold">When it is shared</p>
        <TextField
          label="Title for shares"
          value={fields.shareTitle}
          placeholder={fields.title || 'The title stands in'}
          onChange={(shareTitle) => session.setFields({ shareTitle })}
        />
        <TextField
          label="Description for shares"
          rows={2}
          value={fields.shareDescription}
          placeholder={fields.metaDescription || fields.excerpt || 'The meta description stands in'}
          onChange={(shareDescription) =>
            session.setFields({ shareDescription: shareDescription.replace(/\n/g, ' ') })
          }
        />
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px]">
          <Button onClick={() => input.current?.click()}>
            <ImagePlus size={15} aria-hidden />
            {fields.shareImage ? 'Another picture for shares' : 'A picture for shares'}
          </Button>
          {fields.shareImage ? (
            <Button look="word" onClick={() => session.setFields({ shareImage: '' })}>
              Take the featured one
            </Button>
          ) : (
            <span className="text-soft">{fields.image ? 'The featured picture stands in.' : ''}</span>
          )}
        </div>
        <FileInput
          ref={input}
          label="Picture file for shares"
          accept="image/*"
          onFiles={([file]) => attempt(choose(file))}
        />
      </div>
    </section>
  );
}
