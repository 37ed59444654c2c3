// A thread of its own for reading one large file: it can be stopped, and its memory has a bound.
import { load } from './load.mjs';

await load('reading-thread');
