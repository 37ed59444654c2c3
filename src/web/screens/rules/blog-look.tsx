import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { type BlogCategory, type BlogSettings, categoriesInTree } from '../../../core/blog/index.ts';
import { slugOf } from '../../../core/listing/index.ts';
import { setBlogSettings } from '../../services/publishing.ts';
import { failureInWords } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { AddForm } from '../../ui/add-form.tsx';
import { Choice } from '../../ui/choice.tsx';
import { ChoiceField, TextField } from '../../ui/field.tsx';
import { IconButton } from '../../ui/icon-button.tsx';

/** How the blog beside the application shows its posts, and its tree of categories. */
export function BlogLook({ settings: given }: { settings: BlogSettings }) {
  const [settings, setSettings] = useState(given);
  const [problem, setProblem] = useState('');
  const [perPage, setPerPage] = useState(String(given.perPage));
  const keep = async (next: BlogSettings): Promise<boolean> => {
    setProblem('');
    try {
      setSettings(await setBlogSettings(next));
      return true;
    } catch (error) {
      setProblem(failureInWords(error));
      return false;
    }
  };
  const { categories } = settings;
  const change = (slug: string, patch: Partial<BlogCategory>) =>
    void keep({
      ...settings,
      categories: categories.map((one) => (one.slug === slug ? { ...one, ...patch } : one)),
    });
  const remove = async (gone: BlogCategory) => {
    const isKept = await keep({
      ...settings,
      categories: categories
        .filter(({ slug }) => slug !== gone.slug)
        // What stood in it stands by itself.
        .map((one) => (one.parent === gone.slug ? { ...one, parent: '' } : one)),
    });
    if (isKept)
      offerUndo(`The list of “${gone.name}” is off the blog; its posts stay`, async () => {
        await keep(settings);
      });
  };
  const hasInner = (slug: string) => categories.some(({ parent }) => parent === slug);
  return (
    <div className="mt-5">
      <h3 className="mb-2 font-semibold">How the blog looks</h3>
      <div className="grid grid-cols-3 gap-5 max-[760px]:grid-cols-1">
        <ChoiceField<BlogSettings['look']>
          label="Lists show posts as"
          value={settings.look}
          onChange={(look) => void keep({ ...settings, look })}
          options={[
            { value: 'cards', name: 'cards with pictures' },
            { value: 'lines', name: 'lines' },
          ]}
        />
        <TextField
          label="Posts a page"
          inputMode="numeric"
          value={perPage}
          problem={
            /^\d{1,3}$/.test(perPage) && Number(perPage) >= 1 && Number(perPage) <= 100 ? '' : '1 to 100'
          }
          onChange={(text) => {
            setPerPage(text);
            const count = Number(text);
            if (Number.isInteger(count) && count >= 1 && count <= 100)
              void keep({ ...settings, perPage: count });
          }}
        />
        <TextField
          stored
          label="Words of the link to a post"
          value={settings.moreWords}
          onChange={(moreWords) => moreWords.trim() && void keep({ ...settings, moreWords })}
        />
      </div>
      <h3 className="mt-5 mb-1 font-semibold">Categories</h3>
      <ul aria-label="Categories of the blog" className="max-w-2xl">
        {categoriesInTree(categories).map((one) => (
          <li key={one.slug} className="flex items-center gap-3 border-t py-1.5">
            <span className={`min-w-0 flex-1 break-words ${one.parent ? 'pl-5' : ''}`}>{one.name}</span>
            <Choice
              aria-label={`${one.name} stands in`}
              value={one.parent}
              disabled={hasInner(one.slug)}
              onChange={(parent) => change(one.slug, { parent })}
              options={[
                { value: '', name: 'by itself' },
                ...categories
                  .filter(({ slug, parent }) => parent === '' && slug !== one.slug)
                  .map(({ slug, name }) => ({ value: slug, name: `in ${name}` })),
              ]}
              className="px-2 py-1 text-[13px]"
            />
            <IconButton
              name={`Take the category ${one.name} off the blog`}
              icon={Trash2}
              look="grave"
              onClick={() => void remove(one)}
            />
          </li>
        ))}
      </ul>
      <AddForm
        label="Name of a new category"
        placeholder="Name of a new category"
        small
        onAdd={(name) => {
          if (slugOf(name) === '' || categories.some(({ slug }) => slug === slugOf(name))) {
            setProblem(`There is a category of that name already, or no letter in it.`);
            return false;
          }
          return keep({
            ...settings,
            categories: [...categories, { name, slug: slugOf(name), description: '', parent: '' }],
          });
        }}
        className="mt-2 max-w-md"
      />
      {problem && (
        <p role="alert" className="mt-2 text-rust">
          {problem}
        </p>
      )}
    </div>
  );
}
