/** A file with its path below what was dropped or chosen. */
export interface PathFile {
  path: string;
  file: File;
}

const fileOf = (entry: FileSystemFileEntry) => new Promise<File>((done, fail) => entry.file(done, fail));

/** All entries of a folder: the browser hands them out in portions. */
async function entriesOf(folder: FileSystemDirectoryEntry): Promise<FileSystemEntry[]> {
  const reader = folder.createReader();
  const all: FileSystemEntry[] = [];
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((done, fail) => reader.readEntries(done, fail));
    if (some.length === 0) return all;
    all.push(...some);
  }
}

async function below(entry: FileSystemEntry): Promise<PathFile[]> {
  if (entry.name.startsWith('.')) return [];
  if (entry.isFile)
    return [{ path: entry.fullPath.replace(/^\//, ''), file: await fileOf(entry as FileSystemFileEntry) }];
  const entries = await entriesOf(entry as FileSystemDirectoryEntry);
  return (await Promise.all(entries.map(below))).flat();
}

/** Files and whole folders that were dropped. To be called while the drop is handled. */
export async function droppedFiles(data: DataTransfer): Promise<PathFile[]> {
  const entries = [...data.items].flatMap((item) => item.webkitGetAsEntry?.() ?? []);
  if (entries.length === 0) return chosenFiles([...data.files]);
  return (await Promise.all(entries.map(below))).flat();
}

/** Files of a file field; of a chosen folder with their paths. */
export const chosenFiles = (files: readonly File[]): PathFile[] =>
  files.map((file) => ({ path: file.webkitRelativePath || file.name, file }));
