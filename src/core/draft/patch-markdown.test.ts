import { diffLines } from 'diff';
import { describe, expect, it } from 'vitest';
import { patchMarkdown } from './patch-markdown.ts';
import type { PostDocument } from './post-fields.ts';
import { readMarkdown } from './read-markdown.ts';

const FILE = `---
# kept by the editor of the week
title:   "Low water, and what it is good for"   # the long one
weight: 7
tags: [tides, safety]
date: 2026-05-05T08:00:00Z
layout: post
description: When the causeway is dry.
custom:
    nested: yes   # a word here
supporting:
- tide table
- causeway
---


Low water *is* the hour
of the walker.  See [the table][t].

* Boots
* Bread

| Hour | Depth |
|---|--:|
| 9 | 0 |

Setext heading
--------------

The __last__ word.

[t]: https://tides.example/table "The table"
`;

const changed = (file: string, change: (post: PostDocument) => void): string => {
  const read = readMarkdown(file);
  const post = structuredClone({ fields: read.fields, draft: read.draft });
  change(post);
  return patchMarkdown(file, post);
};

/** Lines that a comparison would show, out and in. */
const lines = (before: string, after: string) =>
  diffLines(before, after).flatMap(({ added, removed, value }) =>
    added || removed
      ? value
          .replace(/\n$/, '')
          .split('\n')
          .map((line) => `${added ? '+' : '-'}${line}`)
      : [],
  );

describe('a file whose post was changed', () => {
  it('is the same byte for byte where nothing was', () => {
    expect(changed(FILE, () => {})).toBe(FILE);
    const windows = FILE.replace(/\n/g, '\r\n');
    expect(changed(windows, () => {})).toBe(windows);
  });
  it('has one other line for another title: quotes and the comment behind it stay', () =>
    expect(
      lines(
        FILE,
        changed(FILE, ({ fields }) => {
          fields.title = 'Low water: when, where';
        }),
      ),
    ).toEqual([
      '-title:   "Low water, and what it is good for"   # the long one',
      '+title: "Low water: when, where"   # the long one',
    ]));
  it('keeps its lists in their style', () => {
    expect(
      lines(
        FILE,
        changed(FILE, ({ fields }) => void fields.tags.push('mud')),
      ),
    ).toEqual(['-tags: [tides, safety]', '+tags: [ tides, safety, mud ]']);
    expect(
      lines(
        FILE,
        changed(FILE, ({ fields }) => void fields.supporting.push('low water')),
      ).filter((line) => line.startsWith('+')),
    ).toContain('+  - low water');
  });
  it('gains a line for a field that was not there, and loses that of one that is empty', () => {
    expect(
      lines(
        FILE,
        changed(FILE, ({ fields }) => {
          fields.author = 'Ines';
        }),
      ),
    ).toEqual(['+author: Ines']);
    expect(
      lines(
        FILE,
        changed(FILE, ({ fields }) => {
          fields.metaDescription = '';
        }),
      ),
    ).toEqual(['-description: When the causeway is dry.']);
  });
  it('has another paragraph and nothing else of its text', () =>
    expect(
      lines(
        FILE,
        changed(FILE, ({ draft }) => {
          draft.blocks.find(({ text }) => text.startsWith('The last'))!.text = 'The first word.';
          draft.blocks.find(({ text }) => text.startsWith('The first'))!.marks = [];
        }),
      ),
    ).toEqual(['-The __last__ word.', '+The first word.']));
  it('gains a paragraph in the middle, and loses one at the end', () => {
    expect(
      lines(
        FILE,
        changed(FILE, ({ draft }) => {
          const at = draft.blocks.findIndex(({ kind }) => kind === 'heading');
          draft.blocks.splice(at, 0, { id: 'n', kind: 'paragraph', path: [], text: 'New.', marks: [] });
        }),
      ).filter((line) => !/^[-+]$/.test(line)),
    ).toEqual(['+New.']);
    expect(
      lines(
        FILE,
        changed(FILE, ({ draft }) => void draft.blocks.pop()),
      ),
    ).toContain('-The __last__ word.');
  });
  it('reads as the post that it was given, whatever was changed', () => {
    const next = changed(FILE, ({ fields, draft }) => {
      fields.title = 'constructor: __proto__';
      fields.keyword = 'low water';
      draft.blocks.reverse();
    });
    const read = readMarkdown(next);
    expect(read.fields).toMatchObject({ title: 'constructor: __proto__', keyword: 'low water' });
    expect(read.fields.unknown).toEqual(readMarkdown(FILE).fields.unknown);
    expect(read.draft.blocks.map(({ text }) => text)[0]).toBe('The last word.');
  });
  it('gets front matter where it had none, and where it had some that cannot be read, that stays', () => {
    expect(
      changed('Low water.\n', ({ fields }) => {
        fields.title = 'Tides';
      }),
    ).toBe('---\ntitle: Tides\n---\n\nLow water.\n');
    expect(
      changed('---\na: [\n---\nText.\n', ({ fields }) => {
        fields.title = 'Tides';
      }),
    ).toContain('a: [');
  });
});
