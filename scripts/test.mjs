/*
 * `npm test`: installs what is missing, then everything: build, unit and http tests, browser tests, and beside them, with
 * what these leave of the processors, types, lint, format and what is unused. Ends with a table of where the time went.
 */
import { spawn } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { call, COMPILE_LATE, findChromium, placeDatabase, root, say, STEP_LIMIT } from './lib.mjs';

const started = Date.now();
const seconds = (from) => Math.round((Date.now() - from) / 1000);
const times = [];
const running = new Set();

function stop(status) {
  for (const child of running) child.kill();
  process.exit(status);
}
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => stop(1));

function yieldToOthers(pid) {
  try {
    writeFileSync(`/proc/${pid}/autogroup`, '19');
  } catch {
    // Elsewhere being nice is all there is to it.
  }
}

/**
 * One that fails ends all. What is told `aside` keeps its words until it ends, so that they do not mix. What runs only when
 * idle does so by being nice, and in a session of its own, for Linux shares the processors out by sessions first.
 */
const step = (name, [command, args], { aside = false, whenIdle = false, env = {} } = {}) =>
  new Promise((resolve) => {
    const from = Date.now();
    const stdio = ['ignore', aside ? 'pipe' : 'inherit', aside ? 'pipe' : 'inherit'];
    if (!aside) say(`\n── ${name} (${seconds(started)} s)`);
    const options = { cwd: root, stdio, env: { ...process.env, ...env } };
    const child = whenIdle
      ? spawn('nice', ['-n', '19', command, ...args], { ...options, detached: true })
      : spawn(command, args, { ...options, timeout: STEP_LIMIT });
    if (whenIdle) yieldToOthers(child.pid);
    running.add(child);
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (chunk) => (said += chunk));
    child.on('close', (status) => {
      running.delete(child);
      if (aside) say(`\n── ${name} (${seconds(from)} s, done after ${seconds(started)} s)\n${said.trim()}`);
      times.push([name, seconds(from)]);
      if (status !== 0) stop(status ?? 1);
      resolve();
    });
  });

const { execPath } = process;
const program = (name, ...args) => [execPath, [COMPILE_LATE, `node_modules/.bin/${name}`, ...args]];
/** Browser tests wait a sixth of their time: what may end late runs then. */
async function checkStatically() {
  for (const [name, own] of [
    // The compiler in machine code takes a fifth; lint asks the one in JavaScript.
    ['types', [execPath, ['node_modules/typescript-native/bin/tsc', '--noEmit', '--singleThreaded']]],
    ['lint', program('eslint', '.', '--max-warnings', '0')],
    ['format', program('prettier', '--check', '--log-level', 'warn', '.')],
    ['unused', program('knip', '--no-progress')],
  ])
    await step(name, own, { aside: true, whenIdle: true });
}

async function runTests() {
  await Promise.all([database, step('build', call('build'), { aside: true })]);
  placeDatabase();
  // Left to itself the runner keeps one processor free, which on two of them leaves one.
  await step('unit and http tests', program('jest', '--maxWorkers=100%'), { env: { NODE_OPTIONS: '--no-warnings' } });
  await step('browser tests', program('playwright', 'test'), { env: { CHROMIUM: findChromium() } });
}

const database = step('database', call('compileDatabase'), { aside: true });
await Promise.all([
  step('packages', call('fetchPackages'), { aside: true }),
  step('browser', call('findChromium'), { aside: true }),
]);
await Promise.all([checkStatically(), runTests()]);
say(`\nAll green after ${seconds(started)} s, of which`);
for (const [name, spent] of times) say(`${String(spent).padStart(5)} s  ${name}`);
