import { connectWorker } from './connect-worker.ts';
import type { Language } from './language.ts';

const link = connectWorker<Language>({
  name: 'Looking through the language',
  start: () => new Worker(new URL('./language-worker.ts', import.meta.url), { type: 'module' }),
});

/** The worker that looks through the language of drafts; started by the first who asks. */
export const languageWorker = () => link.api();
