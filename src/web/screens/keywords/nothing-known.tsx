import { Button } from '../../ui/button.tsx';
import { Empty } from '../../ui/empty.tsx';

/** Said where no phrase is known, with the ways to bring some. */
export function NothingKnown({
  seeds,
  region,
  onBring,
}: {
  seeds: readonly string[];
  region: string;
  onBring: () => void;
}) {
  return (
    <Empty
      title={
        seeds.length > 0 ? `Nothing is known here about "${seeds.join(', ')}"` : `No phrases in ${region} yet`
      }
      ways={
        <Button look="main" onClick={onBring}>
          Bring figures
        </Button>
      }
    >
      {seeds.length > 0
        ? 'The market that ships with Dune Sparrow is a simulated one about bicycle touring. For any other subject, bring figures of your own: a table from a keyword tool, a list of phrases, or the performance export of your site.'
        : 'This is where phrases stand with their volume, season, difficulty and intent. Search for a seed such as "panniers", or bring a table, a list or a performance export.'}
    </Empty>
  );
}
