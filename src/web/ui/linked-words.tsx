/** A sentence with the words in it that would carry a link. */
export function LinkedWords({ sentence, from, quote }: { sentence: string; from: number; quote: string }) {
  // The words stay in sight in a long sentence.
  const start = from > LEAD ? sentence.lastIndexOf(' ', from - LEAD) + 1 : 0;
  const end = from + quote.length;
  const last = sentence.length - end > TAIL ? sentence.indexOf(' ', end + TAIL) : -1;
  return (
    <>
      {start > 0 && '… '}
      {sentence.slice(start, from)}
      <mark className="rounded-sm bg-sand/70 text-ink">{quote}</mark>
      {last < 0 ? sentence.slice(end) : `${sentence.slice(end, last)} …`}
    </>
  );
}

/** Characters that are shown before and after the words. */
const LEAD = 70;
const TAIL = 80;
