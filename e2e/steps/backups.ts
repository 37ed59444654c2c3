import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { type Backup, readBackupFile, writeBackupFile } from '../../src/core/formats/index.ts';
import { file } from './files.ts';
import { downloaded } from './writer.ts';

const digest = async (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

/** What the application hands out as a backup. */
export async function savedBackup(page: Page): Promise<Uint8Array> {
  await page.goto('/rules');
  const { file: out } = await downloaded(page, () =>
    page.getByRole('region', { name: 'Backup' }).getByRole('button', { name: 'Save a backup' }).click(),
  );
  return new Uint8Array(readFileSync(await out.path()));
}

/** A backup whose content was changed by somebody who knows how it is sealed. */
export async function alteredBackup(
  bytes: Uint8Array,
  change: (data: Record<string, unknown[]>) => void,
): Promise<Uint8Array> {
  const backup = await readBackupFile<Backup['data']>(bytes, digest);
  change(backup.data as unknown as Record<string, unknown[]>);
  return writeBackupFile(backup, digest);
}

/** Restores a file and waits until the application says how that went. */
export async function restore(page: Page, bytes: Uint8Array, mode: 'merge' | 'replace'): Promise<void> {
  await page.goto('/rules');
  await page.getByLabel('Restore from a backup').selectOption(mode);
  await page.getByLabel('Backup to restore').setInputFiles([file('kept.backup.zip', bytes)]);
  await expect(
    page.getByText(/(?:Replaced by|Merged with) the backup|is no whole backup|cannot be read/),
  ).toBeVisible();
}
