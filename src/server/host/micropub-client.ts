import { createHash } from 'node:crypto';
import { ENTRY_PROPERTIES, type EntryProperties, textOfProperty } from '../../core/blog/index.ts';
import { type Answer, askOnce } from '../fetch/ask-once.ts';
import { checkedUrl, type Outward } from '../fetch/outward.ts';
import { Refusal } from '../fetch/refusal.ts';
import {
  type BlogHost,
  type HostCapabilities,
  type HostedPost,
  HostProblem,
  type Outgoing,
  type SentPost,
} from './blog-host.ts';
import { entryForm } from './micropub-form.ts';

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const propertiesOf = (value: unknown): EntryProperties =>
  Object.fromEntries(
    Object.entries(isRecord(value) ? value : {}).flatMap(([name, values]) =>
      Array.isArray(values) && name !== '__proto__' ? [[name, values as unknown[]]] : [],
    ),
  );

function jsonOf({ body }: Answer): unknown {
  try {
    return JSON.parse(body.toString('utf8')) as unknown;
  } catch {
    return null;
  }
}

/** What a list of the configuration names: words, or objects with a name. */
const namesOf = (value: unknown): string[] =>
  (Array.isArray(value) ? value : []).flatMap((one) =>
    typeof one === 'string' ? [one] : isRecord(one) && typeof one['name'] === 'string' ? [one['name']] : [],
  );

const targetsOf = (value: unknown): HostCapabilities['syndicateTo'] =>
  (Array.isArray(value) ? value : []).flatMap((one) =>
    isRecord(one) && typeof one['uid'] === 'string'
      ? [{ uid: one['uid'], name: typeof one['name'] === 'string' ? one['name'] : one['uid'] }]
      : [],
  );

/** Milliseconds of a `Retry-After` in seconds; null for anything else. */
const pauseOf = (header: string | undefined): number | null =>
  header && /^\d{1,6}$/.test(header.trim()) ? Number(header) * 1000 : null;

/** A host that asks for JSON in vain answers with one of these; forms are tried then. */
const TAKES_NO_JSON = new Set([400, 406, 415]);

/**
 * A client of the Micropub recommendation (W3C, 23 May 2017): entries as JSON where the host takes it, as forms where it does
 * not; pictures to its media endpoint; what stands there asked for by `q=source`.
 */
export class MicropubClient implements BlogHost {
  private config: Record<string, unknown> | null = null;
  private takesJson = true;

  constructor(
    private readonly endpoint: string,
    private readonly token: string,
    private readonly outward: Outward,
    /** Whether posts with a date to come may be handed over before it. */
    private readonly schedules = false,
  ) {}

  private async ask(
    address: string,
    method: 'GET' | 'POST',
    options: { headers?: Record<string, string>; body?: Buffer; missing?: boolean } = {},
  ): Promise<Answer> {
    let answer: Answer;
    let host = address;
    try {
      const url = checkedUrl(address, this.outward.allowed);
      host = url.host;
      answer = await askOnce(url, method, this.outward, AbortSignal.timeout(this.outward.within), {
        accept: 'application/json',
        headers: { authorization: `Bearer ${this.token}`, ...options.headers },
        body: options.body,
      });
    } catch (error) {
      if (error instanceof Refusal)
        throw new HostProblem(error.kind === 'not-allowed' ? 'refused' : 'away', error.message);
      throw error;
    }
    this.refuse(answer, host);
    return answer;
  }

  /** Turns an answer that is an error into words. */
  private refuse(answer: Answer, host: string): void {
    const { status, headers } = answer;
    if (status < 300) return;
    const json = jsonOf(answer);
    const said =
      isRecord(json) && typeof json['error_description'] === 'string'
        ? ` It says: ${json['error_description'].slice(0, 300)}`
        : '';
    if (status === 401 || status === 403)
      throw new HostProblem(
        'refused',
        `${host} does not accept the token${status === 403 ? ' for this' : ''}. Set a new one in House rules.${said}`,
        { status },
      );
    if (status === 412)
      throw new HostProblem('changed', `The post was changed at ${host} since it was sent last.`, { status });
    if (status === 404 || status === 410)
      throw new HostProblem('missing', `Nothing stands at that address of ${host} any more.${said}`, {
        status,
      });
    if (status === 429 || status === 408 || status >= 500)
      throw new HostProblem('away', `${host} answered ${status}.${said}`, {
        status,
        askAgainIn: pauseOf(headers['retry-after']),
      });
    if (status < 400)
      throw new HostProblem('refused', `${host} leads on to another address. Set that as the endpoint.`, {
        status,
      });
    throw new HostProblem('refused', `${host} refused it (${status}).${said}`, { status });
  }

  private withQuery(query: Record<string, string>): string {
    let url: URL;
    try {
      url = new URL(this.endpoint);
    } catch {
      throw new HostProblem('refused', `"${this.endpoint.slice(0, 200)}" is no address of an endpoint.`);
    }
    for (const [name, value] of Object.entries(query)) url.searchParams.set(name, value);
    return url.href;
  }

  private async configuration(): Promise<Record<string, unknown>> {
    if (this.config) return this.config;
    const answer = jsonOf(await this.ask(this.withQuery({ q: 'config' }), 'GET'));
    // A host with nothing to configure may answer with nothing at all.
    this.config = isRecord(answer) ? answer : {};
    return this.config;
  }

  async capabilities(): Promise<HostCapabilities> {
    const config = await this.configuration();
    const questions = namesOf(config['q']);
    return {
      media: typeof config['media-endpoint'] === 'string',
      formatted: this.takesJson,
      schedules: this.schedules,
      readable: questions.length === 0 || questions.includes('source'),
      categories: namesOf(config['categories'] ?? (await this.categories(questions))),
      syndicateTo: targetsOf(config['syndicate-to']),
    };
  }

  private async categories(questions: readonly string[]): Promise<unknown> {
    if (!questions.includes('category')) return [];
    const answer = jsonOf(await this.ask(this.withQuery({ q: 'category' }), 'GET'));
    return isRecord(answer) ? answer['categories'] : [];
  }

  /** Where an answer says that the post stands. */
  private sentTo({ status, headers }: Answer, otherwise: string | null): Omit<SentPost, 'version'> {
    const { location } = headers;
    let url = otherwise;
    if (location)
      try {
        url = new URL(location, this.endpoint).href;
      } catch {
        throw new HostProblem('refused', 'The host says that the post stands at an address that is none.');
      }
    if (url === null)
      throw new HostProblem(
        'refused',
        'The host took the post and did not say where it stands. Look for it there before you send it again.',
      );
    return { url, isLater: status === 202 };
  }

  async create({ properties }: Outgoing): Promise<SentPost> {
    const sent = this.sentTo(await this.sendNew(properties), null);
    return { ...sent, version: sent.isLater ? null : await this.versionAt(sent.url) };
  }

  private async sendNew(properties: EntryProperties): Promise<Answer> {
    if (this.takesJson)
      try {
        return await this.postJson({ type: ['h-entry'], properties });
      } catch (error) {
        if (!(error instanceof HostProblem) || !TAKES_NO_JSON.has(error.status ?? 0)) throw error;
        this.takesJson = false;
      }
    try {
      return await this.ask(this.endpoint, 'POST', {
        headers: { 'content-type': 'application/x-www-form-urlencoded' },
        body: Buffer.from(entryForm(properties).toString()),
      });
    } catch (error) {
      // It refuses both: what it takes is not known, and the next try begins with JSON again.
      this.takesJson = true;
      throw error;
    }
  }

  private async postJson(body: unknown, headers: Record<string, string> = {}): Promise<Answer> {
    return this.ask(this.endpoint, 'POST', {
      headers: { 'content-type': 'application/json', ...headers },
      body: Buffer.from(JSON.stringify(body)),
    });
  }

  async update(url: string, { properties }: Outgoing, known: string | null): Promise<SentPost> {
    // Hosts that know nothing of versions compare nothing: what stands there is looked at first.
    if (known !== null) {
      const { version } = await this.read(url);
      if (version !== null && version !== known)
        throw new HostProblem('changed', 'The post was changed at its host since it was sent last.');
    }
    const gone = ENTRY_PROPERTIES.filter((name) => !Object.hasOwn(properties, name));
    const { uid: _uid, ...replace } = properties;
    const sent = this.sentTo(
      await this.postJson(
        { action: 'update', url, replace, ...(gone.length > 0 ? { delete: gone } : {}) },
        known?.startsWith('"') ? { 'if-match': known } : {},
      ),
      url,
    );
    return { ...sent, version: sent.isLater ? null : await this.versionAt(sent.url) };
  }

  async remove(url: string, leadsTo: string): Promise<void> {
    if (leadsTo)
      try {
        await this.postJson({ action: 'update', url, replace: { 'leads-to': [leadsTo] } });
      } catch (error) {
        // A property of ours: a host that knows nothing of it takes the post away all the same.
        if (!(error instanceof HostProblem) || error.kind !== 'refused') throw error;
      }
    await this.postJson({ action: 'delete', url });
  }

  async restore(url: string): Promise<void> {
    await this.postJson({ action: 'undelete', url });
  }

  async list(): Promise<HostedPost[]> {
    const answer = jsonOf(await this.ask(this.withQuery({ q: 'source' }), 'GET'));
    const items = isRecord(answer) && Array.isArray(answer['items']) ? answer['items'] : [];
    return items.flatMap((item) => {
      if (!isRecord(item)) return [];
      const properties = propertiesOf(item['properties']);
      const url = typeof item['url'] === 'string' ? item['url'] : textOfProperty(properties, 'url');
      return url ? [{ url: new URL(url, this.endpoint).href, properties, version: null }] : [];
    });
  }

  async read(url: string): Promise<HostedPost> {
    const answer = await this.ask(this.withQuery({ q: 'source', url }), 'GET');
    const json = jsonOf(answer);
    if (!isRecord(json) || !isRecord(json['properties']))
      throw new HostProblem('refused', 'The host does not tell what stands at an address.');
    const properties = propertiesOf(json['properties']);
    const { etag } = answer.headers;
    return { url, properties, version: etag ?? digestOf(properties) };
  }

  private async versionAt(url: string): Promise<string | null> {
    try {
      return (await this.read(url)).version;
    } catch (error) {
      // The post is up: that it cannot be read back is no failure of sending it.
      if (error instanceof HostProblem) return null;
      throw error;
    }
  }

  async putMedia(bytes: Buffer, name: string, type: string): Promise<string> {
    const endpoint = (await this.configuration())['media-endpoint'];
    if (typeof endpoint !== 'string')
      throw new HostProblem(
        'refused',
        'This host names no place for pictures (no media endpoint). Take the pictures out, or publish elsewhere.',
      );
    const form = new FormData();
    form.append('file', new Blob([new Uint8Array(bytes)], { type }), name);
    const packed = new Response(form);
    const answer = await this.ask(new URL(endpoint, this.endpoint).href, 'POST', {
      headers: { 'content-type': packed.headers.get('content-type') ?? 'multipart/form-data' },
      body: Buffer.from(await packed.arrayBuffer()),
    });
    const { location } = answer.headers;
    if (!location) throw new HostProblem('refused', `The host took ${name} and did not say where it lies.`);
    return new URL(location, this.endpoint).href;
  }
}

/** A version for hosts that name none: the same properties, the same version. */
const digestOf = (properties: EntryProperties): string =>
  createHash('sha256')
    .update(JSON.stringify(Object.entries(properties).sort(([a], [b]) => (a < b ? -1 : 1))))
    .digest('hex')
    .slice(0, 24);
