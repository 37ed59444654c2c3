import { expose } from 'comlink';
import { plans } from './plan.ts';
import { studies } from './study.ts';

expose({ ...studies, ...plans });
