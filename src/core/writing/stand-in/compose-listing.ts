import { altDraft } from '../../criteria/index.ts';
import { asHeading, tellingStems } from '../../language/index.ts';
import { DESCRIPTION_SIZE, pixelWidth } from '../../listing/index.ts';
import { centralSentences, standsAlone, subjectOfPhrase } from '../known/index.ts';
import { type ComposeOrder, fieldValue, isRepeat } from '../patterns/index.ts';
import { sentencesIn } from '../sentences.ts';
import type { Composed } from './composed.ts';
import { inside, listed, opening } from './wording.ts';

/** Sentences of a post that are looked at for its description. */
const LOOKED_AT = 80;

/** Whole sentences of the post that fill the width and name the keyword, the best first. */
export function composeDescriptions(order: ComposeOrder): Composed {
  const { known, pixels, pieces, before } = order;
  const [least, most] = pixels ?? [0, Number.POSITIVE_INFINITY];
  const keyword = known.brief.keyword;
  const wanted = tellingStems(keyword);
  const all = known.draft.flatMap(({ paragraphs }) => paragraphs.flatMap(sentencesIn)).slice(0, LOOKED_AT);
  const rated: { text: string; rate: number }[] = [];
  for (let from = 0; from < all.length; from++) {
    if (!standsAlone(all[from])) continue;
    let text = '';
    for (let at = from; at < Math.min(all.length, from + 3); at++) {
      if (/\?$/.test(all[at])) break;
      const next = text === '' ? all[at] : `${text} ${all[at]}`;
      const width = pixelWidth(next, DESCRIPTION_SIZE);
      if (width > most) break;
      text = next;
      const named =
        wanted.size === 0
          ? 0
          : [...tellingStems(text)].filter((each) => wanted.has(each)).length / wanted.size;
      const exact = keyword !== '' && text.toLowerCase().includes(keyword.toLowerCase()) ? 1 : 0;
      rated.push({ text, rate: 2 * Math.min(1, width / Math.max(1, least)) + exact + named - from / 40 });
    }
  }
  rated.sort((a, b) => b.rate - a.rate || (a.text < b.text ? -1 : 1));
  const made = [
    ...rated.filter(({ text }) => pixelWidth(text, DESCRIPTION_SIZE) >= least).map(({ text }) => text),
    ...planned(order),
  ];
  const out: string[] = [];
  for (const text of made) {
    if (out.length === (pieces ?? 2)) break;
    if (!isRepeat(text, [...before, ...out], 'lines')) out.push(text);
  }
  return {
    text: out.join('\n'),
    note:
      out.length === 0
        ? 'The post has no sentences yet that fit. Write its opening, or plan its headings.'
        : rated.length > 0
          ? 'Whole sentences of the post that fit the width.'
          : 'From the keyword and the headings, as the post has no text yet.',
  };
}

/** A description of a post that is only planned. */
function planned({ known, pixels, values }: ComposeOrder): string[] {
  const { brief, outline } = known;
  const keyword = brief.keyword || fieldValue(values, 'topic');
  if (!keyword) return [];
  const headings = outline
    .filter(({ level, text }) => level === 2 && !/\?$/.test(text.trim()) && text.trim() !== '')
    .map(({ text }) => inside(text));
  const [, most] = pixels ?? [0, Number.POSITIVE_INFINITY];
  const ends = [brief.nextStep ? ` Then: ${inside(brief.nextStep).replace(/[.!]$/, '')}.` : '', ''];
  const out: string[] = [];
  for (let count = Math.min(6, headings.length); count >= 2; count--)
    for (const end of ends) {
      const text = `${opening(keyword)}: ${listed(headings.slice(0, count))}.${end}`;
      if (pixelWidth(text, DESCRIPTION_SIZE) <= most) out.push(text);
    }
  return out;
}

/** An excerpt of the post's own sentences. */
export function composeExcerpt({ known, before, seed }: ComposeOrder): Composed {
  const MOST = 250;
  const sentences = known.draft.flatMap(({ paragraphs }) => paragraphs.flatMap(sentencesIn)).slice(0, 60);
  const opens: string[] = [];
  for (let from = 0; from < Math.min(12, sentences.length); from++) {
    if (!standsAlone(sentences[from])) continue;
    let text = '';
    for (const sentence of sentences.slice(from, from + 3)) {
      const next = text === '' ? sentence : `${text} ${sentence}`;
      if ([...next].length > MOST) break;
      text = next;
    }
    if (text) opens.push(text);
  }
  const central = centralSentences(
    sentences.map((text, at) => ({ text, owner: String(at) })),
    subjectOfPhrase(`${known.brief.keyword} ${known.brief.title}`),
    6,
  ).map(({ text }) => text);
  const made = [...opens, ...central].filter(
    (text) => [...text].length <= MOST && !isRepeat(text, before, 'text'),
  );
  const text = made[seed % Math.max(1, Math.min(made.length, 4))] ?? '';
  return {
    text,
    note: text
      ? 'Sentences of the post as they stand.'
      : 'The post has no sentence that can stand alone yet.',
  };
}

/** Alt text from the caption, else from the file's name, else from the words around. */
export function composeAlt({ known: { picture } }: ComposeOrder): Composed {
  if (!picture) return { text: '', note: 'No picture is in hand.' };
  const made = altDraft(picture.caption, picture.name, 125);
  if (made)
    return {
      text: made.text,
      note: `From ${made.from}. Nobody has looked at the picture: say what it shows.`,
    };
  const [near] = sentencesIn(`${picture.before}\n${picture.after}`).filter(standsAlone);
  return {
    text: near && [...near].length <= 125 ? near.replace(/\.$/, '') : '',
    note: 'Neither its caption nor its name says what it shows. Look at it, and write that.',
  };
}

/** What a picture should show, for whoever takes it. */
export function composePicture({ known, values }: ComposeOrder): Composed {
  const place = known.around;
  const heading = place?.heading || fieldValue(values, 'topic') || known.brief.keyword;
  const before = (place?.before ?? '').split('\n').filter((line) => !line.startsWith('#'));
  const near = sentencesIn(before.slice(-2).join(' '));
  const shows = centralSentences(
    near.map((text, at) => ({ text, owner: String(at) })),
    subjectOfPhrase(heading),
    1,
  ).map(({ text }) => text)[0];
  return {
    text: [
      `What it shows: ${inside(heading).replace(/\?$/, '')}${known.brief.keyword && !heading.toLowerCase().includes(known.brief.keyword.toLowerCase()) ? `, in a post about ${known.brief.keyword}` : ''}.`,
      ...(shows ? [`What the text says there: ${shows}`] : []),
      `Why the reader needs it: to see what words alone would have to describe under “${asHeading(heading)}”.`,
      'Wide, 3 to 2, at least 1,600 pixels across; the thing itself in the middle, nothing else in focus.',
      'Not in it: faces of people who were not asked, brand names, text that would have to be read.',
      `File name: ${
        [...tellingStems(heading)].length > 0
          ? inside(heading)
              .toLowerCase()
              .replace(/[^\p{L}\p{N}]+/gu, '-')
              .replace(/^-|-$/g, '')
          : 'picture'
      }`,
    ].join('\n'),
    note: 'A brief by rule, from the heading and the sentence above this place.',
  };
}
