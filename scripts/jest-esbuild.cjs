/* A small Jest transform for our own code: types are checked by `npm run typecheck`. */
const { transformSync } = require('esbuild');

module.exports = {
  process(source, file) {
    const { code, map } = transformSync(source, {
      loader: file.endsWith('x') ? 'tsx' : 'ts',
      format: 'cjs',
      jsx: 'automatic',
      target: 'node20',
      // The runner's sandbox has no dynamic import.
      supported: { 'dynamic-import': false },
      sourcemap: 'both',
      sourcefile: file,
    });
    return { code, map };
  },
};
