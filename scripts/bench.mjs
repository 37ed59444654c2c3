// Installs what is missing and prints the figures of bench/main.ts.
import { checkNode, install } from './prepare.mjs';

checkNode();
install();
const { register } = await import('tsx/esm/api');
register();
await import('../bench/main.ts');
