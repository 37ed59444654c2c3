import { createHash } from 'node:crypto';
import { deflateSync, strToU8, unzipSync, zipSync } from 'fflate';
import { beforeAll, describe, expect, it } from 'vitest';
import { emptyFields, readMarkdown, UnreadableFile } from '../draft/index.ts';
import { unknownSite } from '../site/index.ts';
import { type Backup, readBackupFile, writeBackupFile } from './index.ts';

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
      sites: [{ ...settings, id: 's', revision: 1, name: 'Saltmarsh' }],
      pages: [{ siteId: 's', path: '/rent', address: '/rent', title: 'Rent' }],
      posts: [
        { ...post, id: 'p1', fields: fields('Tides') },
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

/** Reads a file and answers `refused` where that is said in words; anything else it throws is a fault. */
async function outcome(file: Uint8Array): Promise<Backup | 'refused'> {
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
  it('comes back as it was', async () => expect(await outcome(bytes)).toEqual(backup));

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

  it('altered at 200 places is refused or comes back whole', async () => {
    let refused = 0;
    for (let place = 0; place < 200; place++) {
      const altered = bytes.slice();
      const at = Math.floor((bytes.length * place) / 200);
      altered[at] ^= 1 + (place % 255);
      const read = await outcome(altered);
      if (read === 'refused') refused += 1;
      else expect([at, read]).toEqual([at, backup]);
    }
    // Times of the files inside may differ and harm nothing; nearly everything else counts.
    expect(refused).toBeGreaterThan(150);
  });

  it.each<[string, (data: Record<string, unknown[]>) => void, RegExp]>([
    ['a text of no post', (data) => data['posts'].pop(), /a text in it belongs to no post/],
    [
      'a row of no site',
      (data) => Object.assign(data['pages'][0] as object, { siteId: 'other' }),
      /a row of pages belongs to no site/,
    ],
    [
      'a picture without its file',
      (data) => Object.assign(data['pictures'][0] as object, { sha: 'f'.repeat(64) }),
      /the picture dyke.png is missing/,
    ],
    [
      'a field of another type',
      (data) => Object.assign(data['posts'][1] as object, { fields: { title: 7 } }),
      /not valid at \/posts\/1\/fields/,
    ],
    [
      'a profile that cannot be',
      (data) => Object.assign(data['sites'][0] as object, { profile: { version: 1, weights: { x: -1 } } }),
      /profile/i,
    ],
  ])('with %s is refused by name', async (_what, change, said) => {
    await expect(readBackupFile(await resealed(change), digest)).rejects.toThrow(said);
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

  it('with a picture under another name than its content has is refused', async () => {
    const other = { ...backup, files: new Map([...backup.files, ['f'.repeat(64), PICTURE]]) };
    const file = await writeBackupFile(other, digest);
    await expect(readBackupFile(file, digest)).rejects.toThrow(/not what its name says/);
  });

  it('with a studied page that is not what its key says is refused', async () => {
    const text = strToU8('High water at nine.');
    const page = (key: string, packed: Uint8Array) => ({
      siteId: 's',
      key,
      format: 'text',
      packed: btoa(String.fromCharCode(...packed)),
    });
    const withPage = (key: string, packed: Uint8Array) =>
      resealed((data) => {
        data['studyPages'] = [page(key, packed)];
      });
    const key = await digest(text);
    const whole = await readBackupFile(await withPage(key, deflateSync(text)), digest);
    expect(whole.data.studyPages).toHaveLength(1);
    await expect(readBackupFile(await withPage('0'.repeat(64), deflateSync(text)), digest)).rejects.toThrow(
      /studied page in it was altered/,
    );
    await expect(readBackupFile(await withPage(key, text), digest)).rejects.toThrow(
      /studied page in it is damaged/,
    );
    const bomb = deflateSync(new Uint8Array(50_000_000), { level: 9 });
    await expect(readBackupFile(await withPage(key, bomb), digest)).rejects.toThrow(/longer than any page/);
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
