import { DOSSIER_FORMAT, readDossier, type Dossier, type Panel, type Test } from '../dossier';
import { designPanel } from './design';
import { layGrid, tapCell, type GridCell } from './grid';
import { concludePanel } from './conclude';

const START = '2026-05-04T08:00:00.000Z';
const after = (hours: number): string => new Date(Date.parse(START) + hours * 3_600_000).toISOString();
const PAINT = { paint: 'wb_alkyd_enamel', paint_coats: 2 } as const;
const panel = ((): Panel => {
  const design = designPanel({
    id: 'p1',
    zone: 'top',
    treatments: [
      { prep: 'scuff_150', primer: 'shellac_primer', coats: 1, ...PAINT },
      { prep: 'scuff_150', primer: 'bonding_primer_wb', coats: 1, ...PAINT },
    ],
    control: null,
    replicates: 2,
    width_mm: 400,
    height_mm: 300,
    kinds: ['nail', 'cross_cut', 'bleed_watch'],
    seed: 3,
  });
  if (!design.ok) throw new Error(design.problem);
  return { ...design.panel, coated_at: START };
})();
const desk = (tests: Test[] = []): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind: 'desk' },
  zones: [{ id: 'top', role: 'top' }],
  panels: [panel],
  tests,
});

/** Taps a cell so often, an hour after the other. */
function tap(dossier: Dossier, hours: number, find: (cell: GridCell) => boolean): Dossier {
  const cell = layGrid(dossier, panel, after(hours)).cells.find(find)!;
  expect(cell.open).toBe(true);
  const made = tapCell(panel, cell, { now: after(hours), id: `t${dossier.tests!.length}` });
  const kept = dossier.tests!.filter(({ id }) => id !== ('withdraw' in made ? made.withdraw : made.test.id));
  return { ...dossier, tests: 'withdraw' in made ? kept : [...kept, made.test] };
}
const named =
  (strip: string, kind: string, on?: string) =>
  (cell: GridCell): boolean =>
    cell.strip === strip && cell.column.kind === kind && (on === undefined || cell.column.moment.on === on);

describe('a panel as a grid', () => {
  it('has no column before it is time, then strips by what may be read now', () => {
    expect(layGrid(desk(), panel, after(1)).columns).toEqual([]);
    const { columns, cells } = layGrid(desk(), panel, after(60));
    expect(columns.map(({ kind, moment }) => [kind, moment.on ?? moment.bleedAt])).toEqual(
      expect.arrayContaining([
        ['nail', 'primer'],
        ['cross_cut', 'primer'],
      ]),
    );
    expect(cells).toHaveLength(4 * columns.length);
    expect(layGrid(desk(), { ...panel, coated_at: undefined }, after(60)).columns).toEqual([]);
  });

  it('reads a strip with one tap, says otherwise with the next, and takes it back with the last', () => {
    const held = tap(desk(), 60, named('A1', 'nail', 'primer'));
    expect(held.tests![0]).toMatchObject({ kind: 'nail', strip: 'A1', age_h: 60, reading: { score: 0, by: 'tap' } });
    const letGo = tap(held, 61, named('A1', 'nail', 'primer'));
    expect(letGo.tests![0]).toMatchObject({ reading: { score: 4 }, age_h: 60, earlier: [{ reading: { score: 0 } }] });
    expect(layGrid(letGo, panel, after(61)).cells.find(named('A1', 'nail', 'primer'))).toMatchObject({
      verdict: 'fail',
      mark: 'let_go',
    });
    expect(tap(letGo, 62, named('A1', 'nail', 'primer')).tests).toEqual([]);
  });

  it('writes readings that files take, and that rank the treatments', () => {
    let dossier = desk();
    for (const { code } of panel.strips)
      for (const kind of ['nail', 'cross_cut']) dossier = tap(dossier, 60, named(code, kind, 'primer'));
    for (const code of ['B1', 'B2']) dossier = tap(dossier, 61, named(code, 'cross_cut', 'primer'));
    expect(readDossier(dossier)).toMatchObject({ ok: true });
    const { ranked, letGo } = concludePanel(dossier, panel);
    expect(letGo).toBe(2);
    expect(ranked.map(({ name, held, failed }) => [name, held, failed])).toEqual([
      ['A', 2, 0],
      ['B', 0, 2],
    ]);
  });

  it('knows three answers to colour coming through, at the look whose time it is', () => {
    const watch = (hours: number, dossier: Dossier): GridCell[] =>
      layGrid(dossier, panel, after(hours)).cells.filter(
        ({ strip, column, open }) => strip === 'A1' && column.kind === 'bleed_watch' && open,
      );
    const week = 24 * 20;
    expect(watch(week, desk()).map(({ column }) => column.moment.bleedAt)).toEqual(['7d']);
    const is = (cell: GridCell): boolean => named('A1', 'bleed_watch')(cell) && cell.column.moment.bleedAt === '7d';
    let dossier = desk();
    const marks = [1, 2, 3, 4].map(() => {
      dossier = tap(dossier, week, is);
      return layGrid(dossier, panel, after(week)).cells.find(is)!.mark;
    });
    expect(marks).toEqual(['clean', 'bled_a_little', 'bled', undefined]);
  });

  it('leaves alone what was measured otherwise', () => {
    const measured: Test = {
      id: 'm',
      zone: 'top',
      panel: 'p1',
      strip: 'A1',
      kind: 'cross_cut',
      age_h: 60,
      treatment: { prep: 'scuff_150', primer: 'shellac_primer', coats: 1 },
      reading: { removed_pct: 3.2, by: 'photo', confidence: 0.9 },
    };
    const cell = layGrid(desk([measured]), panel, after(61)).cells.find(named('A1', 'cross_cut', 'primer'))!;
    expect(cell).toMatchObject({ open: false, verdict: 'pass' });
    expect(cell.mark).toBeUndefined();
  });
});
