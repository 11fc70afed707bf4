/*
 * The bundler does not shake trees, and a module's index is its only door: what comes in through one brings the whole
 * module. For the web build alone, an import through an index of ours is rewritten to the files that hold what it names.
 */
const { parse } = require('@babel/parser');
const { createHash } = require('node:crypto');
const fs = require('node:fs');
const path = require('node:path');

const SOURCES = path.join(__dirname, '../../src');
const known = new Map();

const findFile = (stem) =>
  [`${stem}.ts`, `${stem}.tsx`, path.join(stem, 'index.ts')].find((file) => fs.existsSync(file));

/** Every name a file exports, with the file it lies in and its name there. */
function listExports(file) {
  if (known.has(file)) return known.get(file);
  const names = new Map();
  known.set(file, names);
  const { program } = parse(fs.readFileSync(file, 'utf8'), { sourceType: 'module', plugins: ['typescript', 'jsx'] });
  for (const node of program.body) {
    const from = node.source && findFile(path.resolve(path.dirname(file), node.source.value));
    if (node.type === 'ExportAllDeclaration' && from)
      for (const [name, place] of listExports(from)) names.set(name, place);
    if (node.type !== 'ExportNamedDeclaration') continue;
    for (const { local, exported } of node.specifiers) {
      const place = from ? listExports(from).get(local.name) : { file, name: local.name };
      if (place) names.set(exported.name, place);
    }
    const own = node.declaration;
    for (const { id } of own?.declarations ?? (own?.id ? [own] : [])) {
      // `export const { a, b } = …` names several at once.
      for (const name of id.type === 'ObjectPattern' ? id.properties.map(({ value }) => value.name) : [id.name])
        names.set(name, { file, name });
    }
  }
  return names;
}

/** The index a request means, if it is one of ours. */
function findIndex(request, importer) {
  const stem = request.startsWith('@/')
    ? path.join(SOURCES, request.slice(2))
    : request.startsWith('.')
      ? path.resolve(path.dirname(importer), request)
      : null;
  const file = stem && findFile(stem);
  return file && path.basename(file) === 'index.ts' && file.startsWith(SOURCES) ? file : null;
}

module.exports = ({ types: t }) => ({
  name: 'direct-doors',
  visitor: {
    ImportDeclaration(nodePath, { filename }) {
      const { node } = nodePath;
      if (node.importKind === 'type' || node.specifiers.length === 0) return;
      const index = findIndex(node.source.value, filename);
      if (!index) return;
      const exported = listExports(index);
      const byFile = new Map();
      for (const specifier of node.specifiers) {
        // A whole module taken by one name needs its index.
        if (specifier.type !== 'ImportSpecifier') return;
        if (specifier.importKind === 'type') continue;
        const place = exported.get(specifier.imported.name);
        if (!place) return;
        const own = byFile.get(place.file) ?? [];
        own.push(t.importSpecifier(specifier.local, t.identifier(place.name)));
        byFile.set(place.file, own);
      }
      // What lies in the index itself is fetched from there.
      if (byFile.has(index)) return;
      const files = [...byFile].filter(([file]) => file !== filename);
      nodePath.replaceWithMultiple(
        files.map(([file, specifiers]) => {
          const relative = path
            .relative(path.dirname(filename), file)
            .replaceAll(path.sep, '/')
            .replace(/\.tsx?$/, '');
          return t.importDeclaration(
            specifiers,
            t.stringLiteral(relative.startsWith('.') ? relative : `./${relative}`),
          );
        }),
      );
      nodePath.skip();
    },
  },
});

/** One figure for all that is exported below a folder, and where from. */
module.exports.hashExports = (folder) => {
  const hash = createHash('sha256').update(fs.readFileSync(__filename));
  for (const name of fs.readdirSync(folder, { recursive: true }).sort()) {
    if (!/\.tsx?$/.test(name) || /\.test\.tsx?$/.test(name)) continue;
    const lines = fs.readFileSync(path.join(folder, name), 'utf8').match(/^export .*|^\} from .*/gm) ?? [];
    hash.update(name).update(lines.join('\n'));
  }
  return hash.digest('hex');
};
