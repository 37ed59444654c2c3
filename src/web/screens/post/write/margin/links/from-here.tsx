import type { LinkOffer } from '../../../../../../core/site/index.ts';
import { applyAndSay } from '../../../../../state/post/apply-and-say.ts';
import { Button } from '../../../../../ui/button.tsx';
import { CheckField } from '../../../../../ui/check-field.tsx';
import { counted } from '../../../../../ui/figures.ts';
import { LinkedWords } from '../../../../../ui/linked-words.tsx';
import type { LinksView } from '../../../../../workers/links.ts';
import { Editable } from '../../../frame/editable.tsx';
import { usePost } from '../../../frame/post-context.ts';
import type { BodyEditor } from '../../sheet/body-editor.ts';

/** Pages of the site worth linking, each with the words that would carry the link. */
export function FromHere({
  view,
  body,
  withDrafts,
  setWithDrafts,
}: {
  view: LinksView;
  body: BodyEditor;
  withDrafts: boolean;
  setWithDrafts: (on: boolean) => void;
}) {
  const { session } = usePost();
  const { offers, internal, wished } = view;
  const [from, to] = wished;
  const link = ({ blockId, start, end, quote, target }: LinkOffer) => {
    const edit = { kind: 'set-link' as const, blockId, start, end, quote, href: target.address };
    applyAndSay(
      session,
      [edit],
      `"${quote}" leads to ${target.title}.`,
      'These words are not there any more. The links are being looked at anew.',
    );
  };
  return (
    <section aria-label="From here">
      <h3 className="font-semibold">From here {offers.length}</h3>
      <p className="mb-1 text-soft">
        {counted(internal, 'link')} to other pages of the site; {from === to ? from : `${from} to ${to}`}{' '}
        {from === 1 && to === 1 ? 'is' : 'are'} wished for this length.
      </p>
      <CheckField
        checked={withDrafts}
        onChange={setWithDrafts}
        className="mb-1 flex items-center gap-1.5 text-soft"
      >
        Posts that are not published, too
      </CheckField>
      {offers.length === 0 && (
        <p className="text-soft">No words of the text speak of another page of the site.</p>
      )}
      <ul aria-label="Pages worth linking">
        {offers.map((offer) => (
          <li key={offer.target.path} className="border-t py-1.5">
            <p className="font-medium break-words">{offer.target.title}</p>
            <p className="truncate text-[12px] text-soft" title={offer.target.address}>
              {offer.target.address}
              {offer.target.status !== null && offer.target.status !== 'published' && ' · not published'}
            </p>
            <button
              type="button"
              title="Show these words in the text"
              onClick={() => body.select(offer)}
              className="mt-0.5 block w-full border-l-2 border-sand pl-2 text-left font-serif leading-[1.35] break-words text-soft hover:text-ink"
            >
              <LinkedWords {...offer} />
            </button>
            <Editable>
              <Button look="word" className="mt-0.5 text-[13px]" onClick={() => link(offer)}>
                Link these words
              </Button>
            </Editable>
          </li>
        ))}
      </ul>
    </section>
  );
}
