/*
 * `npm test`: installs what is missing, then everything: types, lint and format beside the build, unit and http tests,
 * browser tests. Ends with a table of where the time went.
 */
import { spawn } from 'node:child_process';
import { COMPILE_LATE, findChromium, root, run, say } from './lib.mjs';

const started = Date.now();
const seconds = (from) => Math.round((Date.now() - from) / 1000);
const times = [];

const step = (name, work) => {
  const from = Date.now();
  say(`\n── ${name} (${seconds(started)} s)`);
  work();
  times.push([name, seconds(from)]);
};

/** A step whose words are kept until it ends, so that those of steps beside each other do not mix. */
const beside = (name, command, args) =>
  new Promise((resolve) => {
    const from = Date.now();
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
    child.on('close', (status) => {
      say(`\n── ${name} (${seconds(from)} s)\n${said.trim()}`);
      times.push([name, seconds(from)]);
      if (status !== 0) process.exit(status ?? 1);
      resolve();
    });
  });

const inOrder = async (steps) => {
  for (const one of steps) await beside(...one);
};

const { execPath } = process;
const program = (name, ...args) => [execPath, [COMPILE_LATE, `node_modules/.bin/${name}`, ...args]];
const call = (name) => [execPath, ['--input-type=module', '-e', `(await import('./scripts/lib.mjs')).${name}()`]];

await Promise.all([beside('packages', ...call('fetchPackages')), beside('browser', ...call('findChromium'))]);
// Three chains of about the same length, the longest steps first.
await Promise.all([
  inOrder([
    ['native packages', ...call('compileNative')],
    ['format', ...program('prettier', '--check', '--log-level', 'warn', '.')],
    ['unused', ...program('knip', '--no-progress')],
  ]),
  inOrder([['build', ...call('build')]]),
  inOrder([
    ['types', ...program('tsc', '--noEmit')],
    ['lint', ...program('eslint', '.', '--max-warnings', '0')],
  ]),
]);
// Left to itself the runner keeps one processor free, which on two of them leaves one.
step('unit and http tests', () => run(...program('jest', '--maxWorkers=100%'), { NODE_OPTIONS: '--no-warnings' }));
step('browser tests', () => run('npx', ['playwright', 'test'], { CHROMIUM: findChromium() }));
say(`\nAll green after ${seconds(started)} s, of which`);
for (const [name, spent] of times) say(`${String(spent).padStart(5)} s  ${name}`);
