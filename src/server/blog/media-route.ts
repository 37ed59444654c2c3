import busboy from 'busboy';
import type { RequestHandler } from 'express';
import { wholeAddress } from '../../core/blog/index.ts';
import type { BlogStore } from './blog-store.ts';
import { mayDo } from './may-do.ts';
import { MicropubError } from './micropub-request.ts';

/** As large as a picture may be. */
const MOST_BYTES = 20_000_000;

/** Reads a form; one without a boundary is no form. */
function parserOf(config: busboy.BusboyConfig): busboy.Busboy {
  try {
    return busboy(config);
  } catch {
    throw new MicropubError(400, 'invalid_request', 'The form cannot be read: its boundary is missing.');
  }
}

/** The media endpoint: one picture in the multipart field `file`; answers 201 with its address. */
export const mediaRoute =
  (store: BlogStore): RequestHandler =>
  async (request, response) => {
    mayDo(store, request, 'media');
    if (!request.is('multipart/form-data'))
      throw new MicropubError(
        415,
        'invalid_request',
        'Send the picture as multipart/form-data, in the field "file".',
      );
    const { bytes, name } = await new Promise<{ bytes: Buffer; name: string }>((resolve, reject) => {
      const parts: Buffer[] = [];
      let found: string | null = null;
      const form = parserOf({
        headers: request.headers,
        limits: { files: 1, fileSize: MOST_BYTES, fields: 10 },
      });
      form.on('file', (field, stream, { filename }) => {
        if (field !== 'file') {
          stream.resume();
          return;
        }
        found = filename ?? '';
        stream.on('data', (part: Buffer) => parts.push(part));
        stream.on('limit', () =>
          reject(
            new MicropubError(
              413,
              'invalid_request',
              `A picture may have ${MOST_BYTES / 1_000_000} MB at most.`,
            ),
          ),
        );
      });
      form.on('close', () =>
        found === null
          ? reject(new MicropubError(400, 'invalid_request', 'There is no file in the field "file".'))
          : resolve({ bytes: Buffer.concat(parts), name: found }),
      );
      form.on('error', () => reject(new MicropubError(400, 'invalid_request', 'The form cannot be read.')));
      request.on('aborted', () =>
        reject(new MicropubError(400, 'invalid_request', 'The form did not come whole.')),
      );
      request.pipe(form);
    });
    const path = store.putPicture(bytes, name);
    if (path === null)
      throw new MicropubError(
        415,
        'invalid_request',
        'This is no picture that a blog shows: PNG, JPEG, WebP, AVIF or GIF.',
      );
    response.status(201).location(wholeAddress(store.site, path)).end();
  };
