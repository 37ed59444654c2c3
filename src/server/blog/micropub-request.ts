import { type EntryProperties, valuesOf } from '../../core/blog/index.ts';

/** What a Micropub request asks for. */
export type MicropubRequest =
  | { action: 'create'; properties: EntryProperties }
  | {
      action: 'update';
      url: string;
      replace: EntryProperties;
      add: EntryProperties;
      /** Whole properties, or values of them. */
      remove: string[] | EntryProperties;
    }
  | { action: 'delete' | 'undelete'; url: string };

/** A request that cannot be done, in the words of the recommendation. */
export class MicropubError extends Error {
  constructor(
    readonly status: 400 | 401 | 403 | 404 | 413 | 415,
    readonly code: 'invalid_request' | 'unauthorized' | 'insufficient_scope' | 'forbidden' | 'not_found',
    says: string,
  ) {
    super(says);
  }
}

const bad = (says: string) => new MicropubError(400, 'invalid_request', says);

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Names under which nothing of an entry stands: commands, the token, and what would reach into objects. */
const isProperty = (name: string): boolean =>
  !['access_token', 'action', 'h', 'url', '__proto__', 'constructor', 'prototype'].includes(name) &&
  !(name.startsWith('mp-') && name !== 'mp-slug');

function lists(given: unknown, where: string): EntryProperties {
  if (given === undefined) return {};
  if (!isRecord(given)) throw bad(`"${where}" must be an object of lists.`);
  const out: EntryProperties = {};
  for (const [name, value] of Object.entries(given)) {
    if (!Array.isArray(value)) throw bad(`"${where}.${name}" must be a list.`);
    if (isProperty(name)) out[name] = value;
  }
  return out;
}

/** Reads a request in JSON. Throws {@link MicropubError}. */
export function readJsonRequest(body: unknown): MicropubRequest {
  if (!isRecord(body)) throw bad('The body must be a JSON object.');
  const { action } = body;
  if (action === undefined) {
    const type = body['type'];
    if (!Array.isArray(type) || type[0] !== 'h-entry')
      throw bad('Only entries ("type": ["h-entry"]) are kept here.');
    const properties = lists(body['properties'], 'properties');
    if (Object.keys(properties).length === 0) throw bad('The entry has no properties.');
    return { action: 'create', properties };
  }
  const url = body['url'];
  if (typeof url !== 'string' || url === '') throw bad('"url" must name the entry.');
  if (action === 'delete' || action === 'undelete') return { action, url };
  if (action !== 'update') throw bad(`"${String(action)}" is no action: update, delete or undelete.`);
  const remove = body['delete'];
  const request: MicropubRequest = {
    action,
    url,
    replace: lists(body['replace'], 'replace'),
    add: lists(body['add'], 'add'),
    remove: Array.isArray(remove)
      ? remove.filter((name): name is string => typeof name === 'string')
      : lists(remove, 'delete'),
  };
  if (body['replace'] === undefined && body['add'] === undefined && remove === undefined)
    throw bad('An update needs "replace", "add" or "delete".');
  return request;
}

/** Reads a request sent as a form: `name[]` are several values of one property. Throws {@link MicropubError}. */
export function readFormRequest(form: URLSearchParams): MicropubRequest {
  const action = form.get('action');
  if (action !== null) {
    const url = form.get('url') ?? '';
    if (url === '') throw bad('"url" must name the entry.');
    if (action === 'delete' || action === 'undelete') return { action, url };
    throw bad(action === 'update' ? 'An update must be sent as JSON.' : `"${action}" is no action.`);
  }
  if (form.get('h') !== 'entry') throw bad('Only entries (h=entry) are kept here.');
  const properties: EntryProperties = {};
  for (const [given, value] of form) {
    const content = given === 'content[html]';
    const name = content ? 'content' : given.replace(/\[\]$/, '');
    if (!isProperty(name)) continue;
    properties[name] = [...valuesOf(properties, name), content ? { html: value } : value];
  }
  if (Object.keys(properties).length === 0) throw bad('The entry has no properties.');
  return { action: 'create', properties };
}

/** Properties after an update: replaced, then added to (none twice), then taken from. */
export function updatedProperties(
  properties: EntryProperties,
  { replace, add, remove }: Extract<MicropubRequest, { action: 'update' }>,
): EntryProperties {
  const next: EntryProperties = { ...properties, ...replace };
  const same = (a: unknown) => (b: unknown) => JSON.stringify(a) === JSON.stringify(b);
  for (const [name, values] of Object.entries(add)) {
    const own = valuesOf(next, name);
    next[name] = [...own, ...values.filter((value) => !own.some(same(value)))];
  }
  if (Array.isArray(remove)) for (const name of remove) delete next[name];
  else
    for (const [name, values] of Object.entries(remove)) {
      const left = valuesOf(next, name).filter((value) => !values.some(same(value)));
      if (left.length > 0) next[name] = left;
      else delete next[name];
    }
  return next;
}
