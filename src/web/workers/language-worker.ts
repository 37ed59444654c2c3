import { expose } from 'comlink';
import { language } from './language.ts';

expose(language);
