import { type NodeViewProps, NodeViewWrapper } from '@tiptap/react';
import {
  AudioLines,
  ExternalLink,
  Film,
  ImagePlus,
  Link2,
  type LucideIcon,
  MapPin,
  MessageSquare,
  PanelTop,
  Trash2,
} from 'lucide-react';
import { useRef, useState } from 'react';
import { type EmbedKind, embedKindInWords, safeHref } from '../../../../../core/draft/index.ts';
import { attempt } from '../../../../state/attempt.ts';
import { useAppSelector } from '../../../../state/store.ts';
import { FileInput } from '../../../../ui/file-button.tsx';
import { IconButton } from '../../../../ui/icon-button.tsx';
import { Editable } from '../../frame/editable.tsx';
import { keptPicture } from '../pictures/insert-pictures.ts';
import { usePicture } from '../pictures/use-picture.ts';
import { embedAsLink } from './put-in.ts';

const ICONS: Record<EmbedKind, LucideIcon> = {
  video: Film,
  audio: AudioLines,
  map: MapPin,
  post: MessageSquare,
  page: PanelTop,
};

interface EmbedAttributes {
  href: string;
  kind: EmbedKind;
  title: string;
  picture: string | null;
  transcript: string | null;
}

/** The picture that stands for an embed; nothing of the embed itself is loaded. */
function EmbedPicture({ picture, kind }: Pick<EmbedAttributes, 'picture' | 'kind'>) {
  const url = usePicture(picture ?? '');
  const Icon = ICONS[kind];
  return url ? (
    <img src={url} alt="" className="h-full w-full object-cover" />
  ) : (
    <span className="flex h-full w-full items-center justify-center bg-paper text-soft">
      <Icon size={26} aria-hidden />
    </span>
  );
}

/** Something that plays or shows elsewhere, on the sheet: what it is, its title, its picture, where it can be read. */
export function EmbedView({ node, editor, getPos, updateAttributes, deleteNode, selected }: NodeViewProps) {
  const { href, kind, title, picture, transcript } = node.attrs as EmbedAttributes;
  // Kept here only while it is no address: undo and the other tab write to the block.
  const [bad, setBad] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const siteId = useAppSelector((state) => state.openPost.siteId);
  const choose = async (file: File) => {
    const src = await keptPicture(siteId, file);
    if (src !== null) updateAttributes({ picture: src });
  };
  const name = embedKindInWords(kind);
  return (
    <NodeViewWrapper
      as="figure"
      aria-label={`${name}: ${title || href}`}
      className={`my-4 grid grid-cols-[150px_minmax(0,1fr)] gap-4 rounded-md border p-3 font-sans text-[13px] leading-normal max-[760px]:grid-cols-1 ${selected ? 'outline-2 outline-sea' : ''}`}
      contentEditable={false}
    >
      <div className="h-[104px] overflow-hidden rounded">
        <EmbedPicture picture={picture} kind={kind} />
      </div>
      <Editable>
        <div className="min-w-0 space-y-1.5">
          <p className="flex min-w-0 items-center gap-2 text-soft">
            <span className="shrink-0 font-semibold text-ink">{name}</span>
            <span className="truncate" title={href}>
              {href}
            </span>
            {href.startsWith('http:') && (
              <span className="shrink-0 font-semibold text-ochre">not encrypted</span>
            )}
          </p>
          <label className="flex items-center gap-3 text-soft">
            <span className="w-20 shrink-0">Title</span>
            <input
              value={title}
              onChange={(event) => updateAttributes({ title: event.target.value })}
              placeholder="What readers find there"
              className="min-w-0 flex-1 rounded-md border px-2 py-1 text-[14px] text-ink"
            />
          </label>
          <label className="flex items-center gap-3 text-soft">
            <span className="w-20 shrink-0">Transcript</span>
            <input
              value={bad ?? transcript ?? ''}
              aria-invalid={bad !== null}
              onChange={(event) => {
                const next = event.target.value.trim();
                const isFine = safeHref(next) !== null;
                setBad(isFine ? null : event.target.value);
                if (isFine) updateAttributes({ transcript: next || null });
              }}
              placeholder="Address where it can be read"
              className="min-w-0 flex-1 rounded-md border px-2 py-1 text-ink aria-invalid:border-ochre"
            />
          </label>
          <div className="flex items-center justify-end gap-3">
            {bad !== null && <span className="mr-auto text-ochre">No address that a page may link to.</span>}
            <a
              href={href}
              target="_blank"
              rel="noopener noreferrer"
              className="flex items-center gap-1 rounded text-soft hover:text-ink"
            >
              <ExternalLink size={13} aria-hidden />
              Open it
            </a>
            {picture !== null && (
              <button
                type="button"
                className="rounded text-soft hover:text-ink"
                onClick={() => updateAttributes({ picture: null })}
              >
                Without picture
              </button>
            )}
            <IconButton
              name={picture === null ? 'Choose a picture for it' : 'Choose another picture'}
              icon={ImagePlus}
              onClick={() => input.current?.click()}
            />
            <IconButton name="Make it a link" icon={Link2} onClick={() => embedAsLink(editor, getPos())} />
            <IconButton
              name={`Remove the ${name.toLowerCase()}`}
              icon={Trash2}
              look="grave"
              onClick={deleteNode}
            />
          </div>
          <FileInput
            ref={input}
            label="Picture for the embed"
            accept="image/*"
            onFiles={([file]) => attempt(choose(file))}
          />
        </div>
      </Editable>
    </NodeViewWrapper>
  );
}
