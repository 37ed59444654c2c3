import { type PostDocument, writeMarkdown } from '../../../core/draft/index.ts';

/** A draft as a file to hand out. By itself, so that the writers come only when they are asked for. */
export const draftFile = (document: PostDocument): string => writeMarkdown(document);
