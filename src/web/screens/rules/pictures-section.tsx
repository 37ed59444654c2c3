import { wholeProfile } from '../../../core/criteria/index.ts';
import { bytesInWords } from '../../../core/draft/index.ts';
import { FORMAT_WISHES, pictureRules } from '../../../core/pictures/index.ts';
import { letOriginalsGo, type PictureShare, pictureStorage } from '../../data/picture-storage.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { changeHouse } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';
import { Button } from '../../ui/button.tsx';
import { ChoiceField } from '../../ui/field.tsx';
import { counted, countInWords } from '../../ui/figures.ts';

/** How pictures are put in order, and what they take of this browser's storage. */
export function PicturesSection({ site }: { site: SiteRow }) {
  const storage = useLiveQuery(() => pictureStorage(site.id), [site.id]);
  const { widest, heaviest, format } = pictureRules(
    wholeProfile(site.profile).limits,
    site.house.pictureFormat,
  );
  const letGo = async () => {
    const takeBack = await letOriginalsGo(site.id);
    offerUndo('The originals go when Dune Sparrow is next opened.', takeBack);
  };
  return (
    <section aria-label="Pictures" className="mb-8 border-t pt-5">
      <h2 className="mb-1 font-semibold">Pictures</h2>
      <p className="mb-3 max-w-2xl text-soft">
        Put in order, a picture is at most {countInWords(widest)} px wide and weighs at most{' '}
        {bytesInWords(heaviest)}. Both are limits of the criteria “Picture file size”.
      </p>
      <div className="mb-4 w-64">
        <ChoiceField
          label="Format of pictures"
          value={format}
          onChange={(pictureFormat) =>
            attempt(changeHouse(site.id, (house) => ({ ...house, pictureFormat })))
          }
          options={FORMAT_WISHES}
        />
      </div>
      {storage && (
        <>
          <h3 className="mb-1 text-[13px] font-semibold">What they take of this browser’s storage</h3>
          <table className="text-[13px]">
            <tbody>
              <Line name="Shown in posts" share={storage.inPosts} />
              <Line name="In versions alone" share={storage.inVersions} />
              <Line name="Originals of others" share={storage.originals} />
              <Line name="In nothing; these go by themselves" share={storage.leftOver} />
            </tbody>
          </table>
          {storage.originals.count > 0 && (
            <Button className="mt-3" onClick={() => attempt(letGo(), 'The originals could not be let go')}>
              Let {counted(storage.originals.count, 'original')} go: frees{' '}
              {bytesInWords(storage.originals.bytes)}
            </Button>
          )}
        </>
      )}
    </section>
  );
}

function Line({ name, share: { count, bytes } }: { name: string; share: PictureShare }) {
  return (
    <tr>
      <th scope="row" className="py-0.5 pr-6 text-left font-normal text-soft">
        {name}
      </th>
      <td className="py-0.5 pr-6 text-right">{counted(count, 'picture')}</td>
      <td className="py-0.5 text-right">{bytesInWords(bytes)}</td>
    </tr>
  );
}
