import { useEffect, useState } from 'react';
import type { BlogSettings } from '../../../core/blog/index.ts';
import type { SitePublishing, SiteRow } from '../../data/post-rows.ts';
import { changeSite } from '../../data/sites.ts';
import { setToken, tryWay, type Way, type WayAccount, waysOut } from '../../services/publishing.ts';
import { attempt, failureInWords } from '../../state/attempt.ts';
import { Button } from '../../ui/button.tsx';
import { ChoiceField, Field, TextField } from '../../ui/field.tsx';
import { listInWords } from '../../ui/figures.ts';
import { BlogLook } from './blog-look.tsx';

const KINDS = [
  { value: 'stand-in', name: 'the blog beside the application' },
  { value: 'folder', name: 'a folder of files' },
  { value: 'micropub', name: 'a Micropub endpoint' },
  { value: 'zip', name: 'nowhere: a file is saved' },
] as const satisfies { value: SitePublishing['kind']; name: string }[];

/** What a place can do, in one line. */
function accountInWords({
  media,
  formatted,
  schedules,
  readable,
  categories,
  syndicateTo,
}: WayAccount): string {
  const can = [
    formatted ? 'text with its structure' : 'plain words alone',
    media ? 'pictures' : 'no pictures',
    ...(schedules ? ['posts for later'] : []),
  ];
  return [
    `It answers, and takes ${listInWords(can)}.`,
    readable ? '' : 'It does not tell what stands there, so a change made there is not seen.',
    categories.length > 0 ? `Its categories: ${listInWords(categories)}.` : '',
    syndicateTo.length > 0
      ? `It passes posts on to ${listInWords(syndicateTo.map(({ name }) => name))}.`
      : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** Where posts are published, with a way to see whether that works; and how the blog beside looks. */
export function PublishingSection({ site }: { site: SiteRow }) {
  const publishing: SitePublishing = site.publishing ?? { kind: 'stand-in', endpoint: '' };
  const [blog, setBlog] = useState<{ address: string; settings: BlogSettings } | null>(null);
  const [folder, setFolder] = useState<string | null>(null);
  const [token, setTyped] = useState('');
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    let isWanted = true;
    waysOut().then(
      ({ standIn, folder: open }) => {
        if (!isWanted) return;
        setBlog(standIn);
        setFolder(open);
      },
      // Where the server is away, the section says so when it is tried.
      () => {},
    );
    return () => {
      isWanted = false;
    };
  }, []);
  const set = (next: Partial<SitePublishing>) => {
    setSaid('');
    setProblem('');
    attempt(changeSite(site.id, { publishing: { ...publishing, ...next } }));
  };
  const way: Way | null =
    publishing.kind === 'zip'
      ? null
      : publishing.kind === 'micropub'
        ? { kind: 'micropub', endpoint: publishing.endpoint.trim() }
        : { kind: publishing.kind };
  const look = async () => {
    if (!way) return;
    setBusy(true);
    setSaid('');
    setProblem('');
    try {
      if (way.kind === 'micropub' && token.trim()) {
        await setToken(way.endpoint, token);
        setTyped('');
      }
      setSaid(accountInWords(await tryWay(way)));
    } catch (error) {
      setProblem(failureInWords(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <section aria-label="Publishing" className="mb-8 border-t pt-5">
      <h2 className="mb-1 font-semibold">Publishing</h2>
      <div className="grid grid-cols-2 gap-5 max-[760px]:grid-cols-1">
        <ChoiceField<SitePublishing['kind']>
          label="Posts are sent to"
          value={publishing.kind}
          onChange={(kind) => set({ kind })}
          options={KINDS}
          note={
            publishing.kind === 'stand-in'
              ? blog
                ? `It stands at ${blog.address.replace(/^https?:\/\//, '')}.`
                : 'It comes with Dune Sparrow and runs on this machine.'
              : publishing.kind === 'micropub'
                ? 'An open standard that many blogs speak.'
                : publishing.kind === 'folder'
                  ? folder
                    ? `Posts are written into ${folder}, line by line where they change.`
                    : 'None is open: start Dune Sparrow with --content and the folder.'
                  : 'You put it up by hand.'
          }
        />
        {publishing.kind === 'micropub' && (
          <>
            <TextField
              stored
              label="Address of the endpoint"
              value={publishing.endpoint}
              placeholder="https://blog.example/micropub"
              onChange={(endpoint) => set({ endpoint })}
            />
            <Field
              label="Token"
              note="Kept by the server in a file that only you can read; never shown again, and in no backup."
            >
              {(id, noteId) => (
                <input
                  id={id}
                  aria-describedby={noteId}
                  type="password"
                  autoComplete="off"
                  value={token}
                  placeholder="as it is set"
                  onChange={({ target }) => setTyped(target.value)}
                  className="w-full rounded-md border px-2.5 py-1.5"
                />
              )}
            </Field>
          </>
        )}
        {way && (
          <div className="self-end">
            <Button
              disabled={busy || (way.kind === 'micropub' && way.endpoint === '')}
              onClick={() => void look()}
              className="disabled:opacity-50"
            >
              Try the connection
            </Button>
          </div>
        )}
      </div>
      {said && (
        <p role="status" className="mt-2">
          {said}
        </p>
      )}
      {problem && (
        <p role="alert" className="mt-2 text-rust">
          {problem}
        </p>
      )}
      {publishing.kind === 'stand-in' && blog && <BlogLook settings={blog.settings} />}
    </section>
  );
}
