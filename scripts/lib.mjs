/* What the set-up scripts share: plain Node, so that they run on a fresh clone with nothing installed. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { createRequire } from 'node:module';
import {
  cpSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { Script } from 'node:vm';

export const root = fileURLToPath(new URL('..', import.meta.url));
export const say = (text) => process.stdout.write(`${text}\n`);

/**
 * For Node: compile for speed later than it does by itself. What is over within a minute spends a fifth to a third of the
 * processor's time on it otherwise.
 */
export const COMPILE_LATE = '--interrupt-budget=500000';

/** For Node: room for what is thrown away soon, MB, where trees of much code are made and dropped. */
const ROOMY = '--min-semi-space-size=64';

/** Longest a step may take, ms: a step that hangs fails instead. */
export const STEP_LIMIT = 12 * 60_000;

export function run(command, args, env = {}, cwd = root) {
  const options = { cwd, stdio: 'inherit', timeout: STEP_LIMIT, env: { ...process.env, ...env } };
  const { status } = spawnSync(command, args, options);
  if (status !== 0) process.exit(status ?? 1);
}

/** A step that is only done again when what it is made from has changed. */
export function onlyIfChanged(name, sources, product, work, read = readFileSync) {
  const stamp = path.join(root, '.cache', `${name}.stamp`);
  const now = hashFiles(sources, read);
  if (existsSync(path.join(root, product)) && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return false;
  work();
  mkdirSync(path.dirname(stamp), { recursive: true });
  writeFileSync(stamp, now);
  return true;
}

/** A file by its size and when it was written: a tenth of the time of reading it, where a needless bundle costs little. */
const readDates = (file) => {
  const { size, mtimeMs } = statSync(file);
  return `${size} ${mtimeMs}`;
};

function hashFiles(sources, read) {
  const hash = createHash('sha256');
  const visit = (file) => {
    if (!existsSync(file)) return;
    if (statSync(file).isDirectory()) {
      for (const name of readdirSync(file).sort()) visit(path.join(file, name));
      return;
    }
    if (/\.test\.tsx?$/.test(file)) return;
    hash.update(path.relative(root, file)).update(read(file));
  };
  for (const source of sources) visit(path.join(root, source));
  return hash.digest('hex');
}

const LOCK = ['package-lock.json'];
const QUIETLY = ['--no-audit', '--no-fund', '--loglevel=error'];

/** The packages, and beside them what is compiled at the place. */
export async function install() {
  const inProcess = (name) =>
    new Promise((resolve) => {
      const [command, args] = call(name);
      spawn(command, args, { cwd: root, stdio: 'inherit' }).once('exit', resolve);
    });
  const failed = (await Promise.all(['fetchPackages', 'compileDatabase'].map(inProcess))).find(
    (status) => status !== 0,
  );
  if (failed !== undefined) process.exit(failed ?? 1);
  placeDatabase();
}

/** What calls one of these functions in a process of its own. */
export const call = (name) => [
  process.execPath,
  ['--input-type=module', '-e', `(await import('./scripts/lib.mjs')).${name}()`],
];

/** The packages without what is compiled at the place. */
export function fetchPackages() {
  onlyIfChanged('install', LOCK, 'node_modules', () => {
    say('Installing packages (a minute or two the first time) …');
    run('npm', ['ci', '--ignore-scripts', ...QUIETLY]);
  });
}

const DATABASE = 'better-sqlite3';
const DATABASE_FOLDER = '.cache/database';
const DATABASE_BUILD = `node_modules/${DATABASE}/build`;
const DATABASE_FILE = `${DATABASE_BUILD}/Release/better_sqlite3.node`;

/**
 * The database, of the version and with the packages that the lock file names, in a folder of its own: compiling it takes
 * one processor most of a minute, while the other packages come. Nothing is compiled where a build for the machine is had.
 */
export function compileDatabase() {
  const folder = path.join(root, DATABASE_FOLDER);
  mkdirSync(folder, { recursive: true });
  const files = Object.entries(describeDatabase()).map(([name, content]) => {
    writeFileSync(path.join(folder, name), JSON.stringify(content));
    return `${DATABASE_FOLDER}/${name}`;
  });
  onlyIfChanged('database', files, `${DATABASE_FOLDER}/${DATABASE_FILE}`, () => {
    // Half the time of what the package asks of the compiler; queries then take 6 % longer.
    run('npm', ['ci', ...QUIETLY], { CFLAGS: '-O1', CXXFLAGS: '-O1' }, folder);
  });
}

/** A project that needs the database alone: its packages as they are locked for this one. */
function describeDatabase() {
  const { packages, lockfileVersion } = JSON.parse(readFileSync(path.join(root, LOCK[0]), 'utf8'));
  const kept = {};
  // As Node finds a package: in the folder of whoever needs it, or of whoever holds that one.
  const keep = (name, owner) => {
    const nested = `${owner}/node_modules/${name}`;
    const place = nested in packages || owner === '' ? nested.replace(/^\//, '') : null;
    if (!place) return keep(name, owner.replace(/\/?node_modules\/(@[^/]+\/)?[^/]+$/, ''));
    if (place in kept) return;
    kept[place] = packages[place];
    for (const needed of Object.keys(packages[place].dependencies ?? {})) keep(needed, place);
  };
  keep(DATABASE, '');
  const { version } = kept[`node_modules/${DATABASE}`];
  const own = {
    private: true,
    // Another Node may want another build.
    description: `for modules of version ${process.versions.modules}`,
    dependencies: { [DATABASE]: version },
    allowScripts: { [DATABASE]: true },
  };
  return { 'package.json': own, 'package-lock.json': { lockfileVersion, packages: { '': own, ...kept } } };
}

/** Brings the compiled database to the packages. */
export function placeDatabase() {
  const built = `${DATABASE_FOLDER}/${DATABASE_BUILD}`;
  const place = () => cpSync(path.join(root, built), path.join(root, DATABASE_BUILD), { recursive: true });
  onlyIfChanged('placed', [`${DATABASE_FOLDER}/${DATABASE_FILE}`], DATABASE_FILE, place);
}

const WEB_SOURCES = [
  'src/app',
  'src/client',
  'src/core',
  'src/contract',
  'src/words',
  'public',
  'app.json',
  'babel.config.js',
  'metro.config.js',
  'scripts/metro',
  'package.json',
  'package-lock.json',
];

export function build() {
  onlyIfChanged('web', WEB_SOURCES, 'dist/index.html', () => {
    say('Building the web application (about a minute the first time) …');
    run(process.execPath, [COMPILE_LATE, ROOMY, 'node_modules/.bin/expo', 'export', '--platform', 'web'], {
      CI: '1',
      EXPO_OFFLINE: '1',
      EXPO_NO_TELEMETRY: '1',
      NODE_ENV: 'production',
    });
    run('node', ['scripts/notices.mjs']);
    run('node', ['scripts/compress.mjs']);
  });
  onlyIfChanged(
    'server',
    ['src/server', 'src/core', 'src/contract', 'src/words', 'package-lock.json'],
    'dist-server/main.cjs',
    () => {
      say('Building the server …');
      run('node', ['scripts/build-server.mjs']);
    },
  );
}

/**
 * Chromium for the browser tests and pictures, from the distribution's packages where it is missing: the one without
 * windows, which takes a sixth less of the processor, or the whole one where that cannot be had.
 */
export function findChromium() {
  const shell = '/usr/bin/chromium-headless-shell';
  const find = (...places) => places.find((place) => place && existsSync(place));
  const found = find(process.env.CHROMIUM, shell);
  if (found) return found;
  const whole = find('/usr/bin/chromium', '/usr/bin/chromium-browser');
  say('Installing Chromium for the browser tests …');
  for (const args of [['update'], ['install', '-y', path.basename(shell), 'fonts-liberation']]) {
    const [command, ...rest] = [...(process.getuid?.() === 0 ? [] : ['sudo', '-n']), 'apt-get', ...args];
    const { status } = spawnSync(command, rest, { stdio: 'ignore', timeout: STEP_LIMIT / 4 });
    if (status !== 0 && !whole)
      throw new Error(`${command} ${rest.join(' ')} failed: install a Chromium, name it in CHROMIUM`);
  }
  return find(shell, whole);
}

/**
 * Bundles a TypeScript file of the project, if its sources have changed since, and loads it. Needs installed packages,
 * unlike the rest of this file.
 */
export const loadTypeScript = (entry, sources = ['src', 'scripts', 'package-lock.json']) =>
  createRequire(import.meta.url)(bundleIfChanged(entry, sources));

/**
 * The same for a program of which each tenth of a second counts: with what the engine compiled of it when it ran last. The
 * engine takes it only for its own version and flags; it goes with the bundle it was made from.
 */
export function runTypeScript(entry, sources) {
  const file = bundleIfChanged(entry, sources);
  const compiled = `${file}.${Math.round(statSync(file).mtimeMs)}`;
  const cachedData = existsSync(compiled) ? readFileSync(compiled) : undefined;
  const wrapped = `(function (exports, require, module, __filename, __dirname) {${readFileSync(file, 'utf8')}\n})`;
  const script = new Script(wrapped, { filename: file, cachedData });
  if (!cachedData || script.cachedDataRejected)
    process.once('exit', () => {
      // Another command may be reading: it finds the one or the other, and never half of one.
      const draft = `${compiled}.${process.pid}`;
      try {
        writeFileSync(draft, script.createCachedData());
        renameSync(draft, compiled);
      } catch {
        // Without it the next start is slower, and that is all.
      }
    });
  const module = { exports: {} };
  script.runInThisContext()(module.exports, createRequire(file), module, file, path.dirname(file));
}

/** The bundle of a TypeScript file, made again if its sources have changed since. */
export function bundleIfChanged(entry, sources) {
  const name = path.basename(entry, '.ts');
  const outfile = path.join(root, `.cache/${name}.cjs`);
  const folder = path.dirname(outfile);
  const bundle = () => {
    bundleTypeScript(entry, outfile);
    for (const old of readdirSync(folder)) if (old.startsWith(`${name}.cjs.`)) rmSync(path.join(folder, old));
  };
  onlyIfChanged(`bundle-${name}`, sources, `.cache/${name}.cjs`, bundle, readDates);
  return outfile;
}

/** Bundles a TypeScript file of the project for Node. */
export function bundleTypeScript(entry, outfile) {
  createRequire(import.meta.url)('esbuild').buildSync({
    entryPoints: [path.join(root, entry)],
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'cjs',
    // A program that is run from its compiled form cannot import while it runs (`runTypeScript`).
    supported: { 'dynamic-import': false },
    // Hold native libraries, which stay packages of their own.
    external: ['sharp', 'better-sqlite3'],
    outfile,
    logLevel: 'error',
  });
}
