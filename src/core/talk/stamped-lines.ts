import { type Cue, secondsOf } from './transcript.ts';

const STAMP = String.raw`\d{1,3}:\d{2}(?::\d{2})?(?:[.,]\d{1,3}|:\d{2})?`;
/** A time at the beginning of a line, bare or in brackets, with where it ends on wish: `[00:01] - [00:04]`. */
const LEADS = new RegExp(
  String.raw`^\s*([[(]?)(${STAMP})[\])]?(?:\s*(?:-->|[-–—]|to)\s*[[(]?(${STAMP})[\])]?)?(?=[\s:,\]–—-]|$)[\s:–—-]*`,
);
/** A time in brackets within a line. */
const WITHIN = new RegExp(String.raw`[[(](${STAMP})[\])]`, 'g');
/** A line that is a name and a time: "Ada Marsh  0:03". */
const NAME_THEN_TIME = new RegExp(
  String.raw`^\s*([\p{Lu}][^\d:[\]()]{0,40}?)\s*[,:–—-]?\s*[[(]?(${STAMP})[\])]?\s*$`,
  'u',
);

/** A line of a transcript, taken apart. */
interface Line {
  start: number | null;
  end: number | null;
  text: string;
  /** The name that stands on the line of the time, in front of it. */
  name: string;
  /** The time stands in brackets, or alone: no clock in what is said. */
  certain: boolean;
  raw: string;
}

function lineOf(raw: string): Line {
  const bare = { start: null, end: null, text: raw.trim(), name: '', certain: false, raw };
  const headed = NAME_THEN_TIME.exec(raw);
  if (headed) {
    const start = secondsOf(headed[2]);
    if (start !== null) return { ...bare, start, text: '', name: headed[1].trim(), certain: true };
  }
  const led = LEADS.exec(raw);
  const start = led ? secondsOf(led[2]) : null;
  if (!led || start === null) return bare;
  const text = raw.slice(led[0].length).trim();
  return {
    start,
    end: led[3] === undefined ? null : secondsOf(led[3]),
    text,
    name: '',
    certain: led[1] !== '' || led[3] !== undefined || text === '',
    raw,
  };
}

/** Times may fall back so much: two people who speak at once. */
const BACK = 2;
/** From this share of lines with a time on, bare times at the beginning of lines are meant as such. */
const STAMPED = 0.2;

/** Lines whose times do not run on are clocks in what is said: they go back to being text. */
function withoutClocks(lines: readonly Line[]): Line[] {
  const filled = lines.filter(({ raw }) => raw.trim() !== '').length;
  const stamped = lines.filter(({ start }) => start !== null).length;
  const meant = stamped >= 2 && stamped >= filled * STAMPED;
  let last = Number.NEGATIVE_INFINITY;
  return lines.map((line) => {
    if (line.start === null) return line;
    const runsOn = line.start >= last - BACK;
    if ((meant && runsOn) || (line.certain && (runsOn || stamped < 2))) {
      last = line.start;
      return line;
    }
    return { start: null, end: null, text: line.raw.trim(), name: '', certain: false, raw: line.raw };
  });
}

/** The stretches of a line between times in brackets: `so [0:12] the first [0:15] thing`. */
function stretches(line: Line): { start: number | null; text: string }[] {
  const out: { start: number | null; text: string }[] = [];
  let from = 0;
  let start = line.start;
  for (const hit of line.text.matchAll(WITHIN)) {
    const seconds = secondsOf(hit[1]);
    if (seconds === null || (start !== null && seconds < start)) continue;
    out.push({ start, text: line.text.slice(from, hit.index).trim() });
    from = hit.index + hit[0].length;
    start = seconds;
  }
  out.push({ start, text: line.text.slice(from).trim() });
  return out.filter(({ text }, at) => text !== '' || at === out.length - 1);
}

/**
 * The cues of a transcript as it is copied from somewhere: times at the beginning of lines, on lines of their own, in brackets
 * within lines or behind a name; or none at all. A clock within what is said ("we left at 9:30") is no time.
 */
export function stampedCues(text: string): { cues: Cue[]; timed: boolean } {
  const lines = withoutClocks(text.split(/\r?\n/).map(lineOf));
  const cues: Cue[] = [];
  let time: { start: number; end: number | null } | null = null;
  let name = '';
  let fresh = false;
  for (const line of lines) {
    if (line.raw.trim() === '') {
      time = null;
      continue;
    }
    if (line.start !== null) {
      time = { start: line.start, end: line.end };
      // A name stands until the next one does.
      if (line.name) name = line.name;
      fresh = true;
    }
    for (const [index, part] of stretches(line).entries()) {
      if (index > 0 && part.start !== null) {
        time = { start: part.start, end: null };
        fresh = true;
      }
      if (part.text === '') continue;
      cues.push({
        start: fresh ? (time?.start ?? null) : null,
        end: fresh ? (time?.end ?? null) : null,
        speaker: name,
        text: part.text,
      });
      // A second line below one time has a time of its own only where it is told.
      fresh = false;
    }
  }
  return { cues, timed: cues.some(({ start }) => start !== null) };
}
