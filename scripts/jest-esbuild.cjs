/* A small Jest transform for code without React: types are checked by `npm run typecheck`. */
const { transformSync } = require('esbuild');

module.exports = {
  process(source, file) {
    const { code, map } = transformSync(source, {
      loader: file.endsWith('x') ? 'tsx' : 'ts',
      format: 'cjs',
      target: 'node20',
      // The runner's sandbox has no dynamic import.
      supported: { 'dynamic-import': false },
      sourcemap: 'both',
      sourcefile: file,
    });
    return { code, map };
  },
};
