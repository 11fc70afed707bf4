/* A small Jest transform for our own code, and for packages that ship modern syntax only: types are checked by `npm run typecheck`. */
const { transformSync } = require('esbuild');
const path = require('node:path');

const LOADERS = { '.ts': 'ts', '.tsx': 'tsx', '.js': 'jsx', '.jsx': 'jsx', '.mjs': 'jsx', '.cjs': 'jsx' };

/*
 * Each name a module exports is asked of two functions, and of two more at each index it comes through: a sixth of the
 * time of what reckons much. Once a module has run its exports are values; what a circle has not reached yet stays asked.
 */
const SETTLE_EXPORTS = `((asked) => {
  if (typeof asked !== 'object' || !asked.__esModule) return;
  const settled = Object.defineProperty({}, '__esModule', { value: true });
  for (const name of Object.keys(asked)) {
    let value;
    try {
      value = asked[name];
    } catch {}
    if (value === undefined) Object.defineProperty(settled, name, { enumerable: true, get: () => asked[name] });
    else settled[name] = value;
  }
  module.exports = settled;
})(module.exports);`;

module.exports = {
  process(source, file) {
    const { code, map } = transformSync(source, {
      loader: LOADERS[path.extname(file)],
      format: 'cjs',
      jsx: 'automatic',
      target: 'node20',
      // The runner's sandbox has no dynamic import.
      supported: { 'dynamic-import': false },
      footer: SETTLE_EXPORTS,
      sourcemap: 'both',
      // By another ending a default export would be taken for all that a module exports.
      sourcefile: file.replace(/mjs$/, 'js'),
    });
    return { code, map };
  },
};
