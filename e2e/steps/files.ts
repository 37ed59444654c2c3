import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { strToU8, zipSync } from 'fflate';

/** A file as handed to a file field. */
export interface GivenFile {
  name: string;
  mimeType: string;
  buffer: Buffer;
}

/** A file with text or bytes in it. */
export const file = (name: string, content: string | Uint8Array): GivenFile => ({
  name,
  mimeType: 'application/octet-stream',
  buffer: Buffer.from(content),
});

/** A zip of texts and bytes by their path. */
export const zip = (name: string, entries: Record<string, string | Uint8Array>): GivenFile =>
  file(
    name,
    zipSync(
      Object.fromEntries(
        Object.entries(entries).map(([path, content]) => [
          path,
          typeof content === 'string' ? strToU8(content) : content,
        ]),
      ),
    ),
  );

/** One of the demo's drawn pictures. */
export const demoPicture = (name: string): Uint8Array =>
  new Uint8Array(readFileSync(new URL(`../../src/demo/media/${name}`, import.meta.url)));

/** Brings files in and waits for the end of it. */
export async function importFiles(page: Page, ...files: GivenFile[]): Promise<void> {
  await page.goto('/import');
  await page.getByLabel('Files to import').setInputFiles(files);
  await page.getByRole('button', { name: 'Import more' }).waitFor();
}

/** The line of an import's account that speaks of a file. */
export const accountOf = (page: Page, name: string) =>
  page.getByRole('region', { name: 'Account of the import' }).getByRole('listitem').filter({ hasText: name });
