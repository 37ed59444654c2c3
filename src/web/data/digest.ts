/** SHA-256 of bytes; computed by the page itself where the browser gives no digests (plain http). */
const digestOf = async (bytes: ArrayBuffer | Uint8Array): Promise<Uint8Array> =>
  crypto.subtle
    ? new Uint8Array(await crypto.subtle.digest('SHA-256', bytes as BufferSource))
    : (await import('@noble/hashes/sha2.js')).sha256(
        bytes instanceof Uint8Array ? bytes : new Uint8Array(bytes),
      );

/** SHA-256 of bytes in lower-case hexadecimal. */
export const sha256 = async (bytes: ArrayBuffer | Uint8Array): Promise<string> =>
  [...(await digestOf(bytes))].map((byte) => byte.toString(16).padStart(2, '0')).join('');

/** SHA-256 of a text in Base64, as a content security policy names a script. */
export const sha256Base64 = async (text: string): Promise<string> =>
  btoa(String.fromCharCode(...(await digestOf(new TextEncoder().encode(text)))));
