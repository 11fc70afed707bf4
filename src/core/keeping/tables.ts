import { askingOf, type Dossier, type ShelfItem } from '../dossier';

/** A cell: numbers with a decimal point, dates as ISO writes them, nothing where nothing is known. */
export type Cell = string | number | undefined;

/** A table for a spreadsheet: its columns, and the rows that a piece (or the shelf) adds. */
export interface Table<T> {
  columns: readonly string[];
  rows: (of: T) => Cell[][];
}

const idOf = ({ piece }: Dossier): string => piece.id ?? '';

/** What is one row a piece, a test, a piece of work; the readings of a test stand as JSON, for each kind has its own. */
export const PIECE_TABLES = {
  pieces: {
    columns: [
      'piece',
      'name',
      'kind',
      'zones',
      'area_m2',
      'asking_price',
      'tests',
      'log_entries',
      'photos',
      'taken_at',
    ],
    rows: (dossier) => [
      [
        idOf(dossier),
        dossier.piece.name,
        dossier.piece.kind,
        dossier.zones?.length ?? 0,
        round((dossier.zones ?? []).reduce((sum, { area_m2 = 0 }) => sum + area_m2, 0)),
        askingOf(dossier),
        dossier.tests?.length ?? 0,
        dossier.log?.length ?? 0,
        dossier.photos?.length ?? 0,
        dossier.chosen?.at,
      ],
    ],
  },
  tests: {
    columns: [
      'piece',
      'zone',
      'test',
      'kind',
      'at',
      'age_h',
      'panel',
      'strip',
      'interface',
      'reading',
      'photo',
      'note',
    ],
    rows: (dossier) =>
      (dossier.tests ?? []).map((test) => [
        idOf(dossier),
        test.zone,
        test.id,
        test.kind,
        test.at,
        test.age_h,
        test.panel,
        test.strip,
        test.interface,
        JSON.stringify(test.reading),
        test.photo,
        test.note,
      ]),
  },
  troubles: {
    columns: [
      'piece',
      'zone',
      'trouble',
      'symptom',
      'seen_at',
      'likeliest_cause',
      'p',
      'settled',
      'settled_at',
      'note',
    ],
    rows: (dossier) =>
      (dossier.troubles ?? []).map(({ id, zone, symptom, seen_at, found, settled, note }) => [
        idOf(dossier),
        zone,
        id,
        symptom,
        seen_at,
        found?.causes[0]?.code,
        found?.causes[0]?.p,
        settled?.how,
        settled?.at,
        note,
      ]),
  },
  log: {
    columns: ['piece', 'zone', 'at', 'op', 'class', 'product', 'coats', 'thinned_pct', 'started_at', 'minutes', 'note'],
    rows: (dossier) =>
      (dossier.log ?? []).map((entry) => [
        idOf(dossier),
        entry.zone,
        entry.at,
        entry.op,
        entry.class,
        entry.product,
        entry.coats,
        entry.thinned_pct,
        entry.started_at,
        entry.minutes,
        typeof entry.note === 'string' ? entry.note : undefined,
      ]),
  },
} as const satisfies Record<string, Table<Dossier>>;

export const SHELF_TABLES = {
  tins: {
    columns: ['tin', 'name', 'class', 'volume_ml', 'size_ml', 'price', 'opened_on'],
    rows: (tins) =>
      tins.map((tin) => [tin.id, tin.name, tin.class, tin.volume_ml, tin.size_ml, tin.price, tin.opened_on]),
  },
} as const satisfies Record<string, Table<readonly ShelfItem[]>>;

const round = (area: number): number => Math.round(area * 1000) / 1000;
