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
const given = process.argv.slice(2);
const at = given.findIndex((argument) => /^--content(?:=|$)/.test(argument));
const content = at < 0 ? '' : given[at].split('=').slice(1).join('=') || given[at + 1] || '';
startServer({ demo: given.includes('--demo'), content });
