import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { proseOf } from './prose.ts';

/** Says at the end of a process what processor time it took, all its threads together. */
const TELL = `process.on('exit', () => {
  const { user, system } = process.cpuUsage();
  require('node:fs').writeSync(2, 'processor time ' + (user + system) + '\\n');
});`;

/** Processor time of scoring a file of 500 words on the command line, over that of a start of Node alone. */
export function startOfCommandLine(): number {
  const folder = mkdtempSync(join(tmpdir(), 'start-'));
  const tell = join(folder, 'tell.cjs');
  const draft = join(folder, 'post.md');
  writeFileSync(tell, TELL);
  writeFileSync(draft, `---\ntitle: A tour\nkeyword: bike tour\n---\n\n${proseOf(500, 8)}\n`);
  const time = (args: readonly string[]) => {
    const run = spawnSync(process.execPath, ['--require', tell, ...args], { encoding: 'utf8' });
    const told = /processor time (\d+)/.exec(run.stderr);
    if (run.status !== 0 || !told)
      throw new Error(`${args.join(' ')} ended with ${run.status}: ${run.stderr}`);
    return Number(told[1]);
  };
  // In turn, so that both meet the machine as it is.
  const ratios = Array.from(
    { length: 11 },
    () => time(['bin/dune-sparrow', 'score', draft]) / time(['-e', '0']),
  );
  rmSync(folder, { recursive: true });
  return ratios.sort((a, b) => a - b)[5];
}
