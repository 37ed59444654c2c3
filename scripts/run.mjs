// Starts Dune Sparrow from a fresh clone: installs and builds what is missing, then runs the server in this process.
import { build, checkNode, install } from './prepare.mjs';

for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => process.exit(0));
checkNode();
install();
build();
for (const signal of ['SIGINT', 'SIGTERM']) process.removeAllListeners(signal);
const { register } = await import('tsx/esm/api');
register();
const { startServer } = await import('../src/server/main.ts');
startServer({ demo: process.argv.includes('--demo') });
