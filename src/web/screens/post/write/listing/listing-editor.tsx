import { Columns3, Smartphone } from 'lucide-react';
import { lazy, Suspense, useId, useState } from 'react';
import { type Ramp, wholeProfile } from '../../../../../core/criteria/index.ts';
import type { Draft } from '../../../../../core/draft/index.ts';
import {
  cutOfTitle,
  cutToWidth,
  DESCRIPTION_SIZE,
  effectiveMetaTitle,
  openingWords,
  pixelWidth,
  postPath,
  TITLE_SIZE,
} from '../../../../../core/listing/index.ts';
import { phoneListingSet } from '../../../../state/preferences.ts';
import { useAppDispatch, useAppSelector } from '../../../../state/store.ts';
import { useCommands } from '../../../../state/use-commands.ts';
import { Button } from '../../../../ui/button.tsx';
import { counted } from '../../../../ui/figures.ts';
import { usePost } from '../../frame/post-context.ts';
import { PhoneListing } from './phone-listing.tsx';
import { SlugField } from './slug-field.tsx';

// Comparing titles comes when it is asked for.
const TitlesDialog = lazy(() =>
  import('./titles/titles-dialog.tsx').then((module) => ({ default: module.TitlesDialog })),
);

/** The line under a field: how wide it is, with ticks at the wished range. */
function LengthRule({ width, ramp, full }: { width: number; ramp: Ramp; full: number }) {
  const [, from, to] = ramp;
  const at = (pixels: number) => `${Math.min(100, (pixels / full) * 100)}%`;
  return (
    <div aria-hidden className="relative mt-0.5 h-[9px]">
      <div className="absolute inset-x-0 top-0 h-px bg-line" />
      <div
        className="absolute top-[-1px] left-0 h-[3px] bg-marram transition-[width]"
        style={{ width: at(width) }}
      />
      {[from, to].map(
        (tick) =>
          tick !== null && (
            <div key={tick} className="absolute top-0 h-[9px] w-px bg-soft" style={{ left: at(tick) }} />
          ),
      )}
    </div>
  );
}

/** The pixels at the right of a field, of the wished range, in ochre outside it; and the characters that they are. */
function Measured({ width, ramp, text }: { width: number; ramp: Ramp; text: string }) {
  const [, from, to] = ramp;
  const outside = (from !== null && width < from) || (to !== null && width > to);
  return (
    <span className="text-[13px] whitespace-nowrap text-soft">
      <span className={outside ? 'font-semibold text-ochre' : 'text-ink'}>{Math.round(width)}</span> of {from}
      -{to} px
      <span className="block text-[12px]">{counted([...text].length, 'character')}</span>
    </span>
  );
}

function* paragraphsOf({ blocks }: Draft): Generator<string> {
  for (const block of blocks) if (block.kind === 'paragraph' && block.path.length === 0) yield block.text;
}

/** Meta title, slug and meta description, typed in place in a results listing. */
export function ListingEditor() {
  const { session, site } = usePost();
  const fields = useAppSelector((state) => state.openPost.fields);
  const fixes = useAppSelector((state) => state.openPost.fixes);
  const { metaTitlePixels, metaDescriptionPixels, phoneCutPixels } = wholeProfile(site.profile).limits;
  const phoneListing = useAppSelector((state) => state.preferences.phoneListing);
  const dispatch = useAppDispatch();
  const ids = useId();
  const [comparing, setComparing] = useState(false);
  useCommands([{ id: 'titles', group: 'This post', name: 'Compare titles', run: () => setComparing(true) }]);
  const title = effectiveMetaTitle(fields.metaTitle, fields.title, site.titlePattern, site.name);
  const own = fields.metaTitle.trim() || fields.title.trim();
  const [head, tail] =
    own && title.includes(own)
      ? [title.slice(0, title.indexOf(own)), title.slice(title.indexOf(own) + own.length)]
      : ['', ''];
  const titleWidth = pixelWidth(title, TITLE_SIZE);
  const cut = cutToWidth(title, TITLE_SIZE, metaTitlePixels[2] ?? 580);
  const text = fields.metaDescription;
  const descriptionWidth = pixelWidth(text.trim(), DESCRIPTION_SIZE);
  const opening = text.trim() ? '' : openingWords(paragraphsOf(session.body));
  const shown = cutToWidth(text.trim() || opening, DESCRIPTION_SIZE, metaDescriptionPixels[2] ?? 920);
  const phone = cutToWidth(text.trim(), DESCRIPTION_SIZE, phoneCutPixels);
  const path = postPath(site, { ...fields, slug: '·' }) ?? '/·';
  const crumbs = [
    site.baseAddress.replace(/^https?:\/\//, '').replace(/\/$/, '') || 'your-blog',
    ...path.split('/').filter((part) => part && part !== '·'),
  ];
  const [offer] = fixes['meta-description-width'] ?? [];
  return (
    <section aria-label="Listing" className="pt-4 pb-3">
      <div className="grid grid-cols-[minmax(0,600px)_minmax(124px,auto)] gap-x-5">
        <div data-place="meta-title">
          <label htmlFor={`${ids}-t`} className="sr-only">
            Meta title
          </label>
          <div className="flex items-baseline overflow-hidden font-listing text-[20px] leading-[28px]">
            {head && <span className="shrink-0 whitespace-pre text-soft">{head}</span>}
            <span className="relative inline-grid max-w-full min-w-[4ch] shrink-0">
              {/* The invisible twin gives the field the width of its words, so that the pattern follows them. */}
              <span aria-hidden className="invisible col-start-1 row-start-1 overflow-hidden whitespace-pre">
                {fields.metaTitle || fields.title || 'Meta title'}
              </span>
              <input
                id={`${ids}-t`}
                size={1}
                value={fields.metaTitle}
                placeholder={fields.title || 'Meta title'}
                onChange={(event) => session.setFields({ metaTitle: event.target.value })}
                className="col-start-1 row-start-1 w-full min-w-0 rounded bg-transparent outline-offset-0"
              />
            </span>
            {tail && (
              <span
                className="min-w-0 truncate whitespace-pre text-soft"
                title={`The site's pattern: ${site.titlePattern}`}
              >
                {tail}
              </span>
            )}
          </div>
          <LengthRule width={titleWidth} ramp={metaTitlePixels} full={600} />
          {cut.cut !== null &&
            (cutOfTitle(title, own, TITLE_SIZE, metaTitlePixels[2] ?? 580) === 'pattern' ? (
              <p className="text-[13px] text-soft">Only the site's name is cut in the results.</p>
            ) : (
              <p className="truncate font-listing text-[13px] text-ochre">
                Words of the title are cut: {cut.shown}
              </p>
            ))}
        </div>
        <div className="pt-1">
          <Measured width={titleWidth} ramp={metaTitlePixels} text={title} />
        </div>

        <div data-place="slug" className="mt-1 flex min-w-0 items-baseline font-listing text-[14px]">
          <span className="shrink-0 whitespace-pre text-soft">{crumbs.join(' › ')} › </span>
          <SlugField />
        </div>
        <span className="mt-1 text-[13px] text-soft">
          {fields.slug ? `${fields.slug.split('-').filter(Boolean).length} words` : 'no slug'}
        </span>

        <div data-place="meta-description" className="mt-1">
          <label htmlFor={`${ids}-d`} className="sr-only">
            Meta description
          </label>
          <textarea
            id={`${ids}-d`}
            rows={1}
            value={text}
            placeholder={opening ? shown.shown : 'Meta description: what a reader finds here'}
            onChange={(event) =>
              session.setFields({ metaDescription: event.target.value.replace(/\n/g, ' ') })
            }
            className="field-sizing-content block w-full resize-none rounded bg-transparent font-listing text-[14px] leading-[20px]"
          />
          <LengthRule width={descriptionWidth} ramp={metaDescriptionPixels} full={960} />
          {shown.cut !== null && text.trim() && (
            <p className="truncate font-listing text-[13px] text-ochre" title={shown.shown}>
              Cut in the results after: …{shown.shown.slice(-46)}
            </p>
          )}
          {!text.trim() && opening && (
            <p className="text-[13px] text-soft">
              Nothing written: these opening words would stand there.{' '}
              {offer && (
                <Button look="word" onClick={() => session.apply(offer.edits)}>
                  Take whole sentences of them
                </Button>
              )}
            </p>
          )}
        </div>
        <div className="mt-1 text-right">
          <Measured width={descriptionWidth} ramp={metaDescriptionPixels} text={text.trim()} />
          {phone.cut !== null && (
            <span className="block text-[12px] text-soft">phone cuts at {phoneCutPixels}</span>
          )}
          <div className="mt-0.5 flex justify-end gap-3 whitespace-nowrap">
            <button
              type="button"
              onClick={() => setComparing(true)}
              className="flex items-center gap-1 rounded text-[12px] text-soft hover:text-ink"
            >
              <Columns3 size={13} aria-hidden />
              Compare titles
            </button>
            <button
              type="button"
              aria-pressed={phoneListing}
              onClick={() => dispatch(phoneListingSet(!phoneListing))}
              className="flex items-center gap-1 rounded text-[12px] text-soft hover:text-ink aria-pressed:font-semibold aria-pressed:text-ink"
            >
              <Smartphone size={13} aria-hidden />
              Phone
            </button>
          </div>
        </div>
      </div>
      {comparing && (
        <Suspense fallback={null}>
          <TitlesDialog onClose={() => setComparing(false)} />
        </Suspense>
      )}
      {phoneListing && (
        <PhoneListing
          title={title}
          crumbs={[...crumbs, fields.slug || 'slug-of-the-post'].join(' › ')}
          description={text.trim() || opening}
          cutPixels={phoneCutPixels}
        />
      )}
    </section>
  );
}
