import type { OfferedFix } from '../../../../../../core/scoring/index.ts';
import { Button } from '../../../../../ui/button.tsx';

/** A change that helps: what it does, the words that will stand there, and what the score becomes. */
export function FixOffer({
  fix: { label, words, scoreAfter, readOver },
  score,
  onMend,
}: {
  fix: OfferedFix;
  score: number;
  onMend: () => void;
}) {
  return (
    <div className="min-w-0">
      <Button look="word" className="inline! text-left break-words" onClick={onMend}>
        {label}
      </Button>{' '}
      <span className="text-[12px] whitespace-nowrap text-soft">
        {score.toFixed(1)} → {scoreAfter.toFixed(1)}
        {readOver && (
          <span title="Put together by rule, not by a reader: see that it says what you mean.">
            {' '}
            · read it over
          </span>
        )}
      </span>
      {words !== '' && !label.includes(words) && (
        <span className="block border-l-2 border-sand pl-2 font-serif text-[13px] leading-[1.35] break-words text-soft">
          {words}
        </span>
      )}
    </div>
  );
}
