/** Ways in which a speaker says that something else comes now, with what each is worth in nats. */
const TURNS: readonly (readonly [RegExp, number])[] = [
  [
    /^(?:so |and |now |but )*(?:let's|let us|let me|i want to|i'd like to|i wanna|we're going to|we'll|i'll|i'm going to|i'm gonna|we should|shall we|can we) (?:now |quickly |just |also )?(?:talk|move|look|start|begin|go on|turn|get|come|jump|speak|tell you|say something|finish|end|wrap|switch|do the|show you|give you)\b/,
    7,
  ],
  [
    /^(?:so |and |now |but )*(?:moving on|next up|next|number (?:one|two|three|four|five|six|seven|eight|nine|ten)|step (?:one|two|three|four|five|six))\b/,
    7,
  ],
  [
    /^(?:so |and |now |but |okay )*(?:the|my|our) (?:\w+ )?(?:first|second|third|fourth|fifth|next|last|final|other|biggest) (?:\w+ )?(?:thing|one|question|part|point|mistake|topic|step|rule|reason|piece|bit|big)\b/,
    7,
  ],
  [
    /^(?:so |and |now |but )*(?:another|one more|one last|one other) (?:\w+ )?(?:thing|question|point|mistake|topic|reason|one)\b/,
    5,
  ],
  [
    /^(?:so |and |now |but )*(?:first of all|first|firstly|second|secondly|third|thirdly|finally|lastly|last of all|last)\b/,
    4,
  ],
  [
    /^(?:so |and |now |but )*(?:what about|how about|when it comes to|as for|speaking of|regarding|in terms of|talking of)\b/,
    6,
  ],
  [
    /^(?:so |and |now )*(?:to (?:finish|wrap up|sum up|close|end|start|begin)|in summary|before (?:we|i) (?:go|finish|end|wrap|start)|that's (?:it|all|everything) (?:for|about|on))\b/,
    6,
  ],
  [
    /^(?:so |and |now )*(?:any questions|are there (?:any )?questions|we have time for|there's a question|somebody asked|people (?:always |often )?ask)\b/,
    6,
  ],
  [/^(?:now|so now)\b/, 2],
  [/^so (?:the|when|how|what|if|for|on)\b/, 1],
];

/** Whether a sentence leans on the one before it: no section begins with it. */
const LEANS =
  /^(?:and|but|because|or|which|it|it's|they|they're|he|she|that's|those|these|this|that|then|so that|also|too|otherwise|for example|exactly|yes|no)\b/;

/**
 * What a sentence's first words say for a new section, in nats; below 0 where it leans on what came before.
 *
 * @param forms folded words of the sentence
 */
export function turnOfTalk(forms: readonly string[]): number {
  const text = forms.slice(0, 9).join(' ');
  for (const [pattern, worth] of TURNS) if (pattern.test(text)) return worth;
  return LEANS.test(text) ? -3 : 0;
}
