import { createHash } from 'node:crypto';
import { deflateSync, strToU8, unzipSync, zipSync } from 'fflate';
import { beforeAll, describe, expect, it } from 'vitest';
import { emptyFields, readMarkdown, UnreadableFile } from '../draft/index.ts';
import { unknownSite } from '../site/index.ts';
import { type Backup, type ReadBackup, readBackupFile, setDamagedAside, writeBackupFile } from './index.ts';

const digest = async (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');
const PICTURE = Uint8Array.from({ length: 4000 }, (_v, at) => (at * 7919) % 251);

async function wholeBackup(): Promise<Backup> {
  const { pages: _pages, ...settings } = unknownSite();
  const sha = await digest(PICTURE);
  const post = { siteId: 's', revision: 3, changed: '2026-11-01T09:00:00Z', deleted: '' };
  const fields = (title: string) => ({
    ...emptyFields(),
    title,
    image: 'media/dyke.png',
    unknown: { a: [1] },
  });
  const draft = readMarkdown('## Before\n\nA **table** of [tides](/tides).\n\n![Dyke](media/dyke.png)').draft;
  const version = { id: 'v', postId: 'p1', at: '2026-11-01T10:00:00Z', reason: 'named', name: 'First' };
  return {
    made: '2026-11-02T08:00:00Z',
    data: {
      sites: [
        {
          ...settings,
          id: 's',
          revision: 1,
          name: 'Saltmarsh',
          publishing: { kind: 'folder', endpoint: '' },
        },
      ],
      pages: [{ siteId: 's', path: '/rent', address: '/rent', title: 'Rent' }],
      posts: [
        { ...post, ...SENT, id: 'p1', fields: fields('Tides') },
        { ...post, id: 'p2', fields: fields('Dykes') },
      ],
      bodies: ['p1', 'p2'].map((postId) => ({ postId, siteId: 's', draft, outline: [] })),
      versions: [{ ...version, siteId: 's', fields: fields('Older'), draft, outline: [], score: null }],
      pictures: [{ siteId: 's', name: 'dyke.png', sha, bytes: PICTURE.length, width: 40 }],
    } as unknown as Backup['data'],
    files: new Map([[sha, PICTURE]]),
  };
}

let backup: Backup;
let bytes: Uint8Array;
beforeAll(async () => {
  backup = await wholeBackup();
  bytes = await writeBackupFile(backup, digest);
});

/** A post that was sent out, let pass and reviewed. */
const SENT = {
  release: {
    url: 'http://127.0.0.1:4311/journal/tides',
    endpoint: '',
    version: '"2"',
    sentAt: '2026-11-02T08:00:00Z',
    versionId: 'v',
    out: '2026-11-03T09:00:00Z',
    local: '2026-11-03T09:00',
    zone: 'Europe/London',
    withdrawn: false,
  },
  overruled: [{ item: 'words', why: 'A notice', at: '2026-11-02T08:00:00Z' }],
  review: {
    comments: [
      {
        id: 'c',
        reviewer: 'Tobias Wren',
        at: '2026-11-01T08:00:00Z',
        quote: { exact: 'tides', prefix: 'of ', suffix: '.', start: 4 },
        text: 'Which?',
        proposal: null,
        state: 'open',
        replies: [{ by: 'Ines', at: '2026-11-01T09:00:00Z', text: 'These.' }],
      },
    ],
    verdicts: [{ reviewer: 'Tobias Wren', at: '2026-11-01T08:00:00Z', says: 'changes' }],
  },
};

/** Reads a file and answers `refused` where that is said in words; anything else it throws is a fault. */
async function outcome(file: Uint8Array): Promise<ReadBackup | 'refused'> {
  try {
    return await readBackupFile(file, digest);
  } catch (error) {
    expect(error).toBeInstanceOf(UnreadableFile);
    expect((error as Error).message).toMatch(/^(?:is no whole backup|cannot be read)[^\n]*\.$/);
    return 'refused';
  }
}

/** Packs the parts of the backup anew after a change, sealed as whoever made it would. */
async function resealed(change: (data: Record<string, unknown[]>) => void): Promise<Uint8Array> {
  const copy = structuredClone(backup);
  change(copy.data as unknown as Record<string, unknown[]>);
  return writeBackupFile(copy, digest);
}

describe('a backup', () => {
  it('comes back as it was', async () => expect(await outcome(bytes)).toEqual({ ...backup, damaged: [] }));

  it('is an open file: JSON and pictures in a zip, each named with its digest', () => {
    const parts = unzipSync(bytes);
    expect(Object.keys(parts).sort()).toEqual([
      'data.json',
      'manifest.json',
      'manifest.sha256',
      `pictures/${[...backup.files.keys()][0]}`,
    ]);
    expect(JSON.parse(new TextDecoder().decode(parts['data.json'])).posts).toHaveLength(2);
  });

  it('cut at 200 places is refused each time', async () => {
    for (let cut = 0; cut < 200; cut++) {
      const length = Math.floor((bytes.length * cut) / 200);
      expect([length, await outcome(bytes.subarray(0, length))]).toEqual([length, 'refused']);
    }
  });

  it('altered at 200 places is refused, or comes back whole but for a picture that it names', async () => {
    let [refused, named] = [0, 0];
    for (let place = 0; place < 200; place++) {
      const altered = bytes.slice();
      const at = Math.floor((bytes.length * place) / 200);
      altered[at] ^= 1 + (place % 255);
      const read = await outcome(altered);
      if (read === 'refused') refused += 1;
      else if (read.damaged.length > 0) {
        expect(read.damaged.join()).toContain('the picture dyke.png');
        named += 1;
      } else expect([at, read]).toEqual([at, { ...backup, damaged: [] }]);
    }
    // Times of the files inside may differ and harm nothing; nearly everything else counts.
    expect(refused + named).toBeGreaterThan(150);
  });

  it.each<[string, (data: Record<string, unknown[]>) => void, RegExp]>([
    ['a text of no post', (data) => data['posts'].pop(), /text that belongs to no post is left out/],
    [
      'a row of no site',
      (data) => Object.assign(data['pages'][0] as object, { siteId: 'other' }),
      /row of pages belongs to no site/,
    ],
    [
      'a picture without its file',
      (data) => Object.assign(data['pictures'][0] as object, { sha: 'f'.repeat(64) }),
      /picture dyke.png is missing or was altered/,
    ],
    [
      'a field of another type',
      (data) => Object.assign((data['posts'][1] as { fields: object }).fields, { author: 7 }),
      /a post \(“Dykes”\): what could not be read/,
    ],
    [
      'a post without its fields',
      (data) => Object.assign(data['posts'][1] as object, { fields: null }),
      /a post/,
    ],
    ['a post that is none', (data) => data['posts'].push(null), /a post could not be read/],
    [
      'a list that begins at infinity',
      (data) => {
        const { blocks } = (data['bodies'][0] as { draft: { blocks: object[] } }).draft;
        Object.assign(blocks[1], { path: [{ type: 'list', key: 'x', ordered: true, start: Infinity }] });
      },
      /the text of a post \(“Tides”\): what could not be read/,
    ],
    [
      'a picture block without a picture',
      (data) => {
        const { blocks } = (data['bodies'][0] as { draft: { blocks: { image?: object }[] } }).draft;
        delete blocks.at(-1)?.image;
      },
      /a place of a picture or an embed without it/,
    ],
    [
      'a profile that cannot be',
      (data) => Object.assign(data['sites'][0] as object, { profile: { version: 1, weights: { x: -1 } } }),
      /weights of a site/,
    ],
    [
      'a row that is called like a method of objects',
      (data) => data['pages'].push({ siteId: 's', path: 'constructor', address: 'toString', title: 7 }),
      /a page of a site could not be read/,
    ],
  ])('with %s loses no more than that, and names it', async (_what, change, said) => {
    const read = await readBackupFile(await resealed(change), digest);
    expect(read.damaged.join('\n')).toMatch(said);
    // Everything else is there.
    expect(read.data.posts[0]).toEqual(backup.data.posts[0]);
    expect(read.data.sites[0].id).toBe('s');
    expect(read.damaged.length).toBeLessThanOrEqual(3);
    // What was read can be written, and read whole.
    expect(setDamagedAside(structuredClone(read.data))).toEqual([]);
  });

  it('with one block of a text damaged keeps all the others', async () => {
    const read = await readBackupFile(
      await resealed((data) => {
        const body = data['bodies'][0] as { draft: { blocks: object[] } };
        body.draft = structuredClone(body.draft);
        Object.assign(body.draft.blocks[0], { marks: 'none' });
      }),
      digest,
    );
    expect(read.data.bodies[0].draft.blocks).toEqual(backup.data.bodies[0].draft.blocks.slice(1));
    expect(read.data.bodies[1]).toEqual(backup.data.bodies[1]);
  });

  it('whose tables are of another shape is refused', async () => {
    for (const data of [{}, { ...backup.data, posts: {} }, { ...backup.data, constructor: [] }, []])
      await expect(
        readBackupFile(await writeBackupFile({ ...backup, data: data as never }, digest), digest),
      ).rejects.toThrow(/tables are of another shape/);
  });

  it('of a newer format, or another kind of zip, says so', async () => {
    const parts = unzipSync(bytes);
    const manifest = JSON.parse(new TextDecoder().decode(parts['manifest.json']));
    const seal = async (change: object) => {
      const listed = strToU8(JSON.stringify({ ...manifest, ...change }));
      return zipSync({
        ...parts,
        'manifest.json': listed,
        'manifest.sha256': strToU8(await digest(listed)),
      });
    };
    await expect(readBackupFile(await seal({ version: 9 }), digest)).rejects.toThrow(/newer Dune Sparrow/);
    await expect(readBackupFile(await seal({ format: 'x' }), digest)).rejects.toThrow(/another kind/);
    await expect(readBackupFile(await seal({ made: undefined }), digest)).rejects.toThrow(/when it was made/);
    for (const files of [
      undefined,
      null,
      {},
      [null],
      [{ path: 'data.json' }],
      [{ path: 1, bytes: -1, sha256: 'x' }],
    ])
      await expect(readBackupFile(await seal({ files }), digest)).rejects.toThrow(/does not list/);
    const huge = manifest.files.map((file: object) => ({ ...file, bytes: 900_000_000 }));
    await expect(readBackupFile(await seal({ files: huge }), digest)).rejects.toThrow(/unpacked it would be/);
    for (const text of ['null', '[]', '7', 'x'])
      await expect(
        readBackupFile(
          zipSync({
            ...parts,
            'manifest.json': strToU8(text),
            'manifest.sha256': strToU8(await digest(strToU8(text))),
          }),
          digest,
        ),
      ).rejects.toBeInstanceOf(UnreadableFile);
    await expect(readBackupFile(zipSync({ 'a.txt': strToU8('a') }), digest)).rejects.toThrow(/no manifest/);
  });

  it('that inflates far beyond its size is refused before it is unpacked', async () => {
    const parts = unzipSync(bytes);
    const bomb = new Uint8Array(60_000_000);
    const manifest = JSON.parse(new TextDecoder().decode(parts['manifest.json']));
    // Says that it is small, and is not.
    const listed = strToU8(JSON.stringify(manifest));
    const file = zipSync({ ...parts, 'data.json': bomb, 'manifest.json': listed });
    await expect(readBackupFile(file, digest)).rejects.toBeInstanceOf(UnreadableFile);
  });

  it('with a picture under another name than its content has does not take it for that', async () => {
    const [sha] = backup.files.keys();
    const other = { ...backup, files: new Map([[sha, PICTURE.map((byte) => byte ^ 1)]]) };
    const read = await readBackupFile(await writeBackupFile(other, digest), digest);
    expect([read.files.size, read.data.pictures]).toEqual([0, []]);
    expect(read.damaged).toEqual(['the picture dyke.png is missing or was altered, and is left out']);
  });

  it('whose pictures lie beside it is whole with them', async () => {
    const without = await writeBackupFile({ ...backup, files: new Map() }, digest);
    expect(await readBackupFile(without, digest, backup.files)).toEqual({ ...backup, damaged: [] });
  });

  it('with a studied page that is not what its key says leaves that one out', async () => {
    const text = strToU8('High water at nine.');
    const page = (key: string, packed: Uint8Array) => ({
      siteId: 's',
      key,
      format: 'text',
      packed: btoa(String.fromCharCode(...packed)),
    });
    const key = await digest(text);
    const read = async (one: string, packed: Uint8Array) =>
      readBackupFile(
        await resealed((data) => {
          data['studyPages'] = [page(key, deflateSync(text)), page(one, packed)];
        }),
        digest,
      );
    for (const [one, packed, said] of [
      ['0'.repeat(64), deflateSync(text), /altered/],
      [key, text, /damaged/],
      [key, deflateSync(new Uint8Array(50_000_000), { level: 9 }), /longer than any page/],
    ] as const) {
      const { data, damaged } = await read(one, packed);
      expect(data.studyPages).toHaveLength(1);
      expect(damaged.join()).toMatch(said);
    }
  });

  it('with markup or addresses that could run loses those alone', async () => {
    const read = await readBackupFile(
      await resealed((data) => {
        const [body] = data['bodies'] as { draft: { blocks: object[] } }[];
        body.draft.blocks.push({
          id: 'k',
          kind: 'kept',
          path: [],
          text: '',
          marks: [],
          html: '<script>alert(1)</script><p>Words</p>',
          embeds: [],
        });
        Object.assign((data['posts'][0] as { fields: object }).fields, { canonical: 'javascript:x' });
      }),
      digest,
    );
    expect(read.data.bodies[0].draft.blocks.at(-1)?.html).toBe('<p>Words</p>');
    expect(read.data.posts[0].fields).toMatchObject({ canonical: '', title: 'Tides' });
  });
});
