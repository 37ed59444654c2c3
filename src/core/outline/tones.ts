/** Tones that no text can have at once, each with what it clashes with. */
const CLASHES: readonly (readonly [RegExp, RegExp])[] = [
  [/\bformal\b/i, /\b(?:informal|casual|chatty|colloquial|playful|conversational|relaxed|slangy)\b/i],
  [/\b(?:serious|solemn|grave)\b/i, /\b(?:playful|funny|humorous|witty|cheeky|light-hearted)\b/i],
  [
    /\b(?:neutral|objective|impartial)\b/i,
    /\b(?:playful|persuasive|passionate|enthusiastic|opinionated|provocative|salesy)\b/i,
  ],
  [/\b(?:calm|soothing|reassuring)\b/i, /\b(?:urgent|provocative|alarming|aggressive)\b/i],
  [/\b(?:concise|terse|brief)\b/i, /\b(?:detailed|exhaustive|rambling|expansive)\b/i],
  [/\b(?:humble|modest)\b/i, /\b(?:boastful|bold|arrogant)\b/i],
  [/\b(?:academic|scholarly)\b/i, /\b(?:casual|chatty|informal|simple)\b/i],
];

/** Two tones of one wish that clash, in the words in which they were wished for; null where none do. */
export function clashingTones(tone: string): [string, string] | null {
  // "Not formal" and "informal" hold the word and not the tone.
  const wished = tone.replace(/\b(?:not|never|less)\s+(?:too\s+|very\s+)?[\w-]+/gi, '');
  for (const [one, other] of CLASHES) {
    const [first, second] = [one.exec(wished), other.exec(wished)];
    if (first && second) return [first[0].toLowerCase(), second[0].toLowerCase()];
  }
  return null;
}
