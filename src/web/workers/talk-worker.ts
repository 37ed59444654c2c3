import { expose } from 'comlink';
import { reusing } from './reuse.ts';
import { talk } from './talk.ts';

expose({ ...talk, ...reusing });
