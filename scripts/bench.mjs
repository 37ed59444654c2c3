// Installs what is missing and prints the figures of bench/main.ts.
import { build, checkNode, install } from './prepare.mjs';

checkNode();
install();
build();
const { register } = await import('tsx/esm/api');
register();
await import('../bench/main.ts');
