/* `npm test`: installs what is missing, then everything: types, lint, format, unit and http tests, build, browser. */
import { build, findChromium, install, run, say } from './lib.mjs';

const started = Date.now();
const step = (name, work) => {
  say(`\n── ${name} (${Math.round((Date.now() - started) / 1000)} s)`);
  work();
};
step('install', install);
step('types', () => run('npx', ['tsc', '--noEmit']));
step('lint', () => run('npx', ['eslint', '.', '--max-warnings', '0']));
step('format', () => run('npx', ['prettier', '--check', '--log-level', 'warn', '.']));
// Left to itself the runner keeps one processor free, which on two of them leaves one.
step('unit and http tests', () => run('npx', ['jest', '--maxWorkers=100%'], { NODE_OPTIONS: '--no-warnings' }));
step('build', build);
step('browser tests', () => run('npx', ['playwright', 'test'], { CHROMIUM: findChromium() }));
say(`\nAll green after ${Math.round((Date.now() - started) / 1000)} s`);
