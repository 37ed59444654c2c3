import { Eye } from 'lucide-react';
import { useNavigate } from 'react-router';
import type { BlogSettings } from '../../../../core/blog/index.ts';
import { wholeProfile } from '../../../../core/criteria/index.ts';
import {
  cutToWidth,
  DESCRIPTION_SIZE,
  effectiveMetaTitle,
  openingWords,
  postPath,
  TITLE_SIZE,
} from '../../../../core/listing/index.ts';
import { appearances } from '../../../../core/release/index.ts';
import { useAppSelector } from '../../../state/store.ts';
import { Button } from '../../../ui/button.tsx';
import { usePost } from '../frame/post-context.ts';
import { ShareCard } from '../write/listing/share-card.tsx';

/** The address of the post as a row of crumbs. */
const crumbsOf = (baseAddress: string, path: string): string =>
  [
    baseAddress.replace(/^https?:\/\//, '').replace(/\/$/, '') || 'your-blog',
    ...path.split('/').filter(Boolean),
  ].join(' › ');

/** How the post will be met: in the results, as a share, as a page; and on which pages of the blog it will stand. */
export function Stands({ settings, newer }: { settings: BlogSettings | null; newer: number }) {
  const { session, site } = usePost();
  const fields = useAppSelector((state) => state.openPost.fields);
  const navigate = useNavigate();
  const { metaTitlePixels, metaDescriptionPixels } = wholeProfile(site.profile).limits;
  const title = effectiveMetaTitle(fields.metaTitle, fields.title, site.titlePattern, site.name);
  const paragraphs = session.body.blocks.flatMap(({ kind, path, text }) =>
    kind === 'paragraph' && path.length === 0 ? [text] : [],
  );
  const description = fields.metaDescription.trim() || fields.excerpt.trim() || openingWords(paragraphs);
  const path = postPath(site, fields) ?? '';
  const pages = appearances(
    fields,
    { categories: site.categories ?? settings?.categories ?? null, perPage: settings?.perPage ?? 10 },
    newer,
  );
  return (
    <section aria-label="How it will stand" className="mb-8">
      <div className="mb-3 flex items-baseline justify-between gap-4">
        <h2 className="font-serif text-xl font-semibold">How it will stand</h2>
        <Button onClick={() => navigate(`/posts/${session.id}/reading`)}>
          <Eye size={15} aria-hidden />
          As a page
        </Button>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)_300px] gap-x-8 gap-y-5 max-[860px]:grid-cols-1">
        <div className="min-w-0 space-y-5">
          <figure aria-label="In the results" className="rounded-md border bg-sheet px-4 py-3 font-listing">
            <p className="truncate text-[13px] text-soft">
              {path ? crumbsOf(site.baseAddress, path) : 'no address yet'}
            </p>
            <p className="truncate text-[20px] leading-[28px]">
              {cutToWidth(title, TITLE_SIZE, metaTitlePixels[2] ?? 580).shown || 'No title yet'}
            </p>
            <p className="text-[14px] leading-[20px] break-words text-soft">
              {cutToWidth(description, DESCRIPTION_SIZE, metaDescriptionPixels[2] ?? 920).shown}
            </p>
            <figcaption className="mt-1.5 font-sans text-[12px] text-soft">
              In the results
              {fields.metaDescription.trim() === '' && description !== '' ? ', with words of the post' : ''}
            </figcaption>
          </figure>
          <div>
            <p className="mb-1 font-semibold">Where it will appear</p>
            <ul
              aria-label="Where it will appear"
              className="grid grid-cols-2 gap-x-6 max-[1180px]:grid-cols-1"
            >
              {pages.map(({ name, appears, says }) => (
                <li key={name} className="flex items-baseline gap-2 border-t py-1 text-[13px]">
                  <span aria-hidden className={appears ? 'text-marram' : 'text-ochre'}>
                    {appears ? '—' : '·'}
                  </span>
                  <span className="min-w-0 break-words">
                    <span className={appears ? '' : 'text-ochre'}>
                      {appears ? name : `Not: ${name.replace(/^Categories$/, 'a category')}`}
                    </span>
                    {says && <span className="text-soft">, {says}</span>}
                  </span>
                </li>
              ))}
            </ul>
          </div>
        </div>
        <ShareCard />
      </div>
    </section>
  );
}
