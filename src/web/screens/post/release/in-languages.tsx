import { X } from 'lucide-react';
import { useState } from 'react';
import { translationIn } from '../../../../core/draft/index.ts';
import { languageName } from '../../../../core/language/index.ts';
import { translatedPost, translationGround } from '../../../../core/site/index.ts';
import { postsOf } from '../../../data/posts.ts';
import { attempt } from '../../../state/attempt.ts';
import { cannotBeNamed, nameElsewhere, pairPost } from '../../../state/post/pair-post.ts';
import { useAppSelector } from '../../../state/store.ts';
import { offerUndo } from '../../../state/undo.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { AddForm } from '../../../ui/add-form.tsx';
import { ChoiceField } from '../../../ui/field.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import { WordLink } from '../../../ui/word-link.tsx';
import { usePost } from '../frame/post-context.ts';

/** The same post in other languages: each names the other, so that search shows readers theirs. */
export function InLanguages() {
  const { session, site } = usePost();
  const fields = useAppSelector((state) => state.openPost.fields);
  const [refused, setRefused] = useState('');
  const posts = useLiveQuery(() => postsOf(site.id), [site.id]) ?? [];
  const others = posts
    .filter(({ id }) => id !== session.id)
    .map((row) => translatedPost(row.id, row.fields, site, () => true));
  const { pathOf } = translationGround(site, site.redirects ?? []);
  const own = fields.language || site.language;
  const lines = fields.translations.map((item) => {
    const read = translationIn(item);
    const path = read && pathOf(read.address);
    return { item, read, post: path === null ? undefined : others.find((other) => other.path === path) };
  });
  // One page for each language.
  const taken = new Set(
    [own, ...lines.map(({ read }) => read?.language ?? '')].map((tag) => tag.toLowerCase()),
  );
  const choices = others.filter(
    ({ address, language }) => address !== '' && language !== '' && !taken.has(language.toLowerCase()),
  );
  const needed = cannotBeNamed(session, site);
  const pair = async (id: string) => {
    setRefused('');
    const paired = await pairPost(session, site, id);
    if (typeof paired === 'string') setRefused(paired);
    else offerUndo(`“${others.find((one) => one.id === id)?.title}” and this post name each other.`, paired);
  };
  return (
    <div>
      <h3 className="mb-1 font-semibold">In other languages</h3>
      {lines.length > 0 && (
        <ul aria-label="In other languages" className="mb-2">
          {lines.map(({ item, read, post }) => (
            <li key={item} className="flex items-start gap-2 py-0.5">
              <span className="min-w-0 flex-1 break-words">
                {read ? `${languageName(read.language)}: ` : ''}
                {post ? (
                  <WordLink quiet to={`/posts/${post.id}/release`}>
                    {post.title}
                  </WordLink>
                ) : (
                  (read?.address ?? item)
                )}
              </span>
              <IconButton
                icon={X}
                size={14}
                name={`Take ${post?.title ?? item} out`}
                onClick={() =>
                  session.setFields({ translations: fields.translations.filter((one) => one !== item) })
                }
              />
            </li>
          ))}
        </ul>
      )}
      {needed !== '' ? (
        <p className="text-[13px] text-soft">{needed}</p>
      ) : choices.length > 0 ? (
        <ChoiceField
          label="A post of the site"
          value=""
          onChange={(id) => id !== '' && attempt(pair(id), 'The posts could not be paired')}
          options={[
            { value: '', name: 'Choose the same post in another language' },
            ...choices.map(({ id, title, language }) => ({
              value: id,
              name: `${title} (${languageName(language)})`,
            })),
          ]}
          note="Both name each other then."
        />
      ) : (
        lines.length === 0 && (
          <p className="text-[13px] text-soft">No other post of the site is in another language.</p>
        )
      )}
      <AddForm
        label="A page on another site, by language and address"
        placeholder="de https://…"
        small
        className="mt-2"
        onAdd={(text) => {
          const taken = nameElsewhere(session, text);
          setRefused(
            taken
              ? ''
              : `“${text}” is no language and address. Write both, such as: de https://kanal.example/tasche`,
          );
          return taken;
        }}
      />
      {refused !== '' && (
        <p role="alert" className="mt-1 text-rust">
          {refused}
        </p>
      )}
    </div>
  );
}
