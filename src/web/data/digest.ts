/** SHA-256 of bytes in lower-case hexadecimal; computed by the page itself where the browser gives no digests (plain http). */
export async function sha256(bytes: ArrayBuffer | Uint8Array): Promise<string> {
  const digest = crypto.subtle
    ? new Uint8Array(await crypto.subtle.digest('SHA-256', bytes as BufferSource))
    : (await import('@noble/hashes/sha2.js')).sha256(
        bytes instanceof Uint8Array ? bytes : new Uint8Array(bytes),
      );
  return [...digest].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}
