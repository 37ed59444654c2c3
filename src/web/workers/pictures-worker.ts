import { expose } from 'comlink';
import { pictures } from './pictures.ts';

expose(pictures);
