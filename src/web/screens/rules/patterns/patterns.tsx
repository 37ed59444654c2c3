import { Copy, Download, Plus, Trash2, Upload } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { House } from '../../../../core/site/index.ts';
import {
  PATTERN_GROUP_NAMES,
  PATTERN_GROUPS,
  type Pattern,
  patternFile,
  placeFaults,
  readPatternFile,
  SHIPPED_PATTERNS,
  STANDARD_FIELDS,
} from '../../../../core/writing/index.ts';
import { changeHouse, currentSite } from '../../../data/sites.ts';
import { attempt } from '../../../state/attempt.ts';
import { offerUndo } from '../../../state/undo.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { download } from '../../../ui/download.ts';
import { DragArea, DraggableRow } from '../../../ui/draggable-row.tsx';
import { counted } from '../../../ui/figures.ts';
import { FileButton } from '../../../ui/file-button.tsx';
import { Panes } from '../../../ui/panes.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { PatternEditor } from './pattern-editor.tsx';
import { PatternView } from './pattern-view.tsx';

/** A pattern to begin with. */
const newPattern = (): Pattern => ({
  id: crypto.randomUUID(),
  name: 'New pattern',
  purpose: '',
  group: 'text',
  fields: [
    { ...STANDARD_FIELDS.topic, required: true },
    STANDARD_FIELDS.audience,
    STANDARD_FIELDS.tone,
    STANDARD_FIELDS.language,
  ],
  text: 'Write a paragraph about {{topic}}.\nIt is read by {{audience}}.\nTone: {{tone}}.\nWrite in {{language}}.',
  along: ['house', 'voice', 'brief', 'study'],
  readAs: 'paragraphs',
  into: 'sheet',
  recipe: 'section',
  rules: { pieces: null, width: null, characters: null },
  words: 100,
});

/** Patterns: those of the house, which can be changed, and those that come along, which can be copied. */
export function Patterns() {
  const site = useLiveQuery(currentSite);
  const [chosen, setChosen] = useState(SHIPPED_PATTERNS[0].id);
  const [problem, setProblem] = useState('');
  if (!site) return <Waiting />;
  const own = site.house.patterns ?? [];
  const pattern = [...own, ...SHIPPED_PATTERNS].find(({ id }) => id === chosen) ?? SHIPPED_PATTERNS[0];
  const isOwn = own.some(({ id }) => id === pattern.id);
  const change = (work: (patterns: Pattern[]) => Pattern[]) =>
    changeHouse(site.id, (house: House) => ({ ...house, patterns: work(house.patterns ?? []) }));
  const add = async (added: readonly Pattern[], said: string) => {
    const takeBack = await change((patterns) => [...added, ...patterns]);
    if (added[0]) setChosen(added[0].id);
    offerUndo(said, takeBack);
  };
  const copy = (from: Pattern) => {
    const made = { ...from, id: crypto.randomUUID(), name: `${from.name}, our way` };
    attempt(add([made], `“${made.name}” is a pattern of the house now.`));
  };
  const remove = async () => {
    const takeBack = await change((patterns) => patterns.filter(({ id }) => id !== pattern.id));
    setChosen(SHIPPED_PATTERNS[0].id);
    offerUndo(`“${pattern.name}” is taken out.`, takeBack);
  };
  const bring = async ([file]: File[]) => {
    const read = readPatternFile(await file.text());
    if (read.problem !== null) {
      setProblem(`${file.name}: ${read.problem}`);
      return;
    }
    setProblem('');
    // What is here already stays: a pattern that comes in is another one.
    const added = read.patterns.map((one) => ({ ...one, id: crypto.randomUUID() }));
    await add(added, `${counted(added.length, 'pattern')} brought in.`);
  };
  const order = (id: string, over: string) =>
    change((patterns) => {
      const from = patterns.findIndex((one) => one.id === id);
      const to = patterns.findIndex((one) => one.id === over);
      return from < 0 || to < 0 ? patterns : patterns.toSpliced(from, 1).toSpliced(to, 0, patterns[from]);
    });
  const line = (one: Pattern) => (
    <button
      type="button"
      aria-current={one.id === pattern.id}
      onClick={() => setChosen(one.id)}
      className="min-w-0 flex-1 truncate py-1 text-left hover:text-marram aria-[current=true]:font-semibold aria-[current=true]:text-marram"
    >
      {one.name}
      {placeFaults(one).length > 0 && <span className="text-ochre"> · to be mended</span>}
    </button>
  );
  return (
    <main className="flex h-full min-h-0 flex-col">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b px-6 pt-5 pb-3">
        <h1 className="font-serif text-[26px] font-semibold">Patterns</h1>
        <Link to="/rules#writing" className="text-soft underline underline-offset-4">
          House rules
        </Link>
        <span className="ml-auto flex flex-wrap gap-2">
          <Button onClick={() => attempt(add([newPattern()], 'A pattern is begun.'))}>
            <Plus size={15} aria-hidden />
            New pattern
          </Button>
          <FileButton
            label="File of patterns"
            accept=".json,application/json"
            onFiles={(files) => attempt(bring(files))}
          >
            <Upload size={15} aria-hidden />
            Import patterns
          </FileButton>
          <Button
            disabled={own.length === 0}
            onClick={() => download('patterns.json', patternFile(own), 'application/json')}
          >
            <Download size={15} aria-hidden />
            Export patterns
          </Button>
        </span>
        {problem && (
          <p role="alert" className="basis-full text-rust">
            {problem}
          </p>
        )}
      </header>
      <Panes
        name="patterns"
        main={
          <div className="min-h-0 min-w-0 flex-1 overflow-auto px-6 py-5">
            <div className="mb-4 flex flex-wrap items-start gap-3">
              <div className="min-w-0 flex-1">
                <h2 className="font-serif text-xl font-semibold">{pattern.name}</h2>
                <p className="text-soft">{pattern.purpose || 'What it is for is not said yet.'}</p>
              </div>
              <Button onClick={() => copy(pattern)}>
                <Copy size={15} aria-hidden />
                {isOwn ? 'Copy it' : 'Copy as our own'}
              </Button>
              {isOwn && (
                <Button onClick={() => attempt(remove())}>
                  <Trash2 size={15} aria-hidden />
                  Take it out
                </Button>
              )}
            </div>
            {isOwn ? (
              <PatternEditor
                key={pattern.id}
                pattern={pattern}
                onChange={(work) =>
                  attempt(
                    change((patterns) =>
                      patterns.map((one) => (one.id === pattern.id ? { ...one, ...work(one) } : one)),
                    ),
                  )
                }
              />
            ) : null}
            <PatternView pattern={pattern} siteId={site.id} isOwn={isOwn} />
          </div>
        }
        side={
          <nav aria-label="Patterns" className="min-h-0 flex-1 overflow-auto px-4 py-4">
            <h2 className="mb-1 font-semibold">Of the house {own.length || ''}</h2>
            {own.length === 0 ? (
              <p className="mb-4 text-[13px] text-soft">
                None yet. Copy one of those below, or begin a new one.
              </p>
            ) : (
              <DragArea
                ids={own.map(({ id }) => id)}
                onDrop={({ active, over }) => over && attempt(order(String(active.id), String(over.id)))}
              >
                <ul className="mb-4">
                  {own.map((one) => (
                    <DraggableRow
                      key={one.id}
                      id={one.id}
                      name={one.name}
                      className="flex items-center gap-1"
                      style={{}}
                    >
                      {line(one)}
                    </DraggableRow>
                  ))}
                </ul>
              </DragArea>
            )}
            {PATTERN_GROUPS.map((group) => (
              <section key={group} aria-label={PATTERN_GROUP_NAMES[group]}>
                <h3 className="mt-3 text-[13px] font-semibold text-soft">{PATTERN_GROUP_NAMES[group]}</h3>
                <ul>
                  {SHIPPED_PATTERNS.filter((one) => one.group === group).map((one) => (
                    <li key={one.id} className="flex">
                      {line(one)}
                    </li>
                  ))}
                </ul>
              </section>
            ))}
          </nav>
        }
        sideName="the list of patterns"
        sideWidth={280}
        least={220}
        mainLeast={420}
        below={760}
      />
    </main>
  );
}
