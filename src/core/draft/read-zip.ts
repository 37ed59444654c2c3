import { unzipSync } from 'fflate';
import { bytesInWords, UnreadableFile } from './unreadable.ts';

/** What a zip may hold at most. */
export interface ZipLimits {
  files: number;
  /** Bytes unpacked, over all files. */
  bytes: number;
}

/** What is packed where nobody wrote it. */
const SYSTEM_FILES = /(?:^|\/)(?:__MACOSX\/|\.DS_Store$|Thumbs\.db$|desktop\.ini$)/;

/**
 * The files of a zip by their path. Sizes are checked before anything is unpacked, so that a small file cannot fill
 * the memory; a file that says less than it holds is refused. `wanted` picks among the paths.
 * Throws {@link UnreadableFile}.
 */
export function readZip(
  bytes: Uint8Array,
  limits: ZipLimits,
  wanted: (path: string) => boolean = () => true,
): Map<string, Uint8Array> {
  let [files, total] = [0, 0];
  let unpacked: Record<string, Uint8Array>;
  try {
    unpacked = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (name.endsWith('/') || SYSTEM_FILES.test(name) || !wanted(name)) return false;
        files += 1;
        total += originalSize;
        if (files > limits.files)
          throw new UnreadableFile(`cannot be read: it holds more than ${limits.files} files. Split it.`);
        if (!(total <= limits.bytes))
          throw new UnreadableFile(
            `cannot be read: unpacked it holds more than ${bytesInWords(limits.bytes)}. Split it.`,
          );
        return true;
      },
    });
  } catch (error) {
    if (error instanceof UnreadableFile) throw error;
    throw new UnreadableFile('cannot be read: the file is damaged or cut off. Save or fetch it again.');
  }
  return new Map(Object.entries(unpacked));
}
