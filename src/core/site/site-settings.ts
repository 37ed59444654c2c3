import type { Profile } from '../criteria/index.ts';
import { DEFAULT_ADDRESS_PATTERN } from '../listing/index.ts';

/** A site as scoring needs it. */
export interface SiteSettings {
  name: string;
  /** e.g. `https://saltmarsh.example`; empty where not known. */
  baseAddress: string;
  language: string;
  region: string;
  /** Null: meta titles stand as written. */
  titlePattern: string | null;
  addressPattern: string;
  /** Null: the default profile. */
  profile: Profile | null;
  /** Addresses of the site that are no posts here. */
  pages: { address: string; title?: string }[];
}

/** A site of which nothing is known. */
export const unknownSite = (): SiteSettings => ({
  name: '',
  baseAddress: '',
  language: '',
  region: '',
  titlePattern: null,
  addressPattern: DEFAULT_ADDRESS_PATTERN,
  profile: null,
  pages: [],
});
