import { ArrowRight } from 'lucide-react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { isZone } from '../../../core/site/index.ts';
import { resetDemo } from '../../data/demo.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { changeSite, currentSite } from '../../data/sites.ts';
import { ownZone } from '../../data/zone-of.ts';
import { isDemo } from '../../services/is-demo.ts';
import { attempt } from '../../state/attempt.ts';
import { type Theme, themeChosen } from '../../state/preferences.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { undo } from '../../state/undo.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';
import { Button } from '../../ui/button.tsx';
import { ChoiceField, TextField } from '../../ui/field.tsx';
import { Waiting } from '../../ui/waiting.tsx';
import { WordLink } from '../../ui/word-link.tsx';
import { BackupSection } from './backup-section.tsx';
import { BriefSection, ChecklistSection } from './house-sections.tsx';
import { LanguageSection } from './language-section.tsx';
import { PicturesSection } from './pictures-section.tsx';
import { PublishingSection } from './publishing-section.tsx';
import { ReaderSection } from './reader-section.tsx';
import { RemoveSite } from './remove-site.tsx';
import { ResearchSection } from './research-section.tsx';
import { WritingSection } from './writing-section.tsx';

/** Brings the demo back, with a way back from that too. */
async function reset(): Promise<void> {
  const task = resetDemo();
  toast.promise(task, {
    loading: 'Resetting...',
    success: 'The demo is as it was.',
    error: 'The demo could not be reset. Reload the page and try again.',
    duration: 12_000,
    action: {
      label: 'Undo',
      onClick: () =>
        attempt(
          task.then((takeBack) => undo(takeBack)),
          'It could not be taken back',
        ),
    },
  });
  await task;
}

/** House rules: what holds for every post of the site. */
export function Rules() {
  const site = useLiveQuery(currentSite);
  const theme = useAppSelector((state) => state.preferences.theme);
  const dispatch = useAppDispatch();
  if (!site) return <Waiting />;
  const set = (patch: Partial<SiteRow>) => attempt(changeSite(site.id, patch));
  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto max-w-3xl px-8 py-6">
        <h1 className="mb-6 font-serif text-[26px] font-semibold">House rules</h1>
        <section aria-label="Site" className="mb-8 grid grid-cols-2 gap-5 max-[760px]:grid-cols-1">
          <TextField stored label="Site name" value={site.name} onChange={(name) => set({ name })} />
          <TextField
            stored
            label="Address"
            value={site.baseAddress}
            onChange={(baseAddress) => set({ baseAddress })}
            placeholder="https://blog.example"
            note="Links to this host count as internal."
          />
          <TextField
            stored
            label="Meta title pattern"
            value={site.titlePattern ?? ''}
            onChange={(pattern) => set({ titlePattern: pattern === '' ? null : pattern })}
            note="{title} and {site} are filled in; empty: titles stand as written."
          />
          <p>
            <span className="mb-2.5 block font-semibold">Address pattern of posts</span>
            {site.addressPattern} <WordLink to="/site/addresses">Change it</WordLink>
          </p>
          <TextField
            stored
            label="Language"
            value={site.language}
            onChange={(language) => set({ language })}
            note="Of posts that name none."
          />
          <TextField stored label="Region" value={site.region} onChange={(region) => set({ region })} />
          <TextField
            stored
            label="Time zone"
            value={site.zone ?? ''}
            onChange={(zone) => set({ zone: zone.trim() })}
            placeholder={ownZone()}
            note={
              site.zone && !isZone(site.zone)
                ? `"${site.zone}" is no zone that this browser knows; days are counted by ${ownZone()}. Write one such as Europe/London.`
                : 'Of "today" and of months, e.g. Europe/London; empty: that of this machine.'
            }
          />
        </section>
        <BriefSection key={`${site.id} brief`} site={site} />
        <ChecklistSection key={`${site.id} checklist`} site={site} />
        <ResearchSection site={site} />
        <section aria-label="Criteria" className="mb-8 border-t pt-5">
          <h2 className="mb-1 font-semibold">Criteria</h2>
          <p className="mb-3 max-w-2xl text-soft">
            {site.profile
              ? 'Posts are scored by your own weights and limits.'
              : 'Posts are scored by the weights and limits that come with Dune Sparrow.'}{' '}
            What a change does to your posts is shown before it is applied.
          </p>
          <Link
            to="/rules/criteria"
            className="inline-flex min-h-8.5 items-center gap-1.5 rounded-md border bg-sheet px-2.5 py-1.5 hover:border-soft"
          >
            Weights and limits
            <ArrowRight size={15} aria-hidden />
          </Link>
        </section>
        <WritingSection site={site} />
        <LanguageSection site={site} />
        <PublishingSection site={site} />
        <PicturesSection site={site} />
        <ReaderSection site={site} />
        <section aria-label="Appearance" className="mb-8 w-52 border-t pt-5">
          <ChoiceField<Theme>
            label="Theme"
            value={theme}
            onChange={(chosen) => dispatch(themeChosen(chosen))}
            options={[
              { value: 'system', name: 'As the system' },
              { value: 'light', name: 'Light' },
              { value: 'dark', name: 'Dark' },
            ]}
          />
        </section>
        <BackupSection />
        <RemoveSite site={site} />
        {isDemo() && (
          <section aria-label="Demo" className="border-t pt-5">
            <h2 className="mb-1 font-semibold">Demo data</h2>
            <p className="mb-3 text-soft">
              Everything in this demo goes back to how it was first: your posts here, their pictures and these
              rules.
            </p>
            <Button onClick={() => attempt(reset())}>Reset the demo</Button>
          </section>
        )}
      </div>
    </main>
  );
}
