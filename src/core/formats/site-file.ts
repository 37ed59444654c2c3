import { type Profile, readProfile, wholeProfile } from '../criteria/index.ts';
import { DEFAULT_ADDRESS_PATTERN } from '../listing/index.ts';
import type { SiteSettings } from '../site/index.ts';
import { unknownSite } from '../site/index.ts';
import validate from './generated/site-file-validator.js';

/** Reads `site.json` of an exported folder: the settings, or why they cannot be used. */
export function readSiteFile(
  text: string,
): { site: SiteSettings; problem: null } | { site: null; problem: string } {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { site: null, problem: 'site.json is not valid JSON.' };
  }
  if (!validate(json)) {
    const [error] = validate.errors ?? [];
    return {
      site: null,
      problem: `site.json is not valid${error?.instancePath ? ` at ${error.instancePath.slice(1)}` : ''}: ${error?.message ?? 'unknown shape'}.`,
    };
  }
  const given = json as Partial<Omit<SiteSettings, 'pages' | 'profile'>> & {
    pages?: (string | { address: string; title?: string })[] | null;
    profile?: unknown;
  };
  let profile: Profile | null = null;
  if (given.profile) {
    const reading = readProfile(given.profile);
    if (reading.problem !== null) return { site: null, problem: reading.problem };
    profile = reading.profile;
  }
  const site: SiteSettings = {
    ...unknownSite(),
    name: given.name ?? '',
    baseAddress: given.baseAddress ?? '',
    language: given.language ?? '',
    region: given.region ?? '',
    titlePattern: given.titlePattern ?? null,
    addressPattern: given.addressPattern ?? DEFAULT_ADDRESS_PATTERN,
    ...(given.categories
      ? {
          categories: given.categories.map((one) => ({
            ...one,
            description: one.description ?? '',
            parent: one.parent ?? '',
          })),
        }
      : {}),
    profile,
    // A file that does not speak of pages stands for a folder that is the whole site.
    pages:
      given.pages === null
        ? null
        : (given.pages ?? []).map((page) =>
            typeof page === 'string'
              ? { address: page }
              : { address: page.address, ...(page.title ? { title: page.title } : {}) },
          ),
  };
  return { site, problem: null };
}

/** Writes `site.json`; the profile is written whole, so that the folder scores alike anywhere. */
export const writeSiteFile = (site: SiteSettings): string =>
  `${JSON.stringify({ ...site, profile: wholeProfile(site.profile) }, null, 2)}\n`;
