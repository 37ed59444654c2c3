import { useState } from 'react';
import { toast } from 'sonner';
import type { BlogSettings } from '../../../../core/blog/index.ts';
import { draftedExcerpt, STATUSES, type Status } from '../../../../core/draft/index.ts';
import {
  type Category,
  categoriesInTree,
  categoryNamed,
  saysCategory,
  slugOf,
} from '../../../../core/listing/index.ts';
import { withCategory } from '../../../../core/site/index.ts';
import { changeRow } from '../../../data/change-row.ts';
import { database } from '../../../data/database.ts';
import { setStatus } from '../../../state/post/set-status.ts';
import { adoptCategories } from '../../../state/site/adopt-categories.ts';
import { tellBlog } from '../../../state/site/tell-blog.ts';
import { useAppSelector } from '../../../state/store.ts';
import { AddForm } from '../../../ui/add-form.tsx';
import { Button } from '../../../ui/button.tsx';
import { CheckField } from '../../../ui/check-field.tsx';
import { ChipsField } from '../../../ui/chips-field.tsx';
import { ChoiceField, TextField } from '../../../ui/field.tsx';
import { counted } from '../../../ui/figures.ts';
import { STATUS_NAMES } from '../../../ui/status-names.ts';
import { WordLink } from '../../../ui/word-link.tsx';
import { usePost } from '../frame/post-context.ts';
import { InLanguages } from './in-languages.tsx';

/** Characters of an excerpt that lists show well. */
const EXCERPT = [100, 250] as const;

/** Categories to choose from: one within another behind it. */
const namesInTree = (categories: readonly Category[]): { name: string; shown: string }[] =>
  categoriesInTree(categories).map(({ name, parent }) => {
    const above = categories.find(({ slug }) => slug === parent);
    return { name, shown: above ? `${above.name} › ${name}` : name };
  });

/** Where the post is filed, and what its page says beside the text. */
export function Filing({
  settings,
  known,
}: {
  settings: BlogSettings | null;
  /** Categories of the place to which posts are sent, by name. */
  known: readonly string[];
}) {
  const { session, site } = usePost();
  const fields = useAppSelector((state) => state.openPost.fields);
  const [refused, setRefused] = useState('');
  const categories = site.categories ?? settings?.categories ?? [];
  const tree = namesInTree(categories);
  // A category of the post that the blog does not know stays in sight.
  const main =
    fields.category && !tree.some(({ name }) => name === fields.category)
      ? [{ name: fields.category, shown: `${fields.category} (not on the blog)` }, ...tree]
      : tree;
  const addCategory = async (name: string) => {
    if (slugOf(name) === '') return false;
    const known = categoryNamed(categories, name) ?? categories.find(({ slug }) => slug === slugOf(name));
    let untold = '';
    if (!known) {
      await adoptCategories(site.id);
      await changeRow(database().sites, site.id, ({ categories: now = [] }) => ({
        categories: withCategory(now, name).categories,
      }));
      untold = await tellBlog(site.id);
    }
    session.setFields({ category: known?.name ?? name });
    toast(`The post is filed under “${known?.name ?? name}”. ${untold}`.trim());
    return true;
  };
  // Another category is another address then, which is no small thing.
  const isKnownBy =
    fields.status === 'published' && fields.canonical === '' && saysCategory(site.addressPattern);
  const excerpt = fields.excerpt.trim();
  const commentsUntil = /^until (\d{4}-\d{2}-\d{2})$/.exec(fields.comments)?.[1] ?? '';
  return (
    <section aria-label="Filing" data-place="filing" className="mb-8">
      <h2 className="mb-3 font-serif text-xl font-semibold">Filing</h2>
      <div className="grid grid-cols-2 gap-x-8 gap-y-4 max-[860px]:grid-cols-1">
        <div>
          {isKnownBy ? (
            <p>
              <span className="mb-1 block font-semibold">Main category</span>
              {fields.category || 'None'} <WordLink to="/site/categories">Move it</WordLink>
              <span className="mt-1 block text-[13px] text-soft">
                Readers know it by an address that says the category: moved there, the old one leads on and
                links follow.
              </span>
            </p>
          ) : settings || site.categories ? (
            <>
              <ChoiceField
                label="Main category"
                value={fields.category}
                onChange={(category) => session.setFields({ category })}
                options={[
                  { value: '', name: 'None' },
                  ...main.map(({ name, shown }) => ({ value: name, name: shown })),
                ]}
              />
              <AddForm
                label="A new category"
                placeholder="A new category"
                small
                onAdd={addCategory}
                className="mt-1.5"
              />
            </>
          ) : (
            <TextField
              label="Main category"
              value={fields.category}
              list={known}
              onChange={(category) => session.setFields({ category })}
            />
          )}
        </div>
        <ChipsField
          label="Further categories"
          items={fields.categories}
          suggestions={[...tree.map(({ name }) => name), ...known].filter((name) => name !== fields.category)}
          onChange={(categories) => session.setFields({ categories })}
        />
        <TextField
          label="Author"
          value={fields.author}
          list={site.house.authors}
          onChange={(author) => session.setFields({ author })}
        />
        <div>
          <ChoiceField<Status>
            label="Status"
            value={fields.status}
            onChange={(status) => setRefused(setStatus(session, status))}
            options={STATUSES.map((value) => ({ value, name: STATUS_NAMES[value] }))}
            note="Sending sets it. By hand only for posts that stand elsewhere."
          />
          {refused && (
            <p role="alert" className="mt-1 text-rust">
              {refused}
            </p>
          )}
        </div>
        <div className="col-span-2 max-[860px]:col-span-1">
          <ChipsField label="Tags" items={fields.tags} onChange={(tags) => session.setFields({ tags })} />
        </div>
        <div className="col-span-2 max-[860px]:col-span-1">
          <TextField
            label="Excerpt"
            rows={2}
            value={fields.excerpt}
            placeholder={draftedExcerpt(session.finished.draft) || 'What lists show of it'}
            onChange={(text) => session.setFields({ excerpt: text.replace(/\n/g, ' ') })}
            note={
              excerpt === ''
                ? 'Lists and feeds show the opening words.'
                : `${counted([...excerpt].length, 'character')}; ${EXCERPT[0]} to ${EXCERPT[1]} read well in a list.`
            }
          />
          {excerpt === '' && draftedExcerpt(session.finished.draft) !== '' && (
            <Button
              look="word"
              className="mt-1 text-[13px]"
              onClick={() => session.setFields({ excerpt: draftedExcerpt(session.finished.draft) })}
            >
              Write it out of the opening
            </Button>
          )}
        </div>
      </div>
      <details
        className="mt-4"
        open={Boolean(
          fields.canonical ||
            fields.robots ||
            fields.place ||
            fields.comments ||
            fields.translations.length > 0,
        )}
      >
        <summary className="cursor-pointer text-soft">Search, languages, comments, place</summary>
        <div className="mt-3 grid grid-cols-2 gap-x-8 gap-y-4 max-[860px]:grid-cols-1">
          <TextField
            label="Canonical address"
            value={fields.canonical}
            placeholder="Its own address"
            onChange={(canonical) => session.setFields({ canonical: canonical.trim() })}
            note="Only where the same text stands elsewhere too, and search shall take that one."
          />
          <TextField
            label="Place"
            value={fields.place}
            placeholder="None"
            onChange={(place) => session.setFields({ place })}
            note="For posts about one place: search is told, readers are not."
          />
          <ChoiceField<'open' | 'off' | 'until'>
            label="Comments"
            value={fields.comments === 'off' ? 'off' : commentsUntil ? 'until' : 'open'}
            onChange={(wish) => {
              const soon = new Date(Date.now() + 30 * 86_400_000).toISOString().slice(0, 10);
              session.setFields({
                comments: wish === 'open' ? '' : wish === 'off' ? 'off' : `until ${soon}`,
              });
            }}
            options={[
              { value: 'open', name: 'as the blog lets them' },
              { value: 'off', name: 'off' },
              { value: 'until', name: 'on until a day' },
            ]}
          />
          {commentsUntil && (
            <label className="block">
              <span className="mb-1 block font-semibold">Comments until</span>
              <input
                type="date"
                value={commentsUntil}
                onChange={({ target }) =>
                  target.value && session.setFields({ comments: `until ${target.value}` })
                }
                className="rounded-md border px-2.5 py-1.5"
              />
            </label>
          )}
          <CheckField
            checked={!/\bnoindex\b/i.test(fields.robots)}
            onChange={(shown) => session.setFields({ robots: shown ? '' : 'noindex' })}
            className="flex items-start gap-2.5 self-center"
            boxClassName="mt-1"
          >
            Search may show it
          </CheckField>
          <div className="col-span-2 max-[860px]:col-span-1">
            <InLanguages />
          </div>
        </div>
      </details>
    </section>
  );
}
