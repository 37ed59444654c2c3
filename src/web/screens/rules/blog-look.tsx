import { useState } from 'react';
import type { BlogSettings } from '../../../core/blog/index.ts';
import { setBlogSettings } from '../../services/publishing.ts';
import { failureInWords } from '../../state/attempt.ts';
import { ChoiceField, TextField } from '../../ui/field.tsx';
import { WordLink } from '../../ui/word-link.tsx';

/** How the blog beside the application shows its posts. */
export function BlogLook({ settings: given }: { settings: BlogSettings }) {
  const [settings, setSettings] = useState(given);
  const [problem, setProblem] = useState('');
  const [perPage, setPerPage] = useState(String(given.perPage));
  const keep = async (next: BlogSettings): Promise<boolean> => {
    setProblem('');
    try {
      setSettings(await setBlogSettings(next));
      return true;
    } catch (error) {
      setProblem(failureInWords(error));
      return false;
    }
  };
  return (
    <div className="mt-5">
      <h3 className="mb-2 font-semibold">How the blog looks</h3>
      <div className="grid grid-cols-3 gap-5 max-[760px]:grid-cols-1">
        <ChoiceField<BlogSettings['look']>
          label="Lists show posts as"
          value={settings.look}
          onChange={(look) => void keep({ ...settings, look })}
          options={[
            { value: 'cards', name: 'cards with pictures' },
            { value: 'lines', name: 'lines' },
          ]}
        />
        <TextField
          label="Posts a page"
          inputMode="numeric"
          value={perPage}
          problem={
            /^\d{1,3}$/.test(perPage) && Number(perPage) >= 1 && Number(perPage) <= 100 ? '' : '1 to 100'
          }
          onChange={(text) => {
            setPerPage(text);
            const count = Number(text);
            if (Number.isInteger(count) && count >= 1 && count <= 100)
              void keep({ ...settings, perPage: count });
          }}
        />
        <TextField
          stored
          label="Words of the link to a post"
          value={settings.moreWords}
          onChange={(moreWords) => moreWords.trim() && void keep({ ...settings, moreWords })}
        />
      </div>
      <p className="mt-4 text-soft">
        Its categories, addresses and redirects are put in order under{' '}
        <WordLink to="/site/categories">Site</WordLink>.
      </p>
      {problem && (
        <p role="alert" className="mt-2 text-rust">
          {problem}
        </p>
      )}
    </div>
  );
}
