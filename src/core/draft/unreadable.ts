/** A file that cannot be used, with a sentence that says why and what to do; the file's name stands before it. */
export class UnreadableFile extends Error {}

/** A number of bytes as people read it, e.g. `3.4 MB`. */
export const bytesInWords = (bytes: number): string =>
  bytes < 1000
    ? `${bytes} bytes`
    : bytes < 1_000_000
      ? `${Math.round(bytes / 1000)} kB`
      : `${(bytes / 1_000_000).toFixed(1)} MB`;
