import { expose } from 'comlink';
import { links } from './links.ts';
import { sources } from './sources.ts';
import { titles } from './titles.ts';

expose({ ...links, ...sources, ...titles });
