import type { Cue } from './transcript.ts';

/** A name in front of what is said: "Ada Marsh:", "[Host]:", "SPEAKER 1:", "Q:". */
const NAMED =
  /^\s*[[(]?(\p{Lu}[\p{L}\p{M}\p{N}.'’-]*(?:\s+[\p{L}\p{M}\p{N}.'’-]+){0,3})[\])]?\s*(?:\([^()]{0,30}\))?\s*:\s+/u;
/** Signs that another one speaks now. */
const TURN = /^\s*(?:>>+|&gt;&gt;|-(?=\s?\p{Lu})|[–—](?=\s?\p{Lu}))\s*/u;

/** Openers of sentences that may end in a colon: no names. */
const NO_NAME =
  /^(?:So|And|But|Now|Then|The|A|An|One|Two|Three|First|Second|Third|Next|Here|There|This|That|Note|Example|Remember|Question|Answer|Okay|Ok|Well|I|We|You|It|If|When|What|How|Why|Step|Rule|Tip)\b/;

const isName = (text: string, uses: number): boolean =>
  text.length <= 40 &&
  (!NO_NAME.test(text) || uses >= 3) &&
  (uses >= 2 || /^\p{Lu}{2,}|\d$|\s\p{Lu}/u.test(text));

/**
 * Names of speakers out of what is said: a name with a colon in front names who speaks from there on, `>>` and dashes say only
 * that another one does. A name counts where it is met twice, or is written as names are.
 */
export function withSpeakers(cues: readonly Cue[]): Cue[] {
  const uses = new Map<string, number>();
  for (const { text } of cues) {
    const name = NAMED.exec(text.replace(TURN, ''))?.[1];
    if (name) uses.set(name, (uses.get(name) ?? 0) + 1);
  }
  let speaker = '';
  return cues.map((cue) => {
    const turned = TURN.exec(cue.text);
    const text = turned ? cue.text.slice(turned[0].length) : cue.text;
    const named = NAMED.exec(text);
    const gone = cue.text.length - text.length;
    const moved = (more: number) =>
      cue.times && {
        times: cue.times.map(([at, seconds]): [number, number] => [Math.max(0, at - gone - more), seconds]),
      };
    if (named && isName(named[1], uses.get(named[1]) ?? 0)) {
      speaker = named[1];
      return { ...cue, ...moved(named[0].length), speaker, text: text.slice(named[0].length) };
    }
    if (cue.speaker) {
      speaker = cue.speaker;
      return turned ? { ...cue, ...moved(0), text } : cue;
    }
    if (turned) {
      speaker = '';
      return { ...cue, ...moved(0), text, turn: true };
    }
    return { ...cue, speaker };
  });
}
