/* Compresses the exported application once, so that the server can send it as it lies. */
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

visit(new URL('../dist', import.meta.url).pathname);
