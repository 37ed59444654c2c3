import { expose } from 'comlink';
import { jobs } from './jobs.ts';

expose(jobs);
