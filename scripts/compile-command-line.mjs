// Scores a post with the command line that was just built and keeps what the engine compiled for it. Under the flags of a
// start, or the engine would refuse it.
import '../bin/load.mjs';
import { keepCompiled, loadBuilt } from '../bin/built.mjs';
import { at } from './sources.mjs';

const written = process.stdout.write;
process.stdout.write = () => true;
const { main } = loadBuilt('main');
await main(['score', at('src', 'demo', 'posts', 'touring-tyre-pressure.md')]);
process.stdout.write = written;
keepCompiled();
