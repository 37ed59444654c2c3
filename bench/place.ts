import { join } from 'node:path';

/** A place of the project. The bench runs as it was built, from its root: where its own file lies says nothing. */
export const place = (path: string): string => join(process.cwd(), path);
