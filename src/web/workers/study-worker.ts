import { expose } from 'comlink';
import { studies } from './study.ts';

expose(studies);
