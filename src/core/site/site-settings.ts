import type { Profile } from '../criteria/index.ts';
import { type Category, DEFAULT_ADDRESS_PATTERN } from '../listing/index.ts';

/** An address of the site that is no post here, so that links to it count and can be offered. */
export interface SitePage {
  address: string;
  /** As its own page says it. */
  title?: string;
}

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
  /** In the order in which the blog names them; not there: nobody has put them in order yet. */
  categories?: Category[];
  /** Null: the default profile. */
  profile: Profile | null;
  /** Addresses of the site that are no posts here; null: not known yet. */
  pages: SitePage[] | null;
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
  pages: null,
});

/** The region whose searches a site is found by; Great Britain where it names none by two letters. */
export const regionOf = ({ region }: Pick<SiteSettings, 'region'>): string =>
  /^[A-Z]{2}$/.test(region) ? region : 'GB';
