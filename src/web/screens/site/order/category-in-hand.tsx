import { Trash2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { type Category, categoryPath, slugOf } from '../../../../core/listing/index.ts';
import {
  type CategoryChange,
  categoryNameProblem,
  mergedCategory,
  nestedCategory,
  removedCategory,
  renamedCategory,
  withAbout,
} from '../../../../core/site/index.ts';
import { pictureBlob } from '../../../data/picture-store.ts';
import { addPicture } from '../../../data/pictures.ts';
import { attempt } from '../../../state/attempt.ts';
import { Button } from '../../../ui/button.tsx';
import { ChoiceField, TextField } from '../../../ui/field.tsx';
import { FileButton } from '../../../ui/file-button.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';

type Propose = (change: CategoryChange, title: string, said: string) => void;

/** One category: what it is called, where it stands, what its list says; merged into another, or taken out. */
export function CategoryInHand({
  siteId,
  category,
  categories,
  propose,
}: {
  siteId: string;
  category: Category;
  categories: readonly Category[];
  propose: Propose;
}) {
  const { name, slug, parent, description } = category;
  const [typed, setTyped] = useState(name);
  const [said, setSaid] = useState(description);
  // What somebody else changed shows; what is typed here stays until it is kept.
  useEffect(() => setTyped(name), [name]);
  useEffect(() => setSaid(description), [description]);
  const isRenamed = typed.trim() !== name && typed.trim() !== '';
  const problem = isRenamed ? categoryNameProblem(categories, typed, slug) : '';
  const others = categories.filter((one) => one.slug !== slug);
  const listPath = categoryPath(
    { categories: isRenamed ? renamedCategory(categories, slug, typed).categories : categories },
    isRenamed ? slugOf(typed) : slug,
  );
  const hasInner = categories.some((one) => one.parent === slug);
  return (
    <div className="mb-3 border-b pb-3">
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,1fr)] gap-x-5 gap-y-3 max-[1000px]:grid-cols-2 max-[700px]:grid-cols-1">
        <div>
          <TextField
            label="Name"
            value={typed}
            onChange={setTyped}
            problem={problem}
            note={`Its list: ${listPath}`}
          />
          {isRenamed && problem === '' && (
            <Button
              className="mt-1"
              onClick={() =>
                propose(
                  renamedCategory(categories, slug, typed),
                  `Rename ${name} to ${typed.trim()}`,
                  `${name} is called ${typed.trim()} now`,
                )
              }
            >
              Rename it
            </Button>
          )}
        </div>
        <ChoiceField
          label="Stands in"
          value={hasInner ? '' : parent}
          onChange={(next) =>
            propose(
              nestedCategory(categories, slug, next),
              next === '' ? `Let ${name} stand by itself` : `Put ${name} in ${nameOf(categories, next)}`,
              next === '' ? `${name} stands by itself` : `${name} stands in ${nameOf(categories, next)}`,
            )
          }
          options={[
            { value: '', name: 'none: it is a main one' },
            ...(hasInner ? [] : others.filter((one) => one.parent === '')).map((one) => ({
              value: one.slug,
              name: one.name,
            })),
          ]}
          note={hasInner ? 'Others stand in it; there is one level.' : undefined}
        />
        <div className="flex items-start gap-2">
          <div className="min-w-0 flex-1">
            <ChoiceField
              label="Merge into"
              value=""
              onChange={(into) =>
                into &&
                propose(
                  mergedCategory(categories, slug, into),
                  `Merge ${name} into ${nameOf(categories, into)}`,
                  `${name} is merged into ${nameOf(categories, into)}`,
                )
              }
              options={[
                { value: '', name: 'no other' },
                ...others.map((one) => ({ value: one.slug, name: one.name })),
              ]}
            />
          </div>
          <IconButton
            name={`Take ${name} out`}
            icon={Trash2}
            look="grave"
            className="mt-8"
            onClick={() =>
              propose(removedCategory(categories, slug), `Take ${name} out`, `${name} is taken out`)
            }
          />
        </div>
      </div>
      <div className="mt-3 grid grid-cols-[minmax(0,2fr)_minmax(0,1fr)] gap-x-5 gap-y-3 max-[700px]:grid-cols-1">
        <div>
          <TextField
            label="Description"
            rows={2}
            value={said}
            onChange={setSaid}
            placeholder="One or two sentences, for the head of its list and for search"
          />
          {said !== description && (
            <Button
              className="mt-1"
              onClick={() =>
                propose(
                  withAbout(categories, slug, { description: said.trim() }),
                  `Describe ${name}`,
                  `${name} is described`,
                )
              }
            >
              Keep it
            </Button>
          )}
        </div>
        <CategoryPicture siteId={siteId} category={category} categories={categories} propose={propose} />
      </div>
    </div>
  );
}

const nameOf = (categories: readonly Category[], slug: string): string =>
  categories.find((one) => one.slug === slug)?.name ?? slug;

/** The picture above a category's list, and what it shows. */
function CategoryPicture({
  siteId,
  category: { name, slug, picture },
  categories,
  propose,
}: {
  siteId: string;
  category: Category;
  categories: readonly Category[];
  propose: Propose;
}) {
  const [shown, setShown] = useState('');
  const [alt, setAlt] = useState(picture?.alt ?? '');
  const src = picture?.src ?? '';
  useEffect(() => setAlt(picture?.alt ?? ''), [picture?.alt]);
  useEffect(() => {
    let address = '';
    let isWanted = true;
    const show = async () => {
      const blob = src ? await pictureBlob(siteId, src) : null;
      if (!isWanted) return;
      address = blob ? URL.createObjectURL(blob) : '';
      setShown(address);
    };
    attempt(show(), 'The picture could not be shown');
    return () => {
      isWanted = false;
      if (address) URL.revokeObjectURL(address);
    };
  }, [siteId, src]);
  const set = (next: { src: string; alt: string } | undefined, said: string) =>
    propose(withAbout(categories, slug, { picture: next }), `Picture of ${name}`, said);
  const bring = async ([file]: File[]) => {
    const name_ = await addPicture(siteId, file, file.name);
    set({ src: name_, alt: '' }, `${name} has a picture`);
  };
  return (
    <div>
      <p className="mb-1 font-semibold">Picture</p>
      {shown && <img src={shown} alt={alt} className="mb-2 max-h-24 rounded-md" />}
      <div className="flex flex-wrap gap-2">
        <FileButton
          label={`Picture of ${name}`}
          accept="image/*"
          onFiles={(files) => attempt(bring(files), 'The picture could not be taken in')}
        >
          {picture ? 'Another file' : 'Choose a file'}
        </FileButton>
        {picture && <Button onClick={() => set(undefined, `${name} has no picture`)}>None</Button>}
      </div>
      {picture && (
        <div className="mt-2">
          <TextField label="Alt text" value={alt} onChange={setAlt} />
          {alt !== picture.alt && (
            <Button
              className="mt-1"
              onClick={() => set({ ...picture, alt }, `The picture of ${name} is described`)}
            >
              Keep the alt text
            </Button>
          )}
        </div>
      )}
    </div>
  );
}
