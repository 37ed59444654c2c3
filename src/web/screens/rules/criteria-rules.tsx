import { ArrowLeft } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import {
  type CriterionId,
  criteriaMeanings,
  defaultProfile,
  GROUPS,
  LIMIT_MEANINGS,
  type LimitMeaning,
  type Profile,
  RAMP_CORNERS,
  readProfile,
  wholeProfile,
} from '../../../core/criteria/index.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { changeSite, currentSite } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';
import { Button } from '../../ui/button.tsx';
import { download } from '../../ui/download.ts';
import { FileButton } from '../../ui/file-button.tsx';
import { Panes } from '../../ui/panes.tsx';
import { GROUP_NAMES } from '../../ui/ridge.tsx';
import { Waiting } from '../../ui/waiting.tsx';
import { ProfileEffectPanel } from './profile-effect-panel.tsx';
import { changesBetween, formOf, type ProfileForm, profileOf } from './profile-form.ts';

/** Weights and limits of the house: set, tried on the posts at hand, then applied. */
export function CriteriaRules() {
  const site = useLiveQuery(currentSite);
  if (!site) return <Waiting />;
  // Another site, or another profile from another tab, begins anew.
  return <ProfileEditor key={`${site.id} ${JSON.stringify(site.profile)}`} site={site} />;
}

function ProfileEditor({ site }: { site: SiteRow }) {
  const kept = useMemo(() => formOf(wholeProfile(site.profile)), [site]);
  const [form, setForm] = useState(kept);
  const [fileProblem, setFileProblem] = useState('');
  const titles = useMemo(
    () => new Map(criteriaMeanings(defaultProfile.limits).map(({ id, title }) => [id, title])),
    [],
  );
  const { profile, problem } = useMemo(() => profileOf(form, titles), [form, titles]);
  const changes = changesBetween(form, kept);
  const isDefault = changesBetween(form, formOf(defaultProfile)) === 0;
  const meanings = criteriaMeanings((profile ?? wholeProfile(site.profile)).limits);
  const total = profile ? Object.values(profile.weights).reduce((sum, weight) => sum + weight, 0) : null;

  const apply = async (next: Profile) => {
    const back = await changeSite(site.id, { profile: isDefault ? null : next });
    offerUndo('Your posts are scored by the new rules from now on.', back, 15_000);
  };
  const take = async (given: File) => {
    setFileProblem('');
    try {
      const reading = readProfile(JSON.parse(await given.text()));
      if (reading.problem !== null) setFileProblem(`${given.name} cannot be used. ${reading.problem}`);
      else setForm(formOf(reading.profile));
    } catch {
      setFileProblem(`${given.name} cannot be used: it is no JSON. Choose a profile that was exported here.`);
    }
  };
  const setWeight = (id: CriterionId, typed: string) =>
    setForm({ ...form, weights: { ...form.weights, [id]: typed } });
  const setLimit = (name: LimitMeaning['name'], at: number, typed: string) =>
    setForm({ ...form, limits: { ...form.limits, [name]: form.limits[name].with(at, typed) } });

  return (
    <main className="flex h-full min-h-0 flex-col">
      <Panes
        name="criteria"
        main={
          <div className="min-h-0 min-w-0 flex-1 overflow-auto px-8 py-6">
            <Link
              to="/rules"
              className="mb-2 inline-flex items-center gap-1 text-[13px] text-soft hover:text-ink"
            >
              <ArrowLeft size={14} aria-hidden />
              House rules
            </Link>
            <h1 className="font-serif text-[26px] font-semibold">Weights and limits</h1>
            <p className="mb-5 max-w-2xl text-soft">
              A weight is the share of the score that a criterion can earn; 0 leaves it out. A limit says from
              where on it is earned.
            </p>
            {GROUPS.map((group) => (
              <section key={group} aria-label={`${GROUP_NAMES[group]}: weights`} className="mb-6">
                <h2 className="mb-1 border-b pb-1 font-semibold">{GROUP_NAMES[group]}</h2>
                <ul>
                  {meanings
                    .filter((one) => one.group === group)
                    .map(({ id, title, target }) => (
                      <li key={id} className="flex items-center gap-3 border-b py-1 text-[13px]">
                        <label htmlFor={`weight-${id}`} className="w-52 shrink-0">
                          {title}
                        </label>
                        <span className="min-w-0 flex-1 text-soft">{target}</span>
                        <NumberField
                          id={`weight-${id}`}
                          value={form.weights[id]}
                          changed={form.weights[id] !== kept.weights[id]}
                          onChange={(typed) => setWeight(id, typed)}
                        />
                      </li>
                    ))}
                </ul>
              </section>
            ))}
            <h2 className="mt-8 mb-1 font-serif text-xl font-semibold">Limits</h2>
            <p className="mb-3 text-soft">Between two numbers the points rise or fall evenly.</p>
            <ul>
              {LIMIT_MEANINGS.map((limit) => (
                <LimitRow key={limit.name} limit={limit} form={form} kept={kept} onChange={setLimit} />
              ))}
            </ul>
          </div>
        }
        side={
          <aside aria-label="Effect" className="flex min-h-0 flex-1 flex-col gap-4 overflow-auto px-5 py-6">
            <div>
              <h2 className="mb-2 font-serif text-xl font-semibold">On the posts at hand</h2>
              {problem !== null ? (
                <p role="alert" className="text-rust">
                  {problem}
                </p>
              ) : (
                <ProfileEffectPanel siteId={site.id} profile={profile} />
              )}
            </div>
            <div className="flex flex-wrap gap-2 border-t pt-4">
              <Button
                look="main"
                disabled={changes === 0 || !profile}
                onClick={() => profile && attempt(apply(profile))}
              >
                {changes === 0
                  ? 'Nothing to apply'
                  : `Apply ${changes} ${changes === 1 ? 'change' : 'changes'}`}
              </Button>
              <Button disabled={changes === 0} onClick={() => setForm(kept)}>
                Discard
              </Button>
              <Button disabled={isDefault} onClick={() => setForm(formOf(defaultProfile))}>
                Back to the defaults
              </Button>
            </div>
            <div className="border-t pt-4">
              <p className="mb-2 text-[13px] text-soft">
                {total === null
                  ? ''
                  : `The weights sum to ${Math.round(total * 10) / 10}; what applies is scaled to 100.`}
              </p>
              <div className="flex flex-wrap gap-2">
                <Button
                  disabled={!profile}
                  onClick={() =>
                    download('criteria-profile.json', JSON.stringify(profile, null, 2), 'application/json')
                  }
                >
                  Export as JSON
                </Button>
                <FileButton
                  label="Profile to import"
                  accept=".json,application/json"
                  onFiles={([given]) => attempt(take(given))}
                >
                  Import
                </FileButton>
              </div>
              {fileProblem && (
                <p role="alert" className="mt-2 text-rust">
                  {fileProblem}
                </p>
              )}
            </div>
          </aside>
        }
        sideName="the effect"
        sideWidth={360}
        below={900}
      />
    </main>
  );
}

function LimitRow({
  limit: { name, title, unit, meaning, shape },
  form,
  kept,
  onChange,
}: {
  limit: LimitMeaning;
  form: ProfileForm;
  kept: ProfileForm;
  onChange: (name: LimitMeaning['name'], at: number, typed: string) => void;
}) {
  const corners = shape === 'number' ? [''] : shape === 'ramp' ? RAMP_CORNERS : shape;
  return (
    <li className="flex flex-wrap items-end gap-x-4 gap-y-1 border-b py-1.5 text-[13px]">
      <span className="min-w-52 flex-1">
        {title} <span className="text-soft">({unit})</span>
        <span className="block text-soft">{meaning}</span>
      </span>
      <span className="flex gap-2">
        {corners.map((corner, at) => (
          <span key={corner} className="flex flex-col text-[12px] text-soft">
            {corner && <span aria-hidden>{corner}</span>}
            <NumberField
              label={corner ? `${title}: ${corner}` : title}
              value={form.limits[name][at]}
              changed={form.limits[name][at] !== kept.limits[name][at]}
              placeholder={shape === 'ramp' ? 'open' : ''}
              onChange={(typed) => onChange(name, at, typed)}
            />
          </span>
        ))}
      </span>
    </li>
  );
}

function NumberField({
  value,
  changed,
  onChange,
  id,
  label,
  placeholder,
}: {
  value: string;
  changed: boolean;
  onChange: (typed: string) => void;
  id?: string;
  label?: string;
  placeholder?: string;
}) {
  return (
    <input
      id={id}
      aria-label={label}
      inputMode="decimal"
      value={value}
      placeholder={placeholder}
      onChange={(event) => onChange(event.target.value)}
      className={`w-19 rounded border px-1.5 py-0.5 text-right text-[13px] text-ink ${changed ? 'border-marram font-semibold' : ''}`}
    />
  );
}
