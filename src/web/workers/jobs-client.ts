import { type Remote, wrap } from 'comlink';
import { database } from '../data/database.ts';
import type { JobsApi } from './jobs-worker.ts';

let jobs: Remote<JobsApi> | null = null;

/** The worker for long jobs; started by the first who asks, so that screens are there before it. */
export function jobsWorker(): Remote<JobsApi> {
  if (!jobs) {
    jobs = wrap<JobsApi>(new Worker(new URL('./jobs-worker.ts', import.meta.url), { type: 'module' }));
    void jobs.open(database().name);
  }
  return jobs;
}
