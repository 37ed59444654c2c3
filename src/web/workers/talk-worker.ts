import { expose } from 'comlink';
import { talk } from './talk.ts';

expose(talk);
