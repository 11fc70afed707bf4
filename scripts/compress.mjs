/* Readies the exported application: what the page needs first is named in it, and all is compressed, to be sent as it lies. */
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const TEXT = /\.(js|css|html|json|svg|txt)$/;

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

const dist = new URL('../dist', import.meta.url).pathname;
nameFirstScreen(dist);
visit(dist);
