// A thread of its own for reading one large file: it can be stopped, and its memory has a bound.
import { register } from 'tsx/esm/api';

register();
await import('../src/cli/reading-thread.ts');
