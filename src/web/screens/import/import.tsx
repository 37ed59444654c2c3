import { FileUp, FolderOpen, FolderUp } from 'lucide-react';
import { type DragEvent, useEffect, useId, useState } from 'react';
import type { WhenKnown } from '../../data/import-post.ts';
import { currentSite } from '../../data/sites.ts';
import { folderAsZip, waysOut } from '../../services/publishing.ts';
import { attempt } from '../../state/attempt.ts';
import { importForgotten } from '../../state/import/import-run.ts';
import { importAddresses, importFiles } from '../../state/import/importer.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';
import { Button } from '../../ui/button.tsx';
import { chosenFiles, droppedFiles, type PathFile } from '../../ui/dropped-files.ts';
import { ChoiceField } from '../../ui/field.tsx';
import { FileButton } from '../../ui/file-button.tsx';
import { Waiting } from '../../ui/waiting.tsx';
import { Account } from './account.tsx';

/** Import: files, folders, zips, feeds, sitemaps and lists of addresses in; an account of what became of each. */
export function Import() {
  const site = useLiveQuery(currentSite);
  const state = useAppSelector((root) => root.importRun.state);
  const dispatch = useAppDispatch();
  const [whenKnown, setWhenKnown] = useState<WhenKnown>('leave');
  const [over, setOver] = useState(false);
  if (!site) return <Waiting />;
  const bring = (files: readonly PathFile[], served = '') => {
    if (files.length) attempt(importFiles(site, files, whenKnown, served));
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    attempt(droppedFiles(event.dataTransfer).then((files) => bring(files)));
  };
  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto max-w-4xl px-8 py-6">
        <h1 className="mb-1 font-serif text-[26px] font-semibold">Import</h1>
        <p className="mb-5 max-w-2xl text-soft">
          Posts from Markdown, HTML, text or .docx; a whole blog from its feed or a folder of saved pages; the
          addresses of your site from a sitemap or a list. Folders and zips are opened, pictures come along.
        </p>
        {state === 'idle' ? (
          <>
            {/* biome-ignore lint/a11y/noStaticElementInteractions: dropping is a shortcut; the buttons inside do the same */}
            <div
              onDragOver={(event) => {
                event.preventDefault();
                setOver(true);
              }}
              onDragLeave={() => setOver(false)}
              onDrop={drop}
              className={`mb-5 flex flex-wrap items-center gap-x-4 gap-y-3 rounded-md border border-dashed px-6 py-9 ${over ? 'border-marram bg-sheet' : 'border-soft/60'}`}
            >
              <p className="mr-auto font-serif text-lg">Drop files or a folder here</p>
              <FileButton
                look="main"
                label="Files to import"
                multiple
                onFiles={(files) => bring(chosenFiles(files))}
              >
                <FileUp size={16} aria-hidden />
                Choose files
              </FileButton>
              <ServedFolder onOpen={(files) => bring(files, 'folder')} />
              <FileButton label="Folder to import" folder onFiles={(files) => bring(chosenFiles(files))}>
                <FolderUp size={16} aria-hidden />
                Choose a folder
              </FileButton>
            </div>
            <div className="grid grid-cols-[1fr_1fr] gap-8 max-[900px]:grid-cols-1">
              <ChoiceField<WhenKnown>
                label="A post that is here already"
                value={whenKnown}
                onChange={setWhenKnown}
                options={[
                  { value: 'leave', name: 'stays as it is' },
                  { value: 'replace', name: 'gets the new text; the old one is kept as a version' },
                  { value: 'copy', name: 'comes in a second time' },
                ]}
                note="Posts are told apart by their address."
              />
              <PasteList onBring={(text) => attempt(importAddresses(site, text))} />
            </div>
          </>
        ) : (
          <Account onAgain={() => dispatch(importForgotten())} />
        )}
      </div>
    </main>
  );
}

function PasteList({ onBring }: { onBring: (text: string) => void }) {
  const [text, setText] = useState('');
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block font-semibold">
        Addresses of your site
      </label>
      <textarea
        id={id}
        rows={4}
        value={text}
        placeholder={'https://blog.example/about\n/rent, Rent a bike'}
        onChange={(event) => setText(event.target.value)}
        className="w-full rounded-md border px-2.5 py-1.5 font-mono text-[13px]"
      />
      <p className="mt-1 text-[13px] text-soft">
        One a line, or a table with a column of addresses. Links to them are offered and checked from then on.
      </p>
      <Button className="mt-2" disabled={text.trim() === ''} onClick={() => onBring(text)}>
        Add these pages
      </Button>
    </div>
  );
}

/** The folder of posts that the server was started with, where it was. */
function ServedFolder({ onOpen }: { onOpen: (files: PathFile[]) => void }) {
  const [folder, setFolder] = useState<string | null>(null);
  useEffect(() => {
    let isWanted = true;
    waysOut().then(
      (ways) => isWanted && setFolder(ways.folder),
      // Without the server there is no folder of its.
      () => {},
    );
    return () => {
      isWanted = false;
    };
  }, []);
  if (folder === null) return null;
  const open = async () => {
    const zip = await folderAsZip();
    if (zip) onOpen(chosenFiles([zip]));
  };
  return (
    <Button title={folder} onClick={() => attempt(open(), 'The folder could not be opened')}>
      <FolderOpen size={16} aria-hidden />
      Open the folder of posts
    </Button>
  );
}
