import { sentencesIn } from './sentences.ts';

/** A paragraph of a text that is not yet taken. */
export interface TextPiece {
  /** As it came. */
  markdown: string;
  kind: 'paragraph' | 'heading' | 'quote' | 'list';
  /** What can be taken one by one: its sentences, or the lines of a list. */
  sentences: string[];
}

/** The paragraphs of a text as far as it has come: what a blank line parts, each with its sentences. */
export function textPieces(markdown: string): TextPiece[] {
  return markdown
    .replace(/\r\n?/g, '\n')
    .split(/\n\s*\n/)
    .map((part) => part.replace(/^\n+|\s+$/g, ''))
    .filter((part) => part.trim() !== '')
    .flatMap((part): TextPiece[] => {
      const heading = /^(#{1,6} .*)(?:\n([\s\S]+))?$/.exec(part);
      // A heading and what stands right below it are two.
      if (heading?.[2]) return [piece(heading[1]), piece(heading[2])];
      return [piece(part)];
    });
}

function piece(markdown: string): TextPiece {
  if (/^#{1,6} /.test(markdown)) return { markdown, kind: 'heading', sentences: [markdown] };
  if (/^>/.test(markdown)) return { markdown, kind: 'quote', sentences: [markdown] };
  if (/^\s*(?:[-*+]|\d+[.)]) /.test(markdown))
    return { markdown, kind: 'list', sentences: markdown.split(/\n(?=\s*(?:[-*+]|\d+[.)]) )/) };
  return { markdown, kind: 'paragraph', sentences: sentencesIn(markdown) };
}

/** Characters that are written with a backslash stand aside, as characters that no text has, while marks are taken off. */
const ASIDE = 0xe000;

/** Markdown as it reads: without the marks of headings, quotes, lists, emphasis and links. */
export const readable = (markdown: string): string =>
  markdown
    .replace(/\\([\\`*_[\]<>])/g, (_, sign: string) => String.fromCharCode(ASIDE + sign.charCodeAt(0)))
    .replace(/^(?:#{1,6}|>|\s*(?:[-*+]|\d+[.)])) +/gm, '')
    .replace(/!?\[([^\]]*)\]\((?:<[^>]*>|[^)\s]*)\)/g, '$1')
    .replace(/(\*\*|__)(?=\S)([\s\S]*?\S)\1/g, '$2')
    .replace(/(?<![\p{L}\p{N}*])\*(?=\S)([^*\n]*?\S)\*(?![\p{L}\p{N}*])/gu, '$1')
    .replace(/[\ue000-\ue07f]/g, (sign) => String.fromCharCode(sign.charCodeAt(0) - ASIDE));
