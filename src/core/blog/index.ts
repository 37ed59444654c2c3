/**
 * Blog: a published post as its readers get it. `blog` says what a blog and its posts are; `entry` is a post as the properties by
 * which it is handed over, and back, `page-body` its text as the page shows it; `post-page`, `list-page`, `site-page` and `plain-pages` draw its pages over `page-shell`, with one
 * `style`; `related` finds posts that are alike.
 */
export {
  type BlogEntry,
  type BlogPicture,
  type BlogSeed,
  type BlogSettings,
  type BlogSite,
  emptyBlog,
  type PicturePixels,
  type SitePage,
} from './blog.ts';
export {
  blogEntry,
  ENTRY_PROPERTIES,
  type EntryProperties,
  entryProperties,
  postOfEntry,
  textOfProperty,
  valuesOf,
} from './entry.ts';
export { entriesOfCategory, type ListPart, listPage, listPart, newestFirst } from './list-page.ts';
export { pageBody } from './page-body.ts';
export { wholeAddress } from './page-shell.ts';
export { foundEntries, gonePage, notFoundPage, searchPage } from './plain-pages.ts';
export { entryPath, postPage } from './post-page.ts';
export { relatedPosts } from './related.ts';
export { pageOf, sitePage } from './site-page.ts';
export { BLOG_STYLE } from './style.ts';
