import { type PostDocument, shareOf, writeHtml } from '../draft/index.ts';

/** What a review file is made of. */
export interface ReviewFile {
  postId: string;
  /** With its pictures as `data:` addresses, for nothing is fetched. */
  post: PostDocument;
  /** As the listing shows it. */
  metaTitle: string;
  address: string;
  /** Findings of the score, where the reviewer shall see them; empty: none. */
  notes: readonly string[];
  /** The script and the style of the page, and what the policy names the script by: `sha256-...`. */
  script: string;
  style: string;
  scriptHash: string;
  /** UTC instant at which it was made. */
  made: string;
}

const escaped = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

/** Data for a script element: nothing in it ends the element. */
const asData = (value: unknown): string => JSON.stringify(value).replace(/</g, '\\u003c');

/**
 * One page that holds everything for another pair of eyes: the post as readers see it, its listing, the notes on wish, and the
 * means to comment. Its policy lets it ask nothing of any network, and no script run but its own.
 */
export function reviewPage(file: ReviewFile): string {
  const { post, metaTitle, address, notes, script, style, scriptHash, postId, made } = file;
  const { fields, draft } = post;
  const share = shareOf(fields);
  const policy = `default-src 'none'; img-src data:; style-src 'unsafe-inline'; script-src '${scriptHash}'`;
  const titled = draft.blocks.some(
    ({ kind, level, text }) => kind === 'heading' && level === 1 && text === fields.title,
  );
  const noteList =
    notes.length > 0
      ? `<details class="notes"><summary>${notes.length} ${notes.length === 1 ? 'note' : 'notes'} of the score</summary><ul>${notes.map((note) => `<li>${escaped(note)}</li>`).join('')}</ul></details>`
      : '';
  return `<!doctype html>
<html lang="${escaped(fields.language || 'en')}">
<head>
<meta charset="utf-8">
<meta http-equiv="Content-Security-Policy" content="${escaped(policy)}">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="robots" content="noindex">
<title>For review: ${escaped(fields.title || 'Untitled')}</title>
<style>${style}</style>
</head>
<body>
<header>
<p class="what">For review: <strong>${escaped(fields.title || 'Untitled')}</strong></p>
<p class="how">Select words to comment on them or to propose others. When you are done, say what you think and save your answer; it is a file, which you send back.</p>
</header>
<div class="desk">
<main>
<section class="listing" aria-label="In the results"><p class="crumbs">${escaped(address)}</p><p class="title">${escaped(metaTitle)}</p><p>${escaped(fields.metaDescription || share.description)}</p></section>
${noteList}
<article id="post">
${titled ? '' : `<h1>${escaped(fields.title || 'Untitled')}</h1>\n`}${writeHtml(draft)}
</article>
</main>
<aside aria-label="Your answer" id="answer"></aside>
</div>
<script type="application/json" id="about">${asData({ postId, made, title: fields.title })}</script>
<script>${script}</script>
</body>
</html>
`;
}
