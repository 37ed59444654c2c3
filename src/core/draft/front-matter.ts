import { parseDocument, stringify } from 'yaml';
import { cleanFields } from './clean-draft.ts';
import { plainYaml } from './plain-yaml.ts';
import { emptyFields, type PostFields, STATUSES, type Status } from './post-fields.ts';

/** Front matter at the head of a file, fences included; what stands between them is the first group. */
export const FENCE = /^\uFEFF?---[ \t]*\r?\n(?:([\s\S]*?)\r?\n)??(?:---|\.\.\.)[ \t]*(?:\r?\n|$)/;

/** Front matter and what follows it. */
export interface SplitFile {
  fields: PostFields;
  body: string;
  /** Why the front matter could not be read, in words; null where it could (or is not there). */
  problem: string | null;
}

/** Splits a file into front matter and body and reads the fields. Unreadable front matter is reported and left out. */
export function splitFrontMatter(text: string): SplitFile {
  const hit = FENCE.exec(text);
  if (!hit) return { fields: emptyFields(), body: text.replace(/^\uFEFF/, ''), problem: null };
  const body = text.slice(hit[0].length);
  const { data, problem } = readYaml(hit[1] ?? '');
  return { fields: cleanFields(fieldsOf(data)), body, problem };
}

/** Reads a YAML mapping with the core schema; no prototypes, few aliases. */
export function readYaml(yaml: string): { data: Map<string, unknown>; problem: string | null } {
  const lines = plainYaml(yaml);
  if (lines) return { data: lines, problem: null };
  try {
    const document = parseDocument(yaml, { schema: 'core', logLevel: 'silent', prettyErrors: false });
    const error = document.errors[0];
    if (error)
      return {
        data: new Map(),
        problem: `The front matter is not valid YAML (${error.message.split('\n')[0]}); it was left out.`,
      };
    const data: unknown = document.toJS({ mapAsMap: true, maxAliasCount: 50 });
    if (data === null || data === undefined) return { data: new Map(), problem: null };
    if (!(data instanceof Map))
      return { data: new Map(), problem: 'The front matter is not a list of fields; it was left out.' };
    return { data: new Map([...data].map(([key, value]) => [String(key), plain(value)])), problem: null };
  } catch {
    return { data: new Map(), problem: 'The front matter could not be read; it was left out.' };
  }
}

function plain(value: unknown): unknown {
  if (value instanceof Map) {
    const out: Record<string, unknown> = Object.create(null);
    for (const [key, inner] of value) out[String(key)] = plain(inner);
    return out;
  }
  return Array.isArray(value) ? value.map(plain) : value;
}

const text = (value: unknown): string =>
  typeof value === 'string'
    ? value.trim()
    : typeof value === 'number' || typeof value === 'boolean'
      ? String(value)
      : '';

const list = (value: unknown): string[] => {
  if (Array.isArray(value)) return value.map(text).filter((item) => item !== '');
  return text(value)
    .split(/[,\n]/)
    .map((item) => item.trim())
    .filter((item) => item !== '');
};

/** Lists whose items are sentences: a single text is one item, commas and all. */
const sentences = (value: unknown): string[] =>
  Array.isArray(value) ? list(value) : text(value) === '' ? [] : [text(value)];

/** Translations by language, as a mapping or as lines of both. */
const translationList = (value: unknown): string[] =>
  value !== null && typeof value === 'object' && !Array.isArray(value)
    ? Object.entries(value).flatMap(([language, address]) =>
        text(address) === '' ? [] : [`${language} ${text(address)}`],
      )
    : list(value);

/** How each known field is read from a value; the order is that in which they are written. */
const READERS: {
  [Name in Exclude<keyof PostFields, 'unknown' | 'metaDescription'>]: (value: unknown) => PostFields[Name];
} & {
  description: (value: unknown) => string;
} = {
  title: text,
  metaTitle: text,
  description: text,
  slug: text,
  canonical: text,
  excerpt: text,
  keyword: text,
  supporting: list,
  language: text,
  translations: translationList,
  status: (value) => (STATUSES.includes(text(value) as Status) ? (text(value) as Status) : 'draft'),
  date: text,
  updated: text,
  author: text,
  category: text,
  categories: list,
  tags: list,
  image: text,
  imageAlt: (value) => (value === null || value === undefined ? null : text(value)),
  shareTitle: text,
  shareDescription: text,
  shareImage: text,
  robots: text,
  comments: text,
  place: text,
  targetWords: (value) =>
    Number(value) > 0 && Number.isFinite(Number(value)) ? Math.round(Number(value)) : null,
  goal: text,
  audience: list,
  tone: text,
  style: text,
  points: sentences,
  nextStep: text,
  questions: sentences,
  ownFigures: sentences,
};

const propertyOf = (name: string) => (name === 'description' ? 'metaDescription' : name);

function fieldsOf(data: Map<string, unknown>): PostFields {
  const fields = emptyFields();
  for (const [key, value] of data) {
    const read = Object.hasOwn(READERS, key) ? READERS[key as keyof typeof READERS] : undefined;
    if (read) Object.assign(fields, { [propertyOf(key)]: read(value) });
    else if (key !== '__proto__') fields.unknown[key] = value;
  }
  return fields;
}

/** Names of the fields of front matter, in the order in which they are written. */
export const FIELD_NAMES: readonly string[] = Object.keys(READERS);

/** The value of a field by its name in front matter. */
export const valueOfField = (fields: PostFields, name: string): unknown =>
  fields[propertyOf(name) as keyof PostFields];

/** Whether a field is not written: an empty alternative text says "decorative"; anything else that is empty says nothing. */
export function isLeftOut(fields: PostFields, name: string): boolean {
  const value = valueOfField(fields, name);
  return name === 'imageAlt'
    ? value === null || fields.image === ''
    : value === '' || value === null || (Array.isArray(value) && value.length === 0);
}

/** The front matter of a post, fences included: what is empty is left out, unknown fields stand last. */
export function writeFrontMatter(fields: PostFields): string {
  const data: Record<string, unknown> = {};
  for (const name of FIELD_NAMES) if (!isLeftOut(fields, name)) data[name] = valueOfField(fields, name);
  Object.assign(data, fields.unknown);
  if (Object.keys(data).length === 0) return '';
  return `---\n${stringify(data, { schema: 'core', lineWidth: 0 })}---\n\n`;
}
