import { type Profile, wholeProfile } from '../criteria/index.ts';

/** A key of the weights and limits by which posts are judged (FNV-1a over them): another one where any of them is another. */
export function rulesKey(profile: Profile | null): string {
  const text = JSON.stringify(wholeProfile(profile));
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  return (hash >>> 0).toString(36);
}
