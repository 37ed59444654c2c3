import { useEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import { usePost } from '../../frame/post-context.ts';
import type { BodyEditor } from '../sheet/body-editor.ts';
import { hideTextPlace, showTextPlace } from '../sheet/text-place-plugin.ts';
import { TextPlaceView } from './text-place-view.tsx';
import { useTextPlace } from './use-run.ts';

/** Milliseconds in which the sheet has put itself in order. */
const SETTLED = 150;

/** The element in each sheet that holds the place; it stays the same while the place is open, wherever the writer goes. */
const holders = new WeakMap<BodyEditor, { key: string; dom: HTMLElement }>();

/** The text that is not yet taken, in its own place in the sheet. */
export function SheetPlace({ body }: { body: BodyEditor }) {
  const { session } = usePost();
  const place = useTextPlace(session.id);
  const [dom, setDom] = useState<HTMLElement | null>(null);
  const key = place?.key ?? null;
  const blockId = place?.blockId ?? null;
  useEffect(() => {
    if (key === null) {
      hideTextPlace(body.editor);
      holders.delete(body);
      setDom(null);
      return;
    }
    let holder = holders.get(body);
    if (holder?.key !== key) {
      const element = document.createElement('div');
      element.contentEditable = 'false';
      element.className = 'text-place';
      holder = { key, dom: element };
      holders.set(body, holder);
      // A sheet that was opened anew has its caret elsewhere: the block tells where the text was asked for.
      const found = blockId === null ? null : body.positionOf(blockId, Number.POSITIVE_INFINITY);
      showTextPlace(body.editor, element, found ? found.at : null);
      // It may have been asked for on another step: whoever comes from there is shown where it stands.
      const timer = setTimeout(() => element.scrollIntoView({ block: 'nearest' }), SETTLED);
      setDom(holder.dom);
      return () => clearTimeout(timer);
    }
    setDom(holder.dom);
    return;
  }, [body, key, blockId]);
  return place && dom ? createPortal(<TextPlaceView key={place.key} place={place} body={body} />, dom) : null;
}
