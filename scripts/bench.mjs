/*
 * `npm run bench`: a line a figure: name, value, unit, target, reference. `--json` prints a list. Times are the median
 * of several runs; the noise of the machine is printed with them, as the spread of a fixed piece of work.
 */
import { spawn, spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { build, install, loadTypeScript, root } from './lib.mjs';

install();
build();
const asJson = process.argv.includes('--json');
const { measureCore, measureReading } = loadTypeScript('scripts/bench-core.ts');

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const round = (value) => Number(value.toPrecision(3));
const figures = [...measureCore(), ...measureReading()];
const add = (name, value, unit, target, reference) =>
  figures.push({ name, value: round(value), unit, target, reference });

const cli = () => {
  const started = performance.now();
  const { status } = spawnSync(
    'npm',
    ['run', '-s', 'bricolage', '--', 'diagnose', path.join(root, '.cache/bench-piece.json')],
    { cwd: root, stdio: ['ignore', 'ignore', 'inherit'] },
  );
  if (status !== 0) throw new Error('diagnose failed');
  return (performance.now() - started) / 1000;
};
add(
  'diagnose command with start-up, 12 zones',
  median([cli(), cli(), cli()]),
  's',
  '< 1.5',
  'npm run -s bricolage -- diagnose',
);

const demo = () =>
  new Promise((resolve, reject) => {
    const started = performance.now();
    const child = spawn('npm', ['run', '-s', 'demo'], {
      cwd: root,
      detached: true,
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, PORT: '0' },
    });
    child.stdout.on('data', async (chunk) => {
      const found = /http:\/\/127\.0\.0\.1:\d+/.exec(chunk.toString());
      if (!found) return;
      const page = await fetch(found[0]);
      await page.text();
      process.kill(-child.pid, 'SIGTERM');
      if (page.status === 200) resolve((performance.now() - started) / 1000);
      else reject(new Error(`the page answered ${page.status}`));
    });
  });
add('second npm run demo to a served page', await demo(), 's', '< 15', 'packages and build in place');

const scripts = path.join(root, 'dist/_expo/static/js/web');
const html = readFileSync(path.join(root, 'dist/index.html'), 'utf8');
const always = readdirSync(scripts).filter(
  (name) => name.endsWith('.js') && (html.includes(name) || /^(__common|entry|_layout|__expo-metro)/.test(name)),
);
const list = readdirSync(scripts).filter((name) => /^index-.*\.js$/.test(name));
const size = (names, ending) =>
  names.reduce((sum, name) => sum + statSync(path.join(scripts, name + ending)).size, 0) / 1000;
const largestRoute = Math.max(...list.map((name) => size([name], '.br')));
add(
  'JavaScript of the first screen, brotli',
  size(always, '.br') + largestRoute,
  'kB',
  '< 560',
  'sum of the chunks it loads',
);
add(
  'JavaScript of the first screen, gzip',
  size(always, '.gz') + Math.max(...list.map((name) => size([name], '.gz'))),
  'kB',
  '',
  'framework alone in a trial: about 610',
);

if (asJson) process.stdout.write(`${JSON.stringify(figures, null, 2)}\n`);
else
  for (const { name, value, unit, target, reference } of figures)
    process.stdout.write(
      `${[name, `${value} ${unit}`, target && `target ${target}`, reference].filter(Boolean).join(' | ')}\n`,
    );
