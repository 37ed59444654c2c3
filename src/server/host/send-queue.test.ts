import { readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { textOfProperty } from '../../core/blog/index.ts';
import { listening, order, PICTURE, PICTURE_SHA, standing } from './host.test-data.ts';
import { plainEndpoint } from './plain-endpoint.test-data.ts';
import { openPublishing } from './publishing.ts';
import type { JobState } from './send-job.ts';

const closing: (() => void)[] = [];
afterEach(() => {
  for (const close of closing.splice(0)) close();
});

async function stand(pauses?: readonly number[]) {
  const made = await standing(pauses);
  closing.push(made.close, () => made.queue.stop());
  made.queue.pictures.put(PICTURE_SHA, PICTURE);
  return made;
}

type Queue = Awaited<ReturnType<typeof stand>>['queue'];

/** The job of a post once it has come to a state. */
async function comes(queue: Queue, state: JobState, postId = 'post-1') {
  await expect
    .poll(() => queue.all().find((job) => job.postId === postId)?.state, { timeout: 5000, interval: 5 })
    .toBe(state);
  return queue.all().find((job) => job.postId === postId)!;
}

const namesAt = (blog: Awaited<ReturnType<typeof stand>>['blog']) =>
  blog.store.allPosts().map(({ properties }) => textOfProperty(properties, 'name'));

describe('a post is sent to the blog beside the application', () => {
  it('with its pictures first, each once, and is told where it stands', async () => {
    const { queue, blog, address } = await stand();
    queue.order(order());
    const job = await comes(queue, 'done');
    expect(job.url).toBe(`${address}/journal/rye-loaf`);
    const [post] = blog.store.allPosts();
    const content = JSON.stringify(post.properties['content']);
    const placed = new URL(job.placed[PICTURE_SHA]).pathname;
    expect(content).toContain(`src=\\"${placed}\\"`);
    expect(post.properties['featured']).toEqual([{ value: placed, alt: 'A loaf' }]);
    const page = await (await fetch(job.url)).text();
    expect(page).toMatch(/<img [^>]*width="\d+" height="\d+"/);
    expect((await fetch(job.placed[PICTURE_SHA])).status).toBe(200);
    // Nothing waits for the file any more.
    expect(queue.pictures.has(PICTURE_SHA)).toBe(false);
  });
  it('and changed, withdrawn and put back in turn', async () => {
    const { queue, blog } = await stand();
    queue.order(order());
    const first = await comes(queue, 'done');
    const there = { url: first.url, known: first.version };
    queue.order(order({ title: 'A darker rye loaf' }, there));
    const second = await comes(queue, 'done');
    expect(namesAt(blog)).toEqual(['A darker rye loaf']);
    queue.order(order({}, { ...there, action: 'withdraw', properties: {}, pictures: [] }));
    await comes(queue, 'done');
    expect((await fetch(first.url)).status).toBe(410);
    queue.order(
      order({}, { ...there, known: second.version, action: 'restore', properties: {}, pictures: [] }),
    );
    await comes(queue, 'done');
    expect((await fetch(first.url)).status).toBe(200);
  });
  it('and withdrawn for another page, to which it leads until it is put back', async () => {
    const { queue } = await stand();
    queue.order(order());
    const first = await comes(queue, 'done');
    const there = { url: first.url, known: first.version, properties: {}, pictures: [] };
    const at = async () => {
      const { status, headers } = await fetch(first.url, { redirect: 'manual' });
      return [status, headers.get('location')];
    };
    queue.order(order({}, { ...there, action: 'withdraw', leadsTo: '/another' }));
    await comes(queue, 'done');
    expect(await at()).toEqual([301, '/another']);
    queue.order(order({}, { ...there, action: 'restore' }));
    await comes(queue, 'done');
    expect(await at()).toEqual([200, null]);
    // What was said the last time says nothing now.
    queue.order(order({}, { ...there, action: 'withdraw' }));
    await comes(queue, 'done');
    expect(await at()).toEqual([410, null]);
  });
  it('and is there again when it is published anew after it was withdrawn', async () => {
    const { queue } = await stand();
    queue.order(order());
    const first = await comes(queue, 'done');
    const there = { url: first.url, known: first.version };
    queue.order(order({}, { ...there, action: 'withdraw', properties: {}, pictures: [] }));
    await comes(queue, 'done');
    queue.order(order({ title: 'Baked again' }, { ...there, withdrawn: true }));
    await comes(queue, 'done');
    const page = await fetch(first.url);
    expect([page.status, await page.text()]).toEqual([200, expect.stringContaining('Baked again')]);
  });
  it('and what was emptied in it is empty there; what others put there stays', async () => {
    const { queue, blog } = await stand();
    queue.order(order({ excerpt: 'Two days of waiting.' }));
    const { url, version } = await comes(queue, 'done');
    const [post] = blog.store.allPosts();
    blog.store.change(post, { ...post.properties, 'x-oven': ['wood'] });
    queue.order(order({ excerpt: '' }, { url, known: null }));
    await comes(queue, 'done');
    expect(version).not.toBeNull();
    const { properties } = blog.store.allPosts()[0];
    expect(properties['summary']).toBeUndefined();
    expect(properties['x-oven']).toEqual(['wood']);
  });
  it('but not over a version that somebody else made there', async () => {
    const { queue, blog } = await stand();
    queue.order(order());
    const { url, version } = await comes(queue, 'done');
    const [post] = blog.store.allPosts();
    blog.store.change(post, { ...post.properties, name: ['Changed on the blog'] });
    queue.order(order({ title: 'Changed at the desk' }, { url, known: version }));
    const job = await comes(queue, 'changed');
    expect(job.problem).toMatch(/was changed .*since it was sent last/);
    expect(namesAt(blog)).toEqual(['Changed on the blog']);
    queue.again(job.id, null);
    await comes(queue, 'done');
    expect(namesAt(blog)).toEqual(['Changed at the desk']);
  });
  it('and not over one that was made between its being put back and its being changed', async () => {
    const { queue, blog } = await stand();
    queue.order(order());
    const { url, version } = await comes(queue, 'done');
    const there = { url, known: version, properties: {}, pictures: [] };
    queue.order(order({}, { ...there, action: 'withdraw' }));
    await comes(queue, 'done');
    queue.order(order({}, { ...there, action: 'restore' }));
    const back = await comes(queue, 'done');
    expect(back.version).not.toBeNull();
    const [post] = blog.store.allPosts();
    blog.store.change(post, { ...post.properties, name: ['Changed on the blog'] });
    queue.order(order({ title: 'Mine' }, { url, known: back.version }));
    await comes(queue, 'changed');
    expect(namesAt(blog)).toEqual(['Changed on the blog']);
  });
  it('with its pictures anew where it goes to another place', async () => {
    const { queue } = await stand();
    queue.order(order());
    await comes(queue, 'done');
    const endpoint = 'https://blog.example/micropub';
    queue.order(order({}, { way: { kind: 'micropub', endpoint } }));
    const job = await comes(queue, 'failed');
    expect([job.url, job.placed]).toEqual(['', {}]);
  });
  it('twice in a row, and the second is no stranger to the first', async () => {
    const { queue, blog } = await stand();
    queue.order(order());
    const { url, version } = await comes(queue, 'done');
    queue.order(order({ title: 'Second' }, { url, known: version }));
    queue.order(order({ title: 'Third' }, { url, known: version }));
    await queue.settled();
    await comes(queue, 'done');
    expect(namesAt(blog)).toEqual(['Third']);
    expect(queue.all().map(({ state }) => state)).not.toContain('changed');
  });
  it('and no order waits for a picture that never came', async () => {
    const { queue } = await standing();
    queue.order(order());
    const job = await comes(queue, 'failed');
    expect(job.problem).toBe('The picture loaf.webp did not reach the server. Publish the post again.');
    queue.giveUp(job.id);
    expect((await comes(queue, 'given-up')).next).toBe('');
  });
});

async function plain(pauses: readonly number[] = [10, 20]) {
  const endpoint = plainEndpoint();
  const server = await listening(endpoint.app);
  const { folder } = await stand();
  const allowed = [{ name: '127.0.0.1', port: Number(new URL(server.address).port) }];
  const publishing = openPublishing(folder, '1', { allowed, within: 400 }, () => null, { pauses });
  closing.push(server.close, () => publishing.queue.stop());
  const way = { kind: 'micropub', endpoint: `${server.address}/pub` } as const;
  publishing.tokens.set(way.endpoint, 'plain-token');
  const send = (more = {}) => publishing.queue.order(order({}, { way, pictures: [], ...more }));
  return { ...endpoint, ...publishing, folder, address: server.address, way, send };
}

describe('a post is sent to an endpoint that takes the recommendation its own way', () => {
  it('as a form, where it takes no JSON; its address may lack the host', async () => {
    const { queue, send, posts, address, requests } = await plain();
    send();
    const job = await comes(queue, 'done');
    expect([job.url, job.isLater]).toEqual([`${address}/notes/1`, true]);
    expect(requests.map(({ type }) => type)).toEqual([
      'application/json',
      'application/x-www-form-urlencoded',
    ]);
    expect(posts.get('/notes/1')).toMatchObject({
      name: ['A rye loaf'],
      'mp-slug': ['rye-loaf'],
      content: ['Begin the day before.\n\nBake it dark.'],
    });
  });
  it('tells what it can: categories, other places, no pictures', async () => {
    const { hostOf, way } = await plain();
    expect(await hostOf(way).capabilities()).toEqual({
      media: false,
      formatted: true,
      schedules: false,
      readable: true,
      categories: ['Bread'],
      syndicateTo: [{ uid: 'board', name: 'The board' }],
    });
  });
  it('again and again while it is away, with pauses', async () => {
    const { queue, send, behaves, posts } = await plain();
    behaves.failsWith.push(503, 503, 429);
    send();
    const job = await comes(queue, 'done');
    expect([job.tries, posts.size]).toEqual([4, 1]);
  });
  it('once, also from a page that has not heard yet where it stands', async () => {
    const { queue, send, posts, address } = await plain();
    send();
    await comes(queue, 'done');
    send();
    // It is sent as a change, which this endpoint cannot take: a double would be worse.
    expect((await comes(queue, 'failed')).url).toBe(`${address}/notes/1`);
    expect(posts.size).toBe(1);
  });
  it('once, where it was taken and the answer was lost', async () => {
    const { queue, send, behaves, posts } = await plain();
    behaves.losesAnswer = 1;
    send();
    const job = await comes(queue, 'done');
    expect(new URL(job.url).pathname).toBe('/notes/1');
    expect(posts.size).toBe(1);
  });
  it('and is not sent twice by itself where nobody can tell whether it arrived', async () => {
    const { queue, send, behaves, posts } = await plain();
    behaves.losesAnswer = 1;
    behaves.takesSource = false;
    send();
    const job = await comes(queue, 'failed');
    expect(job.problem).toMatch(/refused|may have arrived/);
    expect(posts.size).toBe(1);
  });
  it('slow hosts are given their time', async () => {
    const { queue, send, behaves } = await plain();
    behaves.answersAfter = 100;
    send();
    expect((await comes(queue, 'done')).tries).toBe(1);
  });
  it('a token that is accepted no more is said, and the post waits for a new one', async () => {
    const { queue, send, behaves, posts } = await plain();
    behaves.isAccepted = false;
    send();
    const job = await comes(queue, 'failed');
    expect(job.problem).toMatch(/does not accept the token\. Set a new one in House rules\./);
    behaves.isAccepted = true;
    queue.again(job.id);
    await comes(queue, 'done');
    expect(posts.size).toBe(1);
  });
  it('pictures that it has no place for are named, and nothing is sent', async () => {
    const { queue, send, posts } = await plain();
    queue.pictures.put(PICTURE_SHA, PICTURE);
    send({ pictures: order().pictures });
    expect((await comes(queue, 'failed')).problem).toMatch(/names no place for pictures/);
    expect(posts.size).toBe(0);
  });
  it('not before its time', async () => {
    const { queue, send, posts } = await plain();
    send({ due: new Date(Date.now() + 300).toISOString() });
    await queue.settled();
    expect(posts.size).toBe(0);
    await comes(queue, 'done');
    expect(posts.size).toBe(1);
  });
  it('and without a token it says so', async () => {
    const { queue, send, tokens, way } = await plain();
    tokens.set(way.endpoint, '');
    send();
    expect((await comes(queue, 'failed')).problem).toMatch(/There is no token for .*Set one in House rules/);
  });
});

describe('tokens', () => {
  it('lie in a file that only its owner can read, and go to their own endpoint alone', async () => {
    const { tokens, folder, way } = await plain();
    const path = join(folder, 'tokens.json');
    expect(statSync(path).mode & 0o777).toBe(0o600);
    expect(readFileSync(path, 'utf8')).toContain('plain-token');
    expect(tokens.of(`${way.endpoint}/other`)).toBeNull();
  });
});
