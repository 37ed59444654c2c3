import { readdirSync } from 'node:fs';
import { join } from 'node:path';

/**
 * What is written for posts, texts that are asked for, and files of other programs: no words of the interface. A post stays in its own
 * language whatever the interface speaks.
 */
const OTHER = [
  /^src\/core\/(?:language|meaning|talk|outline)\//,
  /^src\/core\/criteria\/(?:fixing|wordings|generated)\//,
  /^src\/core\/writing\/(?:stand-in|titles|voice|patterns\/(?:shipped-patterns|request)|brief-instructions)/,
  /^src\/core\/draft\/(?:docx-styles|write-docx)/,
  /^src\/core\/formats\/(?:calendar-file|generated)/,
  /^src\/core\/proofreading\/trade-words/,
  /^src\/core\/(?:blog|reuse)\//,
  /^src\/core\/research\/working-title/,
  /^src\/web\/data\/(?:database|migrations)\./,
  /\.test\.|\.test-data\.|\.d\.ts$/,
];

/** Whether the words of a source file (its path from the root, with `/`) are those of the interface. */
export const isInterface = (path) =>
  /^src\/(?:web|core)\/.*\.tsx?$/.test(path) && !OTHER.some((pattern) => pattern.test(path));

/** The source files whose words are those of the interface, in order. */
export function interfaceFiles(root) {
  const found = [];
  const visit = (folder) => {
    for (const entry of readdirSync(join(root, folder), { withFileTypes: true })) {
      const path = `${folder}/${entry.name}`;
      if (entry.isDirectory()) visit(path);
      else if (isInterface(path)) found.push(path);
    }
  };
  visit('src/core');
  visit('src/web');
  return found.sort();
}
