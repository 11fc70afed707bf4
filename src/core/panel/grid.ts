import { correctTest, type Dossier, type Panel, type Test } from '../dossier';
import { showsBleed, TEST_KIND_FACTS, type TestKind } from '../knowledge';
import { judgeTest, makeReading, type JudgedTest } from '../proof';
import { bleedMomentOnPanel, isReadingOf, scheduleMoments, treatmentAt, type Moment } from './schedule';

/** What a tap on a cell says, and the severity it is written down with (estimate); finer readings are read strip by strip. */
export const CELL_MARKS = {
  held: { severity: 0, basis: 'estimate' },
  let_go: { severity: 4, basis: 'estimate' },
  clean: { severity: 0, basis: 'estimate' },
  bled_a_little: { severity: 2, basis: 'estimate' },
  bled: { severity: 4, basis: 'estimate' },
} as const;
export type CellMark = keyof typeof CELL_MARKS;

/** What the taps on a cell go through, one after the other; after the last the reading is taken back. */
const MARKS: Record<'grip' | 'bleed', readonly CellMark[]> = {
  grip: ['held', 'let_go'],
  bleed: ['clean', 'bled_a_little', 'bled'],
};

/** A kind of test at a moment of a panel. */
export interface GridColumn {
  moment: Moment;
  kind: TestKind;
  /** Its time is now: cells of it may be read. */
  open: boolean;
}

export interface GridCell {
  strip: string;
  column: GridColumn;
  test?: Test;
  verdict?: JudgedTest['verdict'];
  /** What was tapped; none where it was read otherwise, as from a photograph. */
  mark?: CellMark;
  /** It may be tapped. */
  open: boolean;
}

const marksOf = (kind: TestKind): readonly CellMark[] => MARKS[showsBleed(kind) ? 'bleed' : 'grip'];

const write = (kind: TestKind, mark: CellMark, moment: Moment): Test['reading'] => ({
  ...makeReading(kind, codeOf(kind, CELL_MARKS[mark].severity), moment.bleedAt ?? '1h'),
  by: 'tap',
});

/** Classes of an X-cut run the other way. */
const codeOf = (kind: TestKind, severity: number): string =>
  TEST_KIND_FACTS[kind].reads === 'x_cut' ? `${5 - severity}A` : String(severity);

const markOf = (test: Test, moment: Moment): CellMark | undefined =>
  test.reading.by === 'tap'
    ? marksOf(test.kind).find((mark) => {
        const { at: _at, ...own } = write(test.kind, mark, moment);
        return Object.entries(own).every(([field, value]) => test.reading[field] === value);
      })
    : undefined;

/**
 * The readings of a panel as a grid: strips by the moments that have come, one column for each kind of test then. A column is
 * open while it is its time: of scratches from then on, of a bleed watch until the next look. `now`: ISO instant.
 */
export function layGrid(dossier: Dossier, panel: Panel, now: string): { columns: GridColumn[]; cells: GridCell[] } {
  if (panel.coated_at === undefined) return { columns: [], cells: [] };
  const ageH = (Date.parse(now) - Date.parse(panel.coated_at)) / 3_600_000;
  const reached = bleedMomentOnPanel(panel, ageH, dossier.climate);
  const own = (dossier.tests ?? []).filter((test) => test.panel === panel.id);
  const columns = scheduleMoments(panel, dossier.climate)
    .filter(({ kind, atH }) => kind === 'read' && atH <= ageH)
    .flatMap((moment) =>
      moment.tests.filter(isTapped).map((kind): GridColumn => ({
        moment,
        kind,
        open: moment.bleedAt === undefined || moment.bleedAt === reached,
      })),
    );
  const cells = panel.strips.flatMap(({ code: strip }) =>
    columns.map((column): GridCell => {
      const { moment, kind } = column;
      // Of scratches that fit two moments the one that says what lay on it then.
      const test = own.find((read) => read.strip === strip && read.kind === kind && columnOf(read, columns) === column);
      if (!test) return { strip, column, open: column.open && moment.strips.includes(strip) };
      const mark = markOf(test, moment);
      return {
        strip,
        column,
        test,
        verdict: judgeTest(test, dossier).verdict,
        ...(mark ? { mark } : {}),
        open: mark !== undefined,
      };
    }),
  );
  return { columns, cells };
}

/** A number or a grade is written, not tapped. */
const isTapped = (kind: TestKind): boolean => TEST_KIND_FACTS[kind].anchors !== undefined;

/** The column a reading stands in: the last it is old enough for that speaks of what lay on the strip. */
const columnOf = (test: Test, columns: readonly GridColumn[]): GridColumn | undefined =>
  columns.findLast(
    ({ moment, kind }) =>
      kind === test.kind &&
      isReadingOf(test, moment) &&
      (moment.on === undefined || (moment.on === 'system') === isPainted(test)),
  ) ?? columns.findLast(({ moment, kind }) => kind === test.kind && isReadingOf(test, moment));

const isPainted = ({ treatment }: Test): boolean =>
  treatment?.paint !== undefined || (treatment?.clear ?? 'none') !== 'none';

/**
 * What a tap on an open cell does: the first says that it held, the next that it did not, the last takes the reading back;
 * what was written before stays with it. `id`: of the reading, where it is a new one.
 */
export function tapCell(
  panel: Panel,
  { strip, column: { moment, kind }, test, mark }: GridCell,
  { now, id }: { now: string; id: string },
): { test: Test & { id: string } } | { withdraw: string } {
  const marks = marksOf(kind);
  const next = mark === undefined ? marks[0] : marks[marks.indexOf(mark) + 1];
  if (next === undefined) return { withdraw: test!.id! };
  const reading = write(kind, next, moment);
  const ageH = Math.round((Date.parse(now) - Date.parse(panel.coated_at!)) / 360_000) / 10;
  if (test?.id) return { test: { ...correctTest(test, { reading, age_h: test.age_h, at: now }), id: test.id } };
  return {
    test: {
      id,
      zone: panel.zone,
      panel: panel.id,
      strip,
      kind,
      treatment: treatmentAt(panel, strip, moment.on),
      age_h: ageH,
      at: now,
      reading,
    },
  };
}
