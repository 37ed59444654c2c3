/**
 * Joining two posts into one: `post-sections` takes a text apart where a reader sees it parted; `join-advice` tells of each section of the
 * one that gives way whether the other says it already, and where it would stand; `join-posts` makes the joined post.
 */
export { type JoinAdvice, type JoinedSection, joinAdvice, type SectionAdvice } from './join-advice.ts';
export { joinedPost } from './join-posts.ts';
export { type PostSection, postSections } from './post-sections.ts';
