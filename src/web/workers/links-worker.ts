import { expose } from 'comlink';
import { links } from './links.ts';
import { sources } from './sources.ts';

expose({ ...links, ...sources });
