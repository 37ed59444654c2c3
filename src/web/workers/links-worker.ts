import { expose } from 'comlink';
import { links } from './links.ts';

expose(links);
