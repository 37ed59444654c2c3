import { Download } from 'lucide-react';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { generationsOfSite } from '../../data/generations.ts';
import { postsOf } from '../../data/posts.ts';
import { currentSite } from '../../data/sites.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';
import { Button } from '../../ui/button.tsx';
import { Check } from '../../ui/check-field.tsx';
import { Choice } from '../../ui/choice.tsx';
import { dayInWords, timeInWords } from '../../ui/day.ts';
import { download } from '../../ui/download.ts';
import { Empty, None } from '../../ui/empty.tsx';
import { counted } from '../../ui/figures.ts';
import { Opening } from '../../ui/opening.tsx';
import { SearchField } from '../../ui/search-field.tsx';
import { Waiting } from '../../ui/waiting.tsx';
import { useZone } from '../../ui/zone.ts';
import { Compared } from './compared.tsx';
import { asMarkdown, FATES, fateOf, nameOf } from './generation-words.ts';
import { OpenedGeneration } from './opened-generation.tsx';

/** Rows that are shown before one asks for more. */
const SHOWN = 80;

/** History: everything that was generated for the site, found by pattern, post, day or any word of it. */
export function History() {
  const site = useLiveQuery(currentSite);
  const rows = useLiveQuery(async () => (site ? generationsOfSite(site.id) : null), [site?.id]);
  const posts = useLiveQuery(async () => (site ? postsOf(site.id) : []), [site?.id]) ?? [];
  const zone = useZone();
  const [asked, setAsked] = useSearchParams();
  const [open, setOpen] = useState('');
  const [most, setMost] = useState(SHOWN);
  const [ticked, setTicked] = useState<readonly string[]>([]);
  if (!site || !rows) return <Waiting />;
  if (rows.length === 0)
    return (
      <main className="h-full overflow-auto">
        <Empty title="Nothing was asked for yet">
          Every text that a pattern makes is kept here with what was asked, whether it was taken or not. Open
          a post, go to Write, and choose a pattern in the margin.
        </Empty>
      </main>
    );
  const filter = (name: string) => asked.get(name) ?? '';
  const set = (name: string, value: string) =>
    setAsked(
      (before) => {
        const next = new URLSearchParams(before);
        if (value === '') next.delete(name);
        else next.set(name, value);
        return next;
      },
      { replace: true },
    );
  const titles = new Map(posts.map(({ id, fields }) => [id, fields.title || 'Untitled']));
  const titleOf = (postId: string) => titles.get(postId) ?? 'a post that is gone';
  const words = filter('words').toLowerCase().split(/\s+/).filter(Boolean);
  const found = rows.filter((row) => {
    if (filter('pattern') && nameOf(row) !== filter('pattern')) return false;
    if (filter('post') && row.postId !== filter('post')) return false;
    if (filter('day') && dayInWords(row.at, zone) !== filter('day')) return false;
    if (filter('fate') && fateOf(row) !== filter('fate')) return false;
    const text = `${row.title}\n${row.input}\n${row.output}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
  const options = (all: string, values: Iterable<[value: string, name: string]>) => [
    { value: '', name: all },
    ...[...new Map(values)].map(([value, name]) => ({ value, name })),
  ];
  const pair = ticked.flatMap((id) => rows.find((row) => row.id === id) ?? []);
  return (
    <main className="flex h-full min-h-0 flex-col">
      <header className="flex flex-wrap items-center gap-x-3 gap-y-2 border-b px-6 pt-5 pb-3">
        <h1 className="mr-3 font-serif text-[26px] font-semibold">History</h1>
        <SearchField
          name="Search the history"
          placeholder="Any word of it"
          value={filter('words')}
          onChange={(text) => set('words', text)}
        />
        <Choice
          aria-label="Pattern"
          value={filter('pattern')}
          onChange={(value) => set('pattern', value)}
          options={options(
            'every pattern',
            rows.map((row) => [nameOf(row), nameOf(row)]),
          )}
        />
        <Choice
          aria-label="Post"
          value={filter('post')}
          onChange={(value) => set('post', value)}
          options={options(
            'every post',
            rows.map(({ postId }) => [postId, titleOf(postId)]),
          )}
          className="max-w-56 px-2 py-1.5"
        />
        <Choice
          aria-label="Day"
          value={filter('day')}
          onChange={(value) => set('day', value)}
          options={options(
            'every day',
            rows.map(({ at }) => [dayInWords(at, zone), dayInWords(at, zone)]),
          )}
        />
        <Choice
          aria-label="What became of it"
          value={filter('fate')}
          onChange={(value) => set('fate', value)}
          options={options('taken or not', Object.entries(FATES))}
        />
        <span className="ml-auto flex gap-2">
          <Button
            disabled={found.length === 0}
            onClick={() => download('history.json', JSON.stringify(found, null, 2), 'application/json')}
          >
            <Download size={15} aria-hidden />
            JSON
          </Button>
          <Button
            disabled={found.length === 0}
            onClick={() =>
              download(
                'history.md',
                found.map((row) => asMarkdown(row, titleOf(row.postId))).join('\n\n'),
                'text/markdown',
              )
            }
          >
            <Download size={15} aria-hidden />
            Markdown
          </Button>
        </span>
      </header>
      <div className="min-h-0 flex-1 overflow-auto px-6 py-4">
        {pair.length === 2 && <Compared one={pair[0]} other={pair[1]} onClose={() => setTicked([])} />}
        <p className="mb-2 text-[13px] text-soft" role="status">
          {found.length === rows.length
            ? counted(rows.length, 'text')
            : `${found.length} of ${counted(rows.length, 'text')}`}
          {ticked.length === 1 && ' · tick another to see both side by side'}
        </p>
        {found.length === 0 && <None>None holds all of this.</None>}
        <ul aria-label="Texts">
          {found.slice(0, most).map((row) => (
            <li key={row.id} className="border-t py-1.5">
              <div className="flex items-baseline gap-3">
                <Check
                  name={`Compare ${row.title}`}
                  checked={ticked.includes(row.id)}
                  onChange={(checked) =>
                    setTicked(checked ? [...ticked.slice(-1), row.id] : ticked.filter((id) => id !== row.id))
                  }
                  className="translate-y-0.5"
                />
                <Opening
                  open={open === row.id}
                  onToggle={() => setOpen(open === row.id ? '' : row.id)}
                  className="flex-1 truncate"
                >
                  {row.title}
                </Opening>
                <span className="w-40 shrink-0 truncate text-[13px] text-soft">{nameOf(row)}</span>
                <span className="w-56 shrink-0 truncate text-[13px] text-soft max-[900px]:hidden">
                  {titleOf(row.postId)}
                </span>
                <span className="w-24 shrink-0 text-[13px] text-soft">{FATES[fateOf(row)]}</span>
                <span className="w-36 shrink-0 text-right text-[13px] text-soft tabular-nums">
                  {dayInWords(row.at, zone)}, {timeInWords(row.at, zone)}
                </span>
              </div>
              {open === row.id && <OpenedGeneration row={row} isPostThere={titles.has(row.postId)} />}
            </li>
          ))}
        </ul>
        {found.length > most && (
          <Button look="word" className="mt-3" onClick={() => setMost(most + 4 * SHOWN)}>
            Show more of {found.length}
          </Button>
        )}
      </div>
    </main>
  );
}
