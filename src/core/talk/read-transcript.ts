import { joinRolling } from './rolling.ts';
import { withSpeakers } from './speakers.ts';
import { stampedCues } from './stamped-lines.ts';
import { subtitleCues } from './subtitle-cues.ts';
import type { Cue, TranscriptForm, TranscriptReading } from './transcript.ts';

/** Characters of a transcript; ten hours of speech hold fewer. */
const MAX_CHARACTERS = 2_000_000;
const ARROW = /^\s*(?:\d+:)?\d{1,2}:\d{2}[.,]\d{1,3}\s*-->/m;

/** What stands in brackets for a sound: "[Music]", "(applause)", "♪". */
const SOUND =
  /[♪♫]+|[[(]\s*(?:music|applause|laughter|laugh(?:s|ing)?|inaudible|unintelligible|crosstalk|silence|noise|background[^\])]{0,30}|coughs?|sighs?|pause|beep|bell(?: rings)?|clears throat|door[^\])]{0,20}|phone[^\])]{0,20})[^\])]{0,20}[\])]/gi;

function withoutSounds(cue: Cue): Cue | null {
  const text = cue.text.replace(SOUND, (sound) => ' '.repeat(sound.length));
  return /[\p{L}\p{N}]/u.test(text) ? { ...cue, text } : null;
}

async function cuesOf(text: string): Promise<{ form: TranscriptForm; cues: Cue[] }> {
  if (/^WEBVTT(?:\s|$)/.test(text)) return { form: 'WebVTT', cues: await subtitleCues(text, 'vtt') };
  if (ARROW.test(text)) {
    const cues = await subtitleCues(text, 'srt');
    if (cues.length > 0) return { form: 'SRT', cues };
  }
  const { cues, timed } = stampedCues(text);
  return { form: timed ? 'time stamps' : 'plain text', cues };
}

/**
 * Reads a transcript in whatever form it comes: WebVTT, SRT, lines with times of any usual form, plain text. Overlaps of
 * rolling captions are joined, names of speakers taken off, sounds in brackets left out. Never throws.
 */
export async function readTranscript(given: string): Promise<TranscriptReading> {
  if (given.length > MAX_CHARACTERS)
    return {
      transcript: null,
      problem: `This transcript has ${given.length.toLocaleString('en')} characters; ${MAX_CHARACTERS.toLocaleString('en')} can be read. Bring it in parts.`,
    };
  const text = given.replace(/^\uFEFF/, '').replaceAll(String.fromCharCode(0), '');
  const { form, cues } = await cuesOf(text);
  const spoken = joinRolling(withSpeakers(cues).flatMap((cue) => withoutSounds(cue) ?? []));
  if (spoken.length === 0)
    return {
      transcript: null,
      problem:
        text.trim() === ''
          ? 'There is nothing in it. Paste what was said, or choose a .vtt, .srt or .txt file.'
          : `No spoken words were found in this ${form === 'plain text' || form === 'time stamps' ? 'text' : `${form} file`}. Paste what was said, or choose a .vtt, .srt or .txt file.`,
    };
  return { transcript: { form, cues: spoken }, problem: null };
}
