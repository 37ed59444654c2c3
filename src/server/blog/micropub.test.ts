import { statSync } from 'node:fs';
import { join } from 'node:path';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { ADDRESS, entry, newBlog, picture, running } from './blog.test-data.ts';

const RYE = {
  name: 'A rye loaf in two days',
  content: { html: '<p>Begin the day before.</p>' },
  uid: 'post-1',
  'mp-slug': 'rye-loaf',
  published: '2026-11-01T08:00:00Z',
};

function blog(options: Parameters<typeof newBlog>[0] = {}) {
  const made = newBlog(options);
  const bearer = { authorization: `Bearer ${made.token}` };
  return {
    ...made,
    get: (path: string) => request(made.app).get(path).set('host', '127.0.0.1'),
    ask: (query: Record<string, string>) =>
      request(made.app).get('/micropub').set('host', '127.0.0.1').set(bearer).query(query),
    send: (body: object) =>
      request(made.app)
        .post('/micropub')
        .set('host', '127.0.0.1')
        .set(bearer)
        .type('json')
        .send(JSON.stringify(body)),
    form: (body: string) =>
      request(made.app)
        .post('/micropub')
        .set('host', '127.0.0.1')
        .set(bearer)
        .type('application/x-www-form-urlencoded')
        .send(body),
    bearer,
  };
}

describe('a post is created', () => {
  it('from JSON, at the address that it wishes for', async () => {
    const { send, get } = blog();
    const made = await send(entry(RYE));
    expect([made.status, made.headers['location']]).toEqual([201, `${ADDRESS}/journal/rye-loaf`]);
    const page = await get('/journal/rye-loaf');
    expect(page.status).toBe(200);
    expect(page.text).toContain('<h1 class="p-name">A rye loaf in two days</h1>');
    expect(page.text).toContain('<p>Begin the day before.</p>');
  });
  it('from a form, with several categories', async () => {
    const { form, ask } = blog();
    const made = await form('h=entry&name=Crumb&content=Open+crumb.&category[]=Loaves&category[]=rye');
    expect(made.headers['location']).toBe(`${ADDRESS}/journal/crumb`);
    const { body } = await ask({ q: 'source', url: `${ADDRESS}/journal/crumb`, 'properties[]': 'category' });
    expect(body).toEqual({ properties: { category: ['Loaves', 'rye'] } });
  });
  it('once, however often it is sent', async () => {
    const { send, ask } = blog();
    await send(entry(RYE));
    const again = await send(entry({ ...RYE, name: 'A rye loaf in three days' }));
    expect([again.status, again.headers['location']]).toEqual([201, `${ADDRESS}/journal/rye-loaf`]);
    const { items } = (await ask({ q: 'source' })).body as { items: { properties: { name: string[] } }[] };
    expect(items.map(({ properties }) => properties.name[0])).toEqual(['A rye loaf in three days']);
  });
  it('at a free address where its own is taken', async () => {
    const { send } = blog();
    await send(entry(RYE));
    const other = await send(entry({ ...RYE, uid: 'post-2' }));
    expect(other.headers['location']).toBe(`${ADDRESS}/journal/rye-loaf-2`);
  });
  it('with nothing in it that could run, and keeping properties that nobody knows', async () => {
    const { send, get, ask } = blog();
    await send(
      entry({
        ...RYE,
        name: '<img src=x onerror=alert(1)>',
        content: {
          html: '<p onclick="x()">a</p><script>x()</script><a href="javascript:x()">b</a><iframe src="javascript:x()"></iframe>',
        },
        'oven-heat': '240',
      }),
    );
    const { text } = await get('/journal/rye-loaf');
    expect(running(text)).toEqual([]);
    expect(text).toContain('<title>&#x3C;img');
    expect(text).toContain('&#x3C;img src=x');
    const { body } = await ask({ q: 'source', url: `${ADDRESS}/journal/rye-loaf` });
    expect(body.properties['oven-heat']).toEqual(['240']);
  });
});

describe('a post that cannot be read', () => {
  it('is refused in a sentence, and the lists stand as they did', async () => {
    const { send, get } = blog();
    await send(entry(RYE));
    const deep = await send(entry({ ...RYE, uid: 'deep', content: { html: '<div>'.repeat(5000) } }));
    expect([deep.status, deep.body.error]).toEqual([400, 'invalid_request']);
    expect(deep.body.error_description).toMatch(/^The content .+\./);
    const home = await get('/');
    expect([home.status, home.text.match(/class="h-entry teaser"/g)]).toEqual([
      200,
      ['class="h-entry teaser"'],
    ]);
  });
  it.each(['constructor', '__proto__', 'hasOwnProperty', 'toString'])(
    'has a property called %s',
    async (name) => {
      const { send, get, form, ask } = blog();
      expect((await form(`h=entry&name=Form&${name}=y&${name}[]=z`)).status).toBe(201);
      const url = `${ADDRESS}/journal/form`;
      const add = JSON.parse(`{"action":"update","url":"${url}","add":{"${name}":["y"]}}`);
      expect((await send(add)).status).toBe(204);
      const remove = JSON.parse(`{"action":"update","url":"${url}","delete":{"${name}":["z"]}}`);
      expect((await send(remove)).status).toBe(204);
      const { body } = await ask({ q: 'source', url, 'properties[]': name });
      for (const values of Object.values(body.properties)) expect(Array.isArray(values)).toBe(true);
      expect(
        (await send(JSON.parse(`{"type":["h-entry"],"properties":{"name":["x"],"${name}":["y"]}}`))).status,
      ).toBe(201);
      expect((await get('/')).status).toBe(200);
    },
  );
});

describe('a post is changed', () => {
  const made = async () => {
    const it = blog();
    await it.send(entry({ ...RYE, category: ['rye', 'slow'] }));
    const url = `${ADDRESS}/journal/rye-loaf`;
    const source = async () => (await it.ask({ q: 'source', url })).body.properties;
    return { ...it, url, source };
  };
  it('by what is replaced, added and taken away', async () => {
    const { send, url, source } = await made();
    const answer = await send({
      action: 'update',
      url,
      replace: { name: ['Rye'] },
      add: { category: ['rye', 'winter'] },
      delete: { category: ['slow'] },
    });
    expect(answer.status).toBe(204);
    expect(await source()).toMatchObject({ name: ['Rye'], category: ['rye', 'winter'] });
    await send({ action: 'update', url, delete: ['category'] });
    expect(await source()).not.toHaveProperty('category');
  });
  it('to another address, to which the old one leads', async () => {
    const { send, get, url } = await made();
    const answer = await send({ action: 'update', url, replace: { 'mp-slug': ['slow-rye'] } });
    expect([answer.status, answer.headers['location']]).toEqual([201, `${ADDRESS}/journal/slow-rye`]);
    const old = await get('/journal/rye-loaf');
    expect([old.status, old.headers['location']]).toEqual([301, '/journal/slow-rye']);
  });
  it('not where it was changed since it was last seen', async () => {
    const { app, bearer, ask, url, source } = await made();
    const { etag } = (await ask({ q: 'source', url })).headers;
    const update = (name: string) =>
      request(app)
        .post('/micropub')
        .set({ ...bearer, host: '127.0.0.1', 'if-match': etag })
        .type('json')
        .send(JSON.stringify({ action: 'update', url, replace: { name: [name] } }));
    expect((await update('First')).status).toBe(204);
    expect((await update('Second')).status).toBe(412);
    expect((await source()).name).toEqual(['First']);
  });
  it('away for good (410), and back', async () => {
    const { send, get, url } = await made();
    await send({ action: 'delete', url });
    expect((await get('/journal/rye-loaf')).status).toBe(410);
    await send({ action: 'undelete', url });
    expect((await get('/journal/rye-loaf')).status).toBe(200);
  });
});

describe('what is asked wrongly', () => {
  it.each([
    ['without a token', {}, 401, 'unauthorized'],
    ['with a token that nobody gave out', { authorization: 'Bearer constructor' }, 403, 'forbidden'],
  ])('%s', async (_name, headers, status, error) => {
    const { app } = newBlog();
    const answer = await request(app)
      .post('/micropub')
      .set({ host: '127.0.0.1', ...headers })
      .type('json')
      .send(JSON.stringify(entry(RYE)));
    expect([answer.status, answer.body.error]).toEqual([status, error]);
  });
  it('with a token that allows something else', async () => {
    const { app, store } = newBlog();
    store.grant('only-media', ['media']);
    const answer = await request(app)
      .post('/micropub')
      .set({ host: '127.0.0.1', authorization: 'Bearer only-media' })
      .type('json')
      .send(JSON.stringify(entry(RYE)));
    expect([answer.status, answer.body.error]).toEqual([401, 'insufficient_scope']);
  });
  it.each([
    ['no JSON', '{'],
    ['no object', '[]'],
    ['another kind of thing', '{"type":["h-event"],"properties":{"name":["x"]}}'],
    ['nothing', '{"type":["h-entry"],"properties":{}}'],
    ['a property that is no list', '{"type":["h-entry"],"properties":{"name":"x"}}'],
    ['an unknown action', '{"action":"burn","url":"http://127.0.0.1:4311/journal/x"}'],
    ['an update of nothing', '{"action":"update","url":"http://127.0.0.1:4311/journal/x"}'],
    ['an entry elsewhere', '{"action":"delete","url":"https://elsewhere.example/x"}'],
  ])('%s', async (_name, text) => {
    const { app, bearer } = blog();
    const answer = await request(app)
      .post('/micropub')
      .set({ ...bearer, host: '127.0.0.1' })
      .type('json')
      .send(text);
    expect([answer.status, answer.body.error]).toEqual([400, 'invalid_request']);
    expect(answer.body.error_description).toMatch(/[.:]/);
  });
  it('the token in header and form at once', async () => {
    const { form, token } = blog();
    expect((await form(`h=entry&content=x&access_token=${token}`)).status).toBe(400);
  });
});

describe('the rest of the endpoint', () => {
  it('says what it can', async () => {
    const { ask } = blog();
    expect((await ask({ q: 'config' })).body).toMatchObject({
      'media-endpoint': `${ADDRESS}/media`,
      'syndicate-to': [],
    });
    expect((await ask({ q: 'category' })).body).toEqual({ categories: ['Loaves', 'Rye', 'Tools'] });
    expect((await ask({ q: 'syndicate-to' })).body).toEqual({ 'syndicate-to': [] });
    expect((await ask({ q: 'weather' })).status).toBe(400);
  });
  it('is found from the home page', async () => {
    const { get } = blog();
    const home = await get('/');
    expect(home.headers['link']).toBe(`<${ADDRESS}/micropub>; rel="micropub"`);
    expect(home.text).toContain('<link rel="micropub" href="/micropub">');
  });
  it('keeps pictures, each once, and nothing else', async () => {
    const { app, bearer, get } = blog();
    const put = (bytes: Buffer, name: string) =>
      request(app)
        .post('/media')
        .set({ ...bearer, host: '127.0.0.1' })
        .attach('file', bytes, name);
    const made = await put(picture('dyke-lane-reeds.webp'), '../../Reeds at dawn.webp');
    expect(made.status).toBe(201);
    const path = made.headers['location'].slice(ADDRESS.length);
    expect(path).toMatch(/^\/media\/reeds-at-dawn-[\da-f]{12}\.webp$/);
    const shown = await get(path);
    expect([shown.status, shown.headers['content-type']]).toEqual([200, 'image/webp']);
    expect((await put(picture('dyke-lane-reeds.webp'), '../../Reeds at dawn.webp')).headers['location']).toBe(
      made.headers['location'],
    );
    expect((await put(Buffer.from('<svg onload="x()"></svg>'), 'a.png')).status).toBe(415);
    expect((await put(Buffer.from('no picture'), 'a.png')).status).toBe(415);
  });
  it('answers what is not well formed in a sentence, and tells nothing of the machine', async () => {
    const { app, bearer, get } = blog();
    const form = await request(app)
      .post('/media')
      .set({ ...bearer, host: '127.0.0.1', 'content-type': 'multipart/form-data' })
      .send('x');
    expect([form.status, form.body.error]).toEqual([400, 'invalid_request']);
    const path = await get('/journal/%E0%A4%A');
    expect(path.status).toBe(400);
    expect(path.text).not.toMatch(/node_modules|Error:|at /);
  });
  it('keeps tokens where only their owner can read them, and as digests', () => {
    const { folder, token, store } = newBlog();
    expect(statSync(join(folder, 'token')).mode & 0o777).toBe(0o600);
    expect(statSync(join(folder, 'tokens.json')).mode & 0o777).toBe(0o600);
    expect(JSON.stringify(store.allPosts())).not.toContain(token);
  });
});

describe('a post of tomorrow', () => {
  it('goes out when its time has come, whoever looks, and though the server was stopped', async () => {
    let now = Date.parse('2026-11-29T12:00:00Z');
    const { send, get, folder } = blog({ clock: () => now });
    await send(entry({ ...RYE, published: '2026-11-30T07:00:00Z' }));
    expect((await get('/journal/rye-loaf')).status).toBe(404);
    expect((await get('/')).text).not.toContain('A rye loaf');
    now = Date.parse('2026-11-30T07:00:00Z');
    expect((await get('/journal/rye-loaf')).status).toBe(200);
    expect((await get('/rss.xml')).text).toContain('A rye loaf');
    // Opened anew by a server that was not there at that time.
    const later = blog({ folder, clock: () => now + 3_600_000 });
    expect((await later.get('/')).text).toContain('A rye loaf');
  });
  it('that is a draft, or private, is shown to nobody', async () => {
    const { send, get } = blog();
    await send(entry({ ...RYE, 'post-status': 'draft' }));
    await send(entry({ ...RYE, uid: 'b', 'mp-slug': 'b', visibility: 'private' }));
    expect((await get('/journal/rye-loaf')).status).toBe(404);
    expect((await get('/journal/b')).status).toBe(404);
  });
});
