/**
 * Draft: one model of a post's body and fields, and the ways in and out of it.
 *
 * `draft` is the model (a flat list of blocks, each with its containers), `post-fields` what stands beside the
 * body. Readers: `read-html`, `read-markdown`, `read-text`, `read-docx`, `editor-json`; `read-file` takes a file's
 * bytes by its name, `read-article` a page of somebody else's without its furniture (`article-furniture`; prose and titles of manuals by `manual-pages`), over `decode-text` (encodings) and `read-zip` (with limits); what cannot be read is an
 * `UnreadableFile`. Writers: `write-html`, `write-markdown`, `write-docx`, `editor-json`, over `nest`, which turns the
 * list into a tree. `front-matter`
 * reads and writes YAML fields; `faq` finds questions with their answers, `recordings` what plays with its chapters; `sanitise` decides what markup may stay; `clipboard`
 * reads what is pasted, `paste` mends its structure;
 * `take-back` undoes a change and nothing that came since; `compare-drafts` shows what differs.
 */

export { cleanDraft, cleanFields } from './clean-draft.ts';
export { type ReadClipboard, readClipboard } from './clipboard/read-clipboard.ts';
export { type ComparedPiece, type ComparedRow, compareDrafts, compareTexts } from './compare-drafts.ts';
export { decodeText } from './decode-text.ts';
export {
  type Block,
  type BlockKind,
  type Container,
  countingIds,
  type Draft,
  EMBED_KINDS,
  type Embed,
  type EmbedKind,
  emptyDraft,
  isNoteRef,
  isRead,
  linksOf,
  type Mark,
  type NextId,
  NOTE_SIGN,
  noteOf,
  noteRef,
  PICTURES_ACROSS,
  type Picture,
  type PictureSide,
  type PicturesAcross,
  partOf,
  STEP_LOOKS,
  type StepLook,
  tidyMarks,
} from './draft.ts';
export { draftLanguage, openingText } from './draft-language.ts';
export {
  blockOfLeaf,
  type EditorNode,
  readEditor,
  readEditorTree,
  type TreeAccess,
  writeEditor,
} from './editor-json.ts';
export {
  addressOfLine,
  embedAddress,
  embedKindInWords,
} from './embed-address.ts';
export { type FaqEntry, faqData, faqEntries, isFaqHeading } from './faq.ts';
export { type Footnotes, footnotesOf } from './footnotes.ts';
export { splitFrontMatter } from './front-matter.ts';
export { instantOf, lastSegment } from './head-fields.ts';
export { parsePiece } from './parse-html.ts';
export { type CleanedPaste, cleanPaste } from './paste.ts';
export { patchMarkdown } from './patch-markdown.ts';
export { draftWithPicturesMoved, fieldsWithPicturesMoved, pictureAddresses } from './picture-addresses.ts';
export {
  emptyFields,
  type PostDocument,
  type PostFields,
  STATUSES,
  type Status,
  wholeFields,
} from './post-fields.ts';
export { readArticle } from './read-article.ts';
export { type FileFormat, formatOfName, type ReadPost, readPostFile } from './read-file.ts';
export { readHtml } from './read-html.ts';
export { readMarkdown } from './read-markdown.ts';
export { readText } from './read-text.ts';
export { readZip, type ZipLimits } from './read-zip.ts';
export { readingMinutes, wordsIn } from './reading-time.ts';
export {
  type Chapter,
  chapterOfLine,
  type Recording,
  type RecordingPage,
  recordingData,
  recordingsOf,
} from './recordings.ts';
export { safeHref, TRANSCRIPT_FOLD } from './sanitise.ts';
export { type Share, shareOf } from './share.ts';
export { fieldsTakenBack, listTakenBack, type TakenBack } from './take-back.ts';
export { aboveMore, draftedExcerpt } from './teaser.ts';
export { thinnedVersions } from './thin-versions.ts';
export {
  isLanguageTag,
  type Translation,
  translationIn,
  translationsIn,
  translationText,
} from './translations.ts';
export { bytesInWords, UnreadableFile } from './unreadable.ts';
export { writeDocx } from './write-docx.ts';
export { writeHtml, writeHtmlPage } from './write-html.ts';
export { writeMarkdown, writeMarkdownBody } from './write-markdown.ts';
