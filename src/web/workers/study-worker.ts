import { expose } from 'comlink';
import { plans } from './plan.ts';
import { studies } from './study.ts';
import { writing } from './writing.ts';

expose({ ...studies, ...plans, ...writing });
