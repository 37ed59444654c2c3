/** Names and values that a link carries so that visits by it can be told apart. */
export type CampaignTags = readonly (readonly [name: string, value: string])[];

/**
 * An address with campaign tags: those it has already by the same name give way, a part behind `#` stays at its end. An address that
 * is none comes back as it is.
 *
 * @example withCampaign('https://a.example/x#y', [['utm_source', 'letter']]) is 'https://a.example/x?utm_source=letter#y'
 */
export function withCampaign(address: string, tags: CampaignTags): string {
  let url: URL;
  try {
    url = new URL(address);
  } catch {
    return address;
  }
  const used = tags.filter(([name, value]) => name.trim() !== '' && value.trim() !== '');
  if (used.length === 0) return address;
  for (const [name, value] of used) url.searchParams.set(name.trim(), value.trim());
  return url.href;
}
