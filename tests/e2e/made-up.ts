import { parse } from '@babel/parser';
import { cpSync, mkdirSync, readdirSync, readFileSync, symlinkSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

/*
 * A language nobody speaks: every letter has an accent and every word is two fifths longer. The built application is
 * copied with its words in it, so that what is cut, what overlaps and what was never put into the room of words is seen.
 */

const ACCENTED: Record<string, string> = Object.fromEntries(
  [...'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((letter, i) => [
    letter,
    [...'åƀçđéƒĝĥîĵķļɱñöþǫŕšţûṽŵẋýžÅƁÇĐÉƑĜĤÎĴĶĻṀÑÖÞǪŔŠŢÛṼŴẊÝŽ'][i]!,
  ]),
);
const LONGER = 0.4;

/** A text in the made-up language; what stands in braces, angles or between slashes in it stays. */
export const makeUp = (text: string): string =>
  text.replace(/[A-Za-z]+/g, (word) => {
    const accented = [...word].map((letter) => ACCENTED[letter]!);
    const more = word.length < 3 ? 0 : Math.ceil(word.length * LONGER);
    const middle = Math.ceil(accented.length / 2);
    return [
      ...accented.slice(0, middle),
      ...accented.slice(middle - more < 0 ? 0 : middle - more, middle),
      ...accented.slice(middle),
    ].join('');
  });

/** Where what is said to people is written; on the rows of core's tables, what is no code. */
const ROOMS = ['src/words/en/', 'src/core/knowledge/'];

/** The text of each literal that is said, by file; literals that a type knows as codes are none. */
function listTexts(): Map<string, Set<string>> {
  const { config } = ts.readConfigFile('tsconfig.json', ts.sys.readFile) as { config: unknown };
  const { fileNames, options } = ts.parseJsonConfigFileContent(config, ts.sys, '.');
  const program = ts.createProgram(
    fileNames.filter((file) => ROOMS.some((room) => file.includes(room)) && !file.includes('.test.')),
    options,
  );
  const checker = program.getTypeChecker();
  const isCode = (node: ts.StringLiteralLike): boolean => {
    const { parent } = node;
    if (ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent) || ts.isLiteralTypeNode(parent)) return true;
    if (ts.isPropertyAssignment(parent) && parent.name === node) return true;
    if (ts.isElementAccessExpression(parent) || ts.isCaseClause(parent) || ts.isAsExpression(parent)) return true;
    if (ts.isBinaryExpression(parent) && /^([!=]==|in)$/.test(parent.operatorToken.getText())) return true;
    const wanted = checker.getContextualType(node);
    return (wanted?.isUnion() ? wanted.types : wanted ? [wanted] : []).some((type) => type.isStringLiteral());
  };
  const isLabel = ({ parent }: ts.Node): boolean =>
    ts.isPropertyAssignment(parent) && /^(label|title|hint)$/.test(parent.name.getText());
  const byFile = new Map<string, Set<string>>();
  for (const file of program.getSourceFiles()) {
    const name = path.relative('.', file.fileName);
    const room = ROOMS.find((own) => name.startsWith(own));
    if (!room) continue;
    const texts = new Set<string>();
    const visit = (node: ts.Node): void => {
      // A pattern is no text.
      if (ts.isNewExpression(node) && node.expression.getText() === 'RegExp') return;
      if (ts.isStringLiteralLike(node) && /[A-Za-z]/.test(node.text) && !isCode(node)) {
        // A word of core that looks like a code is one, and drawings for printing are none of words.
        if (
          room === ROOMS[0] ||
          isLabel(node) ||
          (/[A-Z ]/.test(node.text) && !/^[A-Z]{1,3}\d*$|[<#=]/.test(node.text))
        )
          texts.add(node.text);
      }
      if (ts.isTemplateExpression(node))
        for (const part of [node.head, ...node.templateSpans.map(({ literal }) => literal)])
          if (/[A-Za-z]/.test(part.text) && !/[<#=]|^[a-z_:@/-]+$/.test(part.text)) texts.add(part.text);
      ts.forEachChild(node, visit);
    };
    visit(file);
    byFile.set(name, texts);
  }
  return byFile;
}

/** Names a file exports: what its module is known by in a bundle. */
const listNames = (file: string): string[] =>
  [...readFileSync(file, 'utf8').matchAll(/^export (?:const|function) (\w+)/gm)].map(([, name]) => name!);

interface Edit {
  start: number;
  end: number;
  text: string;
}

/** What is to be put in place of the texts of a part of a script. */
function listEdits(node: unknown, texts: Set<string>, edits: Map<number, Edit>): void {
  if (Array.isArray(node)) return node.forEach((part) => listEdits(part, texts, edits));
  if (typeof node !== 'object' || node === null || !('type' in node)) return;
  const own = node as { type: string; start: number; end: number; value: unknown; computed?: boolean };
  const { type, start, end, value } = own;
  if (type === 'StringLiteral' && texts.has(value as string))
    edits.set(start, { start, end, text: JSON.stringify(makeUp(value as string)) });
  if (type === 'TemplateElement') {
    const { cooked } = value as { cooked: string };
    if (texts.has(cooked)) edits.set(start, { start, end, text: makeUp(cooked).replace(/[`\\]|\$\{/g, '\\$&') });
  }
  for (const [name, child] of Object.entries(own))
    if (!(name === 'key' && !own.computed) && typeof child === 'object') listEdits(child, texts, edits);
}

/** The code with its edits in it. Pieces are joined once: a long text that is cut at every edit is copied each time. */
function applyEdits(code: string, edits: Map<number, Edit>): string {
  const pieces: string[] = [];
  let from = 0;
  for (const { start, end, text } of [...edits.values()].sort((a, b) => a.start - b.start)) {
    pieces.push(code.slice(from, start), text);
    from = end;
  }
  return [...pieces, code.slice(from)].join('');
}

/** The server with its texts in the made-up language: its bundle says from which file each stretch comes. */
function translateServer(code: string, texts: Map<string, Set<string>>): string {
  const heads = [...code.matchAll(/^\/\/ (src\/\S+)$/gm)].map(({ 1: file, index }) => ({ file: file!, from: index! }));
  const edits = new Map<number, Edit>();
  for (const statement of parse(code, { sourceType: 'script' }).program.body) {
    const { file } = heads.findLast(({ from }) => from < statement.start!) ?? {};
    const own = file && texts.get(file);
    if (own) listEdits(statement, own, edits);
  }
  return applyEdits(code, edits);
}

/** A script of the page with its texts in the made-up language. Its modules are known by what they export. */
const translate = (code: string, modules: readonly { names: string[]; texts: Set<string> }[]): string =>
  code
    .split(/^(?=__d\()/m)
    .map((part) => {
      const said = new Set(part.match(/\w+/g));
      const own = modules.filter(
        ({ names }) =>
          names.length > 0 &&
          names.every((name) => said.has(name)) &&
          names.some((name) => new RegExp(`[.,;{(]${name}=|"${name}"`).test(part)),
      );
      if (own.length === 0) return part;
      const edits = new Map<number, Edit>();
      const [statement] = parse(part, { sourceType: 'script', errorRecovery: true }).program.body;
      if (statement?.type === 'ExpressionStatement' && statement.expression.type === 'CallExpression')
        for (const { texts } of own) listEdits(statement.expression.arguments[0], texts, edits);
      return applyEdits(part, edits);
    })
    .join('');

/** Writes the built application once more in the made-up language; `folder` is what is served. How many texts it changed. */
export function buildMadeUp(folder: string): number {
  mkdirSync(path.join(folder, 'src/server/db'), { recursive: true });
  symlinkSync(path.resolve('src/server/db/migrations'), path.join(folder, 'src/server/db/migrations'));
  cpSync('dist', path.join(folder, 'dist'), { recursive: true, filter: (file) => !/\.(br|gz)$/.test(file) });
  const texts = listTexts();
  const modules = [...texts].map(([file, own]) => ({ names: listNames(file), texts: own }));
  const scripts = path.join(folder, 'dist/_expo/static/js/web');
  for (const name of readdirSync(scripts, { recursive: true, encoding: 'utf8' }).filter((file) =>
    file.endsWith('.js'),
  )) {
    const file = path.join(scripts, name);
    writeFileSync(file, translate(readFileSync(file, 'utf8'), modules));
  }
  mkdirSync(path.join(folder, 'dist-server'));
  cpSync('dist-server', path.join(folder, 'dist-server'), { recursive: true });
  const server = path.join(folder, 'dist-server/main.cjs');
  writeFileSync(server, translateServer(readFileSync(server, 'utf8'), texts));
  return [...texts.values()].reduce((sum, own) => sum + own.size, 0);
}
