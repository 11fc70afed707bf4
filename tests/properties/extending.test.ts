import { build, type Plugin } from 'esbuild';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/*
 * What `docs/extending.md` says: a row in the tables is all. The sources are built with a row more in each table, as
 * someone would write it, and nothing else changed.
 */
const ROWS: Record<string, readonly (readonly [string, string])[]> = {
  'codes.ts': [
    ["  'mdf_sealer',\n] as const;", "  'mdf_sealer',\n  'moon_primer',\n] as const;"],
    ["  'cabinet_paint_2k',\n] as const;", "  'cabinet_paint_2k',\n  'moon_paint',\n] as const;"],
    ['export const TEST_KINDS = [', "export const TEST_KINDS = ['moon_scratch',"],
  ],
  'products.ts': [
    [
      "  mdf_sealer: { label: 'MDF sealer', slick",
      `  moon_primer: { label: 'Moon primer', slick: 'best', block: 'best', oldStains: true, odour: 'seals',
        overWaterborneFiller: 'best', clear: false, hiding: 0.97, carrier: 'solvent', ragsHeat: true, coats: [1],
        note: 'Dries by moonlight.', basis: 'estimate' },
      mdf_sealer: { label: 'MDF sealer', slick`,
    ],
    [
      '  chalk_paint: { touchH',
      `  moon_primer: { touchH: 0.1, recoatH: 0.5, handleH: 1, cureDays: 1, testFromH: 1, dryFilmUm: 20, solidsPct: 60,
        pricePerLitre: 3 },
      moon_paint: { touchH: 0.1, recoatH: 0.5, handleH: 1, cureDays: 1, testFromH: 1, dryFilmUm: 20, solidsPct: 60,
        pricePerLitre: 3 },
      chalk_paint: { touchH`,
    ],
    [
      "  chalk_paint: { label: 'Chalk-type paint'",
      `  moon_paint: { label: 'Moon paint', sheens: ['satin'], seal: 'never', carrier: 'two_part' },
      chalk_paint: { label: 'Chalk-type paint'`,
    ],
  ],
  'test-kinds.ts': [
    [
      '  nail: { label',
      `  moon_scratch: { label: 'Moon scratch', hint: 'by night', shows: 'grip', reads: 'score', anchors: SCRATCH,
        drawing: 'strokes', opens: 'cross_cut', common: true, letsGo: true,
        cautions: ['blades'], basis: 'estimate' },
      nail: { label`,
    ],
  ],
  'checks.ts': [
    [
      'const CHECK_ROWS: readonly CheckRow[] = [',
      `const CHECK_ROWS: readonly CheckRow[] = [
      { code: 'moon_gaze', group: null, title: 'Look at it by moonlight', where: 'Out of doors',
        minutes: 0.2, waitHours: 0, mark: 0, answers: [
          { code: 'glows', label: 'It glows', estimates: { substrate: { hpl_laminate: '+++' } } },
          { code: 'dull', label: 'It is dull', estimates: { substrate: { hpl_laminate: '---' } } },
        ] },`,
    ],
  ],
};

const withRows: Plugin = {
  name: 'with-rows',
  setup: (builder) => {
    builder.onLoad({ filter: /core[/\\]knowledge[/\\](codes|products|checks|test-kinds)\.ts$/ }, ({ path: file }) => {
      let contents = readFileSync(file, 'utf8');
      for (const [before, after] of ROWS[path.basename(file)]!) {
        if (!contents.includes(before)) throw new Error(`${file} has no place for the row: ${before}`);
        contents = contents.replace(before, after);
      }
      return { contents, loader: 'ts' };
    });
  },
};

const PROGRAM = `
import { readDossier, applyChange } from '@/core/dossier';
import { labelProduct, listTestKinds, TEST_KIND_FACTS } from '@/core/knowledge';
import { judgeGates } from '@/core/piece';
import { judgeTest, listAnswers, makeReading } from '@/core/proof';
import { diagnosePiece } from '@/core/survey';
import { freezeSystem, planPiece } from '@/core/systems';
import { nameTask, PHRASES } from '@/words';
import { listBlocks, listCautions, listTasks, logTask } from '@/core/work';

const read = readDossier({
  format: 'bricolage.dossier/1',
  piece: { id: 'p', kind: 'desk', history: { era: 'since_2000' } },
  zones: [{ id: 'top', role: 'top', area_m2: 1, observations: [{ check: 'moon_gaze', result: 'glows' }] }],
  goal: { paint: 'moon_paint' },
  shelf: [{ id: 't', class: 'moon_primer', volume_ml: 900 }],
});
if (!read.ok) throw new Error(JSON.stringify(read.problem));
const piece = read.value;
const [system] = planPiece(piece).systems;
const taken = { ...piece, chosen: freezeSystem(system, '2026-01-01T00:00:00Z', PHRASES) };
const tasks = listTasks(taken, piece.shelf, { temperature_c: 21, humidity_pct: 50 });
const find = (op) => tasks.find((task) => task.op === op);
const cautions = (op) => listCautions(find(op), { oldCoat: false }).map(({ code }) => code);
const logged = applyChange(taken, { type: 'work_logged', work: 'w', entries: logTask(find('prime'), { at: '2026-01-02T10:00:00Z' }) });
const test = (kind, score) => ({ id: kind, zone: 'top', kind, treatment: taken.chosen.zones[0].treatment, age_h: 30, reading: makeReading(kind, score, '48h') });
const proved = ['nail', 'moon_scratch'].reduce((piece, kind) => applyChange(piece, { type: 'test_logged', test: test(kind, '0') }), taken);
const failed = readDossier(JSON.parse(JSON.stringify(applyChange(proved, { type: 'test_logged', test: test('moon_scratch', '4') }))));
const gateOf = (piece) => judgeGates(piece).find(({ gate }) => gate === 'prime_to_paint').state;
const again = readDossier(JSON.parse(JSON.stringify(logged)));
console.log(JSON.stringify({
  substrate: diagnosePiece(piece)[0].belief.substrate[0].code,
  layers: system.zones[0].stack.primers.map(({ code }) => code).concat(system.zones[0].stack.paint),
  labels: ['moon_primer', 'moon_paint'].map(labelProduct),
  shown: tasks.filter(({ op }) => op === 'prime' || op === 'paint').map(nameTask),
  prime: cautions('prime'),
  paint: cautions('paint'),
  bought: system.supplies.map(({ class: code, fromShelf }) => [code, fromShelf.length]),
  logged: again.ok && again.value.log.map(({ class: code }) => code),
  blocks: listBlocks(taken, tasks).length,
  kind: {
    planned: system.zones[0].steps.find(({ op }) => op === 'proof').tests,
    offered: [TEST_KIND_FACTS[listTestKinds()[0]].label, listAnswers('moon_scratch').length],
    caution: cautions('proof'),
    says: judgeTest(test('moon_scratch', '0'), taken).verdict,
    gates: [taken, proved, failed.value].map(gateOf),
  },
}));
`;

it('a primer, a paint, a check and a kind of test of one row each are asked, planned, shown, bought, logged and cautioned', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'bricolage-rows-'));
  const program = path.join(folder, 'program.ts');
  writeFileSync(program, PROGRAM);
  const outfile = path.join(folder, 'program.cjs');
  await build({
    entryPoints: [program],
    bundle: true,
    platform: 'node',
    format: 'cjs',
    outfile,
    alias: { '@': path.resolve('src') },
    nodePaths: [path.resolve('node_modules')],
    plugins: [withRows],
    logLevel: 'error',
  });
  const told = JSON.parse(execFileSync(process.execPath, [outfile]).toString());
  expect(told).toEqual({
    substrate: 'hpl_laminate',
    layers: ['moon_primer', 'moon_paint'],
    labels: ['Moon primer', 'Moon paint'],
    shown: expect.arrayContaining([expect.stringMatching(/^Moon primer/), expect.stringMatching(/^Moon paint/)]),
    prime: ['fumes', 'oily_rags'],
    paint: ['two_part', 'fumes'],
    bought: expect.arrayContaining([
      ['moon_primer', 1],
      ['moon_paint', 0],
    ]),
    logged: ['moon_primer'],
    blocks: 0,
    kind: {
      planned: ['nail', 'moon_scratch'],
      offered: ['Moon scratch', 6],
      caution: expect.arrayContaining(['blades']),
      says: 'pass',
      gates: ['waiting', 'open', 'closed'],
    },
  });
}, 60_000);
