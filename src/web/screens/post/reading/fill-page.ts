import { EMBED_KINDS, embedKindInWords, type PostDocument, writeHtml } from '../../../../core/draft/index.ts';

/** A post with what its page says besides. */
export interface PageContent {
  document: PostDocument;
  /** BCP 47 tag. */
  language: string;
  /** The day it is dated, in words; empty where it has none. */
  day: string;
}

/** What stands where something is that is not loaded here. */
function placeholder(page: Document, words: string): HTMLElement {
  const box = page.createElement('div');
  box.className = 'elsewhere';
  box.textContent = words;
  return box;
}

/** Elements that would load something from elsewhere, or do something. */
const EMBEDS =
  'iframe, video, audio, object, embed, form, input, button, select, textarea, script, style, link';

/** Writes a post into an empty page as readers will see it; what is embedded or lies elsewhere is named instead. */
export function fillPage(page: Document, { document: post, language, day }: PageContent): void {
  const { fields, draft } = post;
  page.documentElement.lang = language;
  page.title = fields.title;
  const main = page.createElement('main');
  const titled = draft.blocks.some(({ kind, level }) => kind === 'heading' && level === 1);
  if (!titled && fields.title) {
    const title = page.createElement('h1');
    title.textContent = fields.title;
    main.append(title);
  }
  const by = [fields.author, day].filter(Boolean).join(' · ');
  if (by) {
    const line = page.createElement('p');
    line.className = 'byline';
    line.textContent = by;
    main.append(line);
  }
  if (fields.image) {
    const figure = page.createElement('figure');
    const picture = page.createElement('img');
    picture.dataset['file'] = fields.image;
    picture.alt = fields.imageAlt ?? '';
    figure.append(picture);
    main.append(figure);
  }
  const body = page.createElement('div');
  // Parsed where nothing is loaded: pictures get their own addresses before they are shown.
  const parsed = new DOMParser().parseFromString(writeHtml(draft), 'text/html');
  for (const embed of parsed.querySelectorAll(EMBEDS)) {
    const address = embed.getAttribute('src') ?? embed.querySelector('source')?.getAttribute('src') ?? '';
    embed.replaceWith(
      placeholder(parsed, `${NAMES.get(embed.localName) ?? 'An embed'}${address ? `: ${address}` : ''}`),
    );
  }
  // The mark for lists is a comment, and no page shows it; an embed is named, and what it loads is not loaded.
  for (const embed of parsed.querySelectorAll('figure.embed')) {
    const kind = EMBED_KINDS.find((one) => embed.classList.contains(`embed-${one}`)) ?? 'page';
    const name = parsed.createElement('p');
    name.className = 'kind';
    name.textContent = embedKindInWords(kind);
    embed.prepend(name);
  }
  // The policy of the page lets no written style through; the style sheet says the same.
  for (const styled of parsed.querySelectorAll('[style]')) styled.removeAttribute('style');
  for (const picture of parsed.querySelectorAll('img')) {
    picture.dataset['file'] = picture.getAttribute('src') ?? '';
    picture.removeAttribute('src');
    picture.removeAttribute('srcset');
  }
  body.append(...[...parsed.body.childNodes].map((node) => page.importNode(node, true)));
  main.append(...body.childNodes);
  page.body.replaceChildren(main);
}

const NAMES = new Map([
  ['video', 'A film'],
  ['audio', 'A recording'],
  ['form', 'A form'],
]);

/** Gives the pictures of a page the addresses at which their files can be shown; those that lie elsewhere are named. */
export async function showPictures(
  page: Document,
  fileOf: (src: string) => Promise<Blob | null>,
): Promise<string[]> {
  const made: string[] = [];
  for (const picture of page.querySelectorAll('img')) {
    const src = picture.dataset['file'] ?? '';
    delete picture.dataset['file'];
    const file = src.startsWith('data:image/') ? null : await fileOf(src);
    if (src.startsWith('data:image/')) picture.src = src;
    else if (file) {
      const url = URL.createObjectURL(file);
      made.push(url);
      picture.src = url;
    } else
      picture.replaceWith(placeholder(page, `${picture.alt || 'A picture'}: ${src || 'without an address'}`));
  }
  return made;
}
