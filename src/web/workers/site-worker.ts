import { expose } from 'comlink';
import { wholeSite } from './whole-site.ts';

expose(wholeSite);
