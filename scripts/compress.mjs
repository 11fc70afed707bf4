/*
 * Readies the exported application: what the page needs first is named in it, the worker that keeps it at hand is told of
 * every file, and all is compressed, to be sent as it lies.
 */
import { buildSync } from 'esbuild';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const TEXT = /\.(js|css|html|json|svg|txt|webmanifest)$/;

function visit(folder) {
  for (const name of readdirSync(folder)) {
    const file = path.join(folder, name);
    if (statSync(file).isDirectory()) visit(file);
    else if (TEXT.test(name)) compress(file);
  }
}

function compress(file) {
  const data = readFileSync(file);
  const params = { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: data.length };
  writeFileSync(`${file}.br`, brotliCompressSync(data, { params }));
  writeFileSync(`${file}.gz`, gzipSync(data, { level: 9 }));
}

/** The scripts every visit to the first screen asks for are named in the page, so that they come with the others. */
function nameFirstScreen(dist) {
  const scripts = readdirSync(path.join(dist, '_expo/static/js/web')).filter((name) => name.endsWith('.js'));
  const first = scripts.filter(
    (name) =>
      name.startsWith('index-') &&
      /defineProperty\(\w+,"(Shell|TodayScreen)"/.test(
        readFileSync(path.join(dist, '_expo/static/js/web', name), 'utf8'),
      ),
  );
  const hints = first.map((name) => `<link rel="preload" href="/_expo/static/js/web/${name}" as="script">`);
  const page = path.join(dist, 'index.html');
  writeFileSync(page, readFileSync(page, 'utf8').replace('</head>', `${hints.join('')}</head>`));
}

/** The service worker, with every file of the build in its list. Names with a hash in them need no other. */
function makeServiceWorker(dist) {
  const files = readdirSync(dist, { recursive: true })
    .map((name) => name.replaceAll(path.sep, '/'))
    .filter((name) => statSync(path.join(dist, name)).isFile() && !/^(metadata\.json|sw\.js)$|\.map$/.test(name))
    .sort();
  const list = files.map((name) => ({
    url: `/${name}`,
    revision: name.startsWith('_expo/')
      ? null
      : createHash('sha256')
          .update(readFileSync(path.join(dist, name)))
          .digest('hex')
          .slice(0, 16),
  }));
  buildSync({
    entryPoints: ['src/client/service-worker.ts'],
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    define: { PRECACHE: JSON.stringify(list), 'process.env.NODE_ENV': '"production"' },
    outfile: path.join(dist, 'sw.js'),
    logLevel: 'error',
  });
}

const dist = new URL('../dist', import.meta.url).pathname;
nameFirstScreen(dist);
makeServiceWorker(dist);
visit(dist);
