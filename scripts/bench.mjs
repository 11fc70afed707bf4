/*
 * `npm run bench`: a line a figure: name, value, unit, target, reference. `--json` prints a list. Times are the median
 * of several runs; the noise of the machine is printed with them, as the spread of a fixed piece of work. Photographs
 * are 120; `BENCH_PHOTOGRAPHS=3000` reads as many as the promise about gross misreadings is made for, in some hours.
 * `--soak` measures what takes minutes beside them and nothing else: the server killed while it writes, spoilt requests, files
 * that unpack to more than they are. `--full` walks the rules over 100 000 random plans, reads as many made-up surfaces as the promises about them are made for, and runs the property tests on all of
 * their seeds.
 */
import { spawn, spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { cpus } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { measureVisits } from './bench-page.mjs';
import { build, bundleTypeScript, install, loadTypeScript, root } from './lib.mjs';

const round = (value) => Number(value.toPrecision(3));
const print = ({ name, value, unit, target, reference }) =>
  process.stdout.write(
    `${[name, `${value} ${unit}`, target && `target ${target}`, reference].filter(Boolean).join(' | ')}\n`,
  );

await install();
build();
if (process.argv.includes('--soak')) {
  const { measureSoak } = await import('./soak.mjs');
  await measureSoak((name, value, unit, target, reference) =>
    print({ name, value: round(value), unit, target, reference }),
  );
  process.exit(0);
}
const asJson = process.argv.includes('--json');
const full = process.argv.includes('--full');
if (full) Object.assign(process.env, { BRICOLAGE_FULL: '1', BRICOLAGE_MANY: '1' });
const { measureCore, measureReading, measureWholePieces } = loadTypeScript('scripts/bench-core.ts');
const { measureShop } = loadTypeScript('scripts/bench-shop.ts');
const { measureStore } = loadTypeScript('scripts/bench-store.ts');
const { measurePrice } = loadTypeScript('scripts/bench-price.ts');
const { measureTrouble } = loadTypeScript('scripts/bench-trouble.ts');
const { drawColourShot, drawLooks, measureLooks, measureNovices } = loadTypeScript('scripts/bench-looks.ts');

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const figures = [
  ...measureCore(),
  ...measureShop(),
  ...measureStore(),
  ...measurePrice(),
  ...measureTrouble(),
  ...measureLooks(full ? 500 : 60),
  ...measureNovices(),
  ...measureReading(),
  ...measureWholePieces(),
];
const add = (name, value, unit, target, reference) =>
  figures.push({ name, value: round(value), unit, target, reference });

/** Seconds of a whole command, from a cold start to its last word. */
const runOnce = (...args) => {
  const started = performance.now();
  const { status } = spawnSync(process.execPath, args, { cwd: root, stdio: ['ignore', 'ignore', 'inherit'] });
  if (status !== 0) throw new Error(`${args.join(' ')} failed`);
  return (performance.now() - started) / 1000;
};
const COMMAND_REPEATS = 5;
const runSome = (...args) => median(Array.from({ length: COMMAND_REPEATS }, () => runOnce(...args)));
const bare = runSome('-e', '0');
for (const [piece, file, target] of [
  ['a kitchen', 'demo/dossiers/kitchenette-doors.json', '<= 0.5'],
  ['12 zones', '.cache/bench-piece.json', '<= 0.7'],
])
  for (const command of ['diagnose', 'plan']) {
    const taken = runSome('scripts/bricolage.mjs', command, file);
    add(`${command} command with start-up, ${piece}`, taken, 's', target, `${round(taken / bare)} bare starts of Node`);
  }

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
// What the page names is what a visit to Today loads before anything is tapped.
const first = readdirSync(scripts).filter((name) => name.endsWith('.js') && html.includes(name));
const size = (ending) => first.reduce((sum, name) => sum + statSync(path.join(scripts, name + ending)).size, 0) / 1000;
const about = `sum of the ${first.length} scripts it loads`;
add('JavaScript of the first screen, brotli', size('.br'), 'kB', '<= 380', about);
add('JavaScript of the first screen, gzip', size('.gz'), 'kB', '', 'framework alone in a trial: about 610');

/** A made-up picture at the size of a phone's photograph, 12 MP, as a file. */
async function takePicture({ data, width, height }, name) {
  const scale = Math.sqrt(12e6 / (width * height));
  const file = path.join(root, `.cache/bench-${name}.jpg`);
  await sharp(data, { raw: { width, height, channels: 4 } })
    .resize(Math.round(scale * width))
    .jpeg({ quality: 90 })
    .toFile(file);
  return file;
}
const takeLooks = () =>
  Promise.all(
    drawLooks().map(async ({ title, pictures }, look) => ({
      title,
      files: await Promise.all(pictures.map((picture, i) => takePicture(picture, `look-${look}-${i}`))),
    })),
  );
await measureVisits(add, await takeLooks(), await takePicture(drawColourShot(), 'colour'));

if (full) {
  const started = performance.now();
  const { status } = spawnSync('npx', ['jest', 'tests/properties', '--maxWorkers=100%'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (status !== 0) throw new Error('a property does not hold on all of its seeds');
  add('property tests on all of their seeds', (performance.now() - started) / 1000, 's', '', 'all hold');
}

const FAILURES_SHOWN = 12;
const failures = [];
await measurePhotographs();

/** Photographs of the simulated camera, in as many processes as there are processors. */
async function readPhotographs(kind, seeds) {
  const bundle = path.join(root, '.cache/measure-photos.cjs');
  bundleTypeScript('scripts/measure-photos.ts', bundle);
  const shares = Array.from({ length: cpus().length }, (_, k) => seeds.filter((_seed, i) => i % cpus().length === k));
  const parts = await Promise.all(
    shares.map(
      (share) =>
        new Promise((resolve, reject) => {
          const child = spawn(process.execPath, [bundle, kind, ...share.map(String)], {
            stdio: ['ignore', 'pipe', 'inherit'],
          });
          let out = '';
          child.stdout.on('data', (chunk) => (out += chunk));
          child.on('exit', (code) => (code === 0 ? resolve(JSON.parse(out)) : reject(new Error(`${kind}: ${code}`))));
        }),
    ),
  );
  return parts.flat();
}

async function measurePhotographs() {
  const count = Number(process.env.BENCH_PHOTOGRAPHS ?? 120);
  const seeds = Array.from({ length: count }, (_, i) => i);
  const large = Math.ceil(count / 25);
  const [small, huge, spoilt, strips, colours, cards] = [
    await readPhotographs('lattice', seeds.slice(large)),
    await readPhotographs('lattice12', seeds.slice(0, large)),
    await readPhotographs(
      'unreadable',
      seeds.slice(0, Math.ceil(count / 5)).map((seed) => seed + 1000),
    ),
    await readPhotographs('strips', seeds.slice(0, Math.ceil(count / 5))),
    await readPhotographs('colour', seeds),
    await readPhotographs('drawdown', seeds),
  ];
  const all = [...small, ...huge];
  const within = (steps) =>
    all.filter(({ faults, truthClass, readClass }) => faults.length === 0 && Math.abs(truthClass - readClass) <= steps);
  const used = all.filter(({ faults }) => faults.length === 0);
  const share = (part, whole) => (100 * part.length) / whole.length;
  const about = `${all.length} photographs, ${huge.length} of them of 12 MP, corners found by itself; a refusal counts as wrong`;
  add('lattice: class exact', share(within(0), all), '%', '>= 93', about);
  add(
    'lattice: read two classes or more too well',
    used.filter(({ truthClass, readClass }) => readClass <= truthClass - 2).length,
    '',
    '0',
    `of ${used.length} used; BENCH_PHOTOGRAPHS=3000 takes longer`,
  );
  add(
    'lattice: readable ones refused',
    share(
      all.filter(({ faults }) => faults.length > 0),
      all,
    ),
    '%',
    '<= 1',
    about,
  );
  add('lattice: within one class', share(within(1), all), '%', '>= 99.5', about);
  const misses = used.map(({ truthPct, readPct }) => Math.abs(truthPct - readPct));
  add(
    'lattice: mean error of the area removed',
    misses.reduce((sum, miss) => sum + miss, 0) / misses.length,
    'points',
    '<= 2.5',
    `${used.length} used`,
  );
  add('lattice: reading without decoding', median(all.map(({ ms }) => ms)), 'ms', '', 'median, machine fully busy');
  const refused = spoilt.filter(({ faults }) => faults.length > 0);
  add('unreadable photographs refused', share(refused, spoilt), '%', '>= 90', `${spoilt.length} made unreadable`);
  const even = strips.filter(({ faults }) => faults.length === 0);
  add(
    'bleed: mean error of ΔE00',
    even.reduce((sum, { meanMiss }) => sum + meanMiss, 0) / even.length,
    '',
    '<= 0.5',
    `${even.length} of ${strips.length} strips used`,
  );
  const meanOf = (values) => values.reduce((sum, own) => sum + own, 0) / values.length;
  const matches = (which) => meanOf(colours.map((own) => own[which].miss));
  add(
    'colour beside white paper: mean error of ΔE00',
    matches('plain'),
    '',
    '<= 1',
    `${colours.length} renders, no camera curve`,
  );
  add(
    'the same through a camera with a curve of its own',
    matches('curved'),
    '',
    '',
    `with a grey card ${matches('withGrey').toFixed(2)}`,
  );
  add(
    'draw-down: largest error of the contrast ratio',
    Math.max(...cards.map(({ miss }) => miss)),
    '',
    '<= 0.01',
    `${cards.length} renders`,
  );
  for (const own of all.filter((reading) => !within(0).includes(reading))) {
    const cause =
      own.faults.length > 0
        ? `refused: ${own.faults.join(', ')}`
        : own.cornersOffPx > 15
          ? 'corners wrong'
          : Math.abs(own.truthPct - own.readPct) <= 2.5
            ? 'close to a limit'
            : 'colours parted wrongly';
    failures.push({
      cause,
      text: `${own.seed}: ${own.about}; ${own.truthPct.toFixed(1)} % read as ${own.readPct.toFixed(1)} %`,
    });
  }
}

if (asJson) process.stdout.write(`${JSON.stringify(figures, null, 2)}\n`);
else {
  figures.forEach(print);
  for (const cause of [...new Set(failures.map((failure) => failure.cause))]) {
    const own = failures.filter((failure) => failure.cause === cause);
    process.stdout.write(`lattice, ${cause}: ${own.length}\n`);
    for (const { text } of own.slice(0, FAILURES_SHOWN)) process.stdout.write(`  ${text}\n`);
  }
}
