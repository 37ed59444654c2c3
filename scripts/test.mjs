// Every check and every test, from a fresh clone; with LONG=1 in their long form. Ends with the plain line
// `N passed, N failed`.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { build, checkNode, fail, install, root } from './prepare.mjs';

const bin = (name) => join(root, 'node_modules', '.bin', name);
const began = Date.now();
let passed = 0;
let failed = 0;
let skipped = 0;

function run(command, args, options = {}) {
  return (
    spawnSync(command, args, { cwd: root, stdio: ['ignore', 'inherit', 'inherit'], ...options }).status === 0
  );
}

/** Runs a command beside others; answers whether it went well, and all that it said. */
function said(command, args) {
  return new Promise((resolve) => {
    const { FORCE_COLOR: _color, ...env } = process.env;
    const child = spawn(command, args, { cwd: root, env, stdio: ['ignore', 'pipe', 'pipe'] });
    let text = '';
    const keep = (bytes) => {
      text += bytes;
    };
    child.stdout.on('data', keep);
    child.stderr.on('data', keep);
    child.on('error', (error) => resolve({ fine: false, text: `${text}${error.message}\n` }));
    child.on('close', (status) => resolve({ fine: status === 0, text }));
  });
}

async function check(name, command, args) {
  const { fine, text } = await said(command, args);
  console.log(`\n# ${name}\n${text.trim()}`);
  if (fine) passed += 1;
  else {
    failed += 1;
    console.error(`The check "${name}" failed.`);
  }
}

/** Debian's Chromium, installed where that is allowed. */
function chromium() {
  if (existsSync('/usr/bin/chromium')) return;
  if (process.getuid?.() !== 0)
    fail(
      'The end-to-end tests need Chromium at /usr/bin/chromium. Install it with: sudo apt-get install chromium',
    );
  console.error('Installing Chromium (once)...');
  const quiet = { stdio: ['ignore', 2, 2], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
  const done =
    run('apt-get', ['update'], quiet) &&
    run('apt-get', ['install', '-y', '--no-install-recommends', 'chromium'], quiet);
  if (!done || !existsSync('/usr/bin/chromium'))
    fail('Chromium could not be installed. Install it with: apt-get install chromium');
}

/** dependency-cruiser can read nothing and call that clean: it must have read the sources. */
async function arrows() {
  const { text } = await said(bin('depcruise'), [
    'src',
    '--config',
    '.dependency-cruiser.cjs',
    '--output-type',
    'json',
  ]);
  console.log('\n# arrows between folders');
  let summary;
  try {
    summary = JSON.parse(text.slice(text.indexOf('{'), text.lastIndexOf('}') + 1)).summary;
  } catch {
    summary = null;
    console.error(text);
  }
  const broken = summary?.violations ?? [];
  for (const { rule, from, to } of broken) console.error(`${rule.name}: ${from} -> ${to}`);
  const fine = summary !== null && summary.totalCruised > 100 && broken.length === 0;
  if (summary) console.log(`${summary.totalCruised} modules read, ${broken.length} arrows against the rules`);
  if (fine) passed += 1;
  else failed += 1;
}

checkNode();
install();
chromium();
rmSync(join(root, 'test-results'), { recursive: true, force: true });
mkdirSync(join(root, 'test-results'), { recursive: true });

// The command line starts from its build: its tests need not compile it each time.
build();
// None of them needs another: two at once keep two cores at work.
await Promise.all([
  check('types', bin('tsc'), ['-p', '.']),
  (async () => {
    await check('generated tables are current', process.execPath, ['scripts/generate.mjs', '--check']);
    await check('format and lint', bin('biome'), ['ci', '--error-on-warnings', '.']);
    await arrows();
    await check('nothing unused', bin('knip'), []);
  })(),
]);

console.log('\n# unit tests');
const unit = join(root, 'test-results', 'unit.json');
run(bin('vitest'), ['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${unit}`]);
if (existsSync(unit)) {
  const { numPassedTests, numFailedTests, success, testResults } = JSON.parse(readFileSync(unit, 'utf8'));
  passed += numPassedTests;
  // A file that could not even be loaded counts as a failure of its own.
  failed +=
    numFailedTests +
    (success || numFailedTests
      ? 0
      : Math.max(1, testResults.filter((one) => one.status === 'failed').length));
} else failed += 1;

console.log('\n# end-to-end tests');
const e2e = join(root, 'test-results', 'e2e.json');
run(bin('playwright'), ['test']);
if (existsSync(e2e)) {
  const { stats, errors } = JSON.parse(readFileSync(e2e, 'utf8'));
  passed += stats.expected + stats.flaky;
  failed += stats.unexpected + errors.length;
  skipped += stats.skipped;
} else failed += 1;

/** The tests that take longest, so that one that grew is seen. */
function slowest(count) {
  const times = [];
  if (existsSync(unit))
    for (const { name, assertionResults } of JSON.parse(readFileSync(unit, 'utf8')).testResults)
      for (const { fullName, duration } of assertionResults)
        times.push({ seconds: (duration ?? 0) / 1000, what: `${relative(root, name)}: ${fullName}` });
  const visit = (suite) => {
    for (const inner of suite.suites ?? []) visit(inner);
    for (const { title, file, tests } of suite.specs ?? [])
      for (const { results } of tests)
        times.push({
          seconds: results.reduce((sum, { duration }) => sum + duration, 0) / 1000,
          what: `e2e/${file}: ${title}`,
        });
  };
  if (existsSync(e2e)) visit(JSON.parse(readFileSync(e2e, 'utf8')));
  console.log(`\n# the ${count} slowest tests`);
  for (const { seconds, what } of times.sort((a, b) => b.seconds - a.seconds).slice(0, count))
    console.log(`${seconds.toFixed(1).padStart(7)} s  ${what}`);
}

slowest(10);
console.log(`\n${((Date.now() - began) / 60_000).toFixed(1)} minutes`);
console.log(`${passed} passed, ${failed} failed${skipped ? `, ${skipped} skipped` : ''}`);
process.exit(failed === 0 ? 0 : 1);
