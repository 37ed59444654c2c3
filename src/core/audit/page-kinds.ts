/** What a page of a site is for, where it is no post. */
export const PAGE_KINDS = ['home', 'shop', 'booking', 'category', 'other'] as const;
export type PageKind = (typeof PAGE_KINDS)[number];

/** Parts of an address that say what a page is, wherever they stand in it; the first kind that has one. */
const ADDRESS_PARTS: [PageKind, RegExp][] = [
  ['category', /^(?:categor(?:y|ies)|tags?|topics?|authors?|archives?)$/],
  [
    'booking',
    /^(?:book|bookings?|book-(?:now|online|an?-.*)|reserv(?:e|ations?)|rent|rentals?|hire|appointments?|availability|tickets?|courses?|tours?|events?|schedule)$/,
  ],
  [
    'shop',
    /^(?:shop|store|products?|collections?|cart|basket|checkout|catalogue|catalog|buy|sale|prices?|pricing)$/,
  ],
];
/** Where a site keeps its posts: such an address lists them, what stands below it is one of them. */
const LISTS = /^(?:blog|journal|news|articles|posts|magazine|stories|guides)$/;

/** Types of schema.org by which a page says what it is. */
const TYPES: [PageKind, RegExp][] = [
  [
    'booking',
    /^(?:Reservation|LodgingReservation|Event|CourseInstance|LodgingBusiness|Hotel|Campground|RentAction|ReserveAction)$/,
  ],
  ['shop', /^(?:Product|ProductGroup|Offer|OfferCatalog|Store|OnlineStore)$/],
  ['category', /^(?:CollectionPage|Blog|ItemList)$/],
];

/**
 * What a page is for, by its path, else by the structured data and the forms of its markup. The path comes first: a post about a product
 * names one in its data, and a shop's own pages say so in their address.
 *
 * `kindOfPage('/shop/panniers', '')` is `shop`, `kindOfPage('/', '')` is `home`.
 *
 * @param path in comparable form
 * @param html of the page; empty where only its address is known
 */
export function kindOfPage(path: string, html: string): PageKind {
  const parts = path
    .split('/')
    .filter(Boolean)
    .map((part) => part.toLowerCase().replace(/\.(?:html?|php|aspx?)$/, ''));
  if (parts.length === 0) return 'home';
  if (parts.length === 1 && /^(?:index|home|start)$/.test(parts[0])) return 'home';
  if (LISTS.test(parts[0]) && !parts.some((part) => ADDRESS_PARTS[0][1].test(part)))
    return parts.length === 1 || (parts[1] === 'page' && parts.length === 3) ? 'category' : 'other';
  for (const [kind, pattern] of ADDRESS_PARTS) if (parts.some((part) => pattern.test(part))) return kind;
  const types = [...html.matchAll(/"@type"\s*:\s*(?:\[\s*)?"(?:https?:\/\/schema\.org\/)?([A-Za-z]+)"/g)].map(
    ([, type]) => type,
  );
  for (const [kind, pattern] of TYPES) if (types.some((type) => pattern.test(type))) return kind;
  if (/<input[^>]+type=["']?(?:date|datetime-local)\b/i.test(html)) return 'booking';
  if (/<(?:button|input|a)\b[^>]*>?[^<]{0,40}\badd to (?:cart|basket|bag)\b/i.test(html)) return 'shop';
  return 'other';
}
