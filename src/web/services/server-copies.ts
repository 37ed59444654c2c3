/** A copy of everything that lies with the server, outside of the browser. */
export interface ServerCopy {
  name: string;
  /** Of which database of this browser. */
  database: string;
  /** UTC instant. */
  made: string;
  posts: number;
}

/** Milliseconds that the page waits to hear of copies: it starts with the answer. */
const PATIENCE = 3000;

const isCopy = (value: unknown): value is ServerCopy => {
  const { name, database, made, posts } = (value ?? {}) as Partial<ServerCopy>;
  return [name, database, made].every((one) => typeof one === 'string') && typeof posts === 'number';
};

/** Copies of a database that lie with the server, the newest first; null where it keeps none, or is away. */
export async function serverCopies(database: string): Promise<ServerCopy[] | null> {
  try {
    const response = await fetch('/copies', { signal: AbortSignal.timeout(PATIENCE) });
    if (!response.ok || !response.headers.get('content-type')?.includes('json')) return null;
    const { copies } = (await response.json()) as { copies?: unknown };
    return Array.isArray(copies) ? copies.filter(isCopy).filter((one) => one.database === database) : null;
  } catch {
    return null;
  }
}

/** Hands a backup to the server. Throws what it says. */
export async function keepWithServer(
  { database, made, posts }: Omit<ServerCopy, 'name'>,
  file: Blob,
): Promise<void> {
  const name = `${database}_${made.replaceAll(':', '-')}_${posts}.backup.zip`;
  const response = await fetch(`/copies/${name}`, { method: 'PUT', body: file });
  if (response.ok) return;
  const { problem } = (await response.json().catch(() => ({}))) as { problem?: string };
  throw new Error(problem ?? `The server did not keep the copy (${response.status}).`);
}

/** A copy as a file. Throws where it is not there any more. */
export async function serverCopy(name: string): Promise<Blob> {
  const response = await fetch(`/copies/${name}`);
  if (!response.ok) throw new Error('is not kept by the server any more. Choose another copy.');
  return response.blob();
}
