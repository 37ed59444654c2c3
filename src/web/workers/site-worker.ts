import { expose } from 'comlink';
import { siteMap } from './site-map.ts';

expose(siteMap);
