import { expose } from 'comlink';
import { research } from './research.ts';

expose(research);
