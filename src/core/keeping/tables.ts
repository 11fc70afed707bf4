import { askingOf, levelOf, nameZone, type Dossier, type ShelfItem } from '../dossier';
import {
  findProduct,
  KIND_LABELS,
  labelProduct,
  OPERATION_FACTS,
  TEST_KIND_FACTS,
  type CauseCode,
  type ProductClass,
  type SymptomCode,
} from '../knowledge';

/** A cell: numbers with a decimal point, dates as ISO writes them, nothing where nothing is known. */
export type Cell = string | number | undefined;

/** A table for a spreadsheet: its columns, and the rows that a piece (or the shelf) adds. */
export interface Table<T> {
  columns: readonly string[];
  rows: (of: T, names: TableNames) => Cell[][];
}

/** What is called by words that a row of the trade does not carry. */
export interface TableNames {
  symptom: (code: SymptomCode) => string;
  cause: (code: CauseCode) => string;
}

const idOf = ({ piece }: Dossier): string => piece.id ?? '';

const classNameOf = (code: string | undefined): string | undefined =>
  code === undefined || findProduct(code) === undefined ? undefined : labelProduct(code as ProductClass);

/** What a reading may tell, whatever kind of test it is of. */
const READING_COLUMNS = [
  'score',
  'iso_class',
  'removed_pct',
  'astm',
  'double_rubs',
  'grade',
  'at',
  'de_mean',
  'de_worst',
] as const;
const cellOf = (value: unknown): Cell => (typeof value === 'number' || typeof value === 'string' ? value : undefined);

/** One row a piece, a test, a piece of work: codes for programs, with what they are called beside them. */
export const PIECE_TABLES = {
  pieces: {
    columns: [
      'piece',
      'name',
      'kind',
      'kind_name',
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
        KIND_LABELS[dossier.piece.kind],
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
      'zone_name',
      'test',
      'kind',
      'kind_name',
      'at',
      'age_h',
      'panel',
      'strip',
      'interface',
      ...READING_COLUMNS.map((field) => `reading_${field}`),
      'photo',
      'note',
    ],
    rows: (dossier) =>
      (dossier.tests ?? []).map((test) => [
        idOf(dossier),
        test.zone,
        nameZone(dossier, test.zone),
        test.id,
        test.kind,
        TEST_KIND_FACTS[test.kind].label,
        test.at,
        test.age_h,
        test.panel,
        test.strip,
        test.interface,
        ...READING_COLUMNS.map((field) => cellOf(test.reading[field])),
        test.photo,
        test.note,
      ]),
  },
  troubles: {
    columns: [
      'piece',
      'zone',
      'zone_name',
      'trouble',
      'symptom',
      'symptom_name',
      'seen_at',
      'likeliest_cause',
      'likeliest_cause_name',
      'p',
      'settled',
      'settled_at',
      'note',
    ],
    rows: (dossier, names) =>
      (dossier.troubles ?? []).map(({ id, zone, symptom, seen_at, found, settled, note }) => [
        idOf(dossier),
        zone,
        nameZone(dossier, zone),
        id,
        symptom,
        names.symptom(symptom),
        seen_at,
        found?.causes[0]?.code,
        found?.causes[0] && names.cause(found.causes[0].code),
        found?.causes[0]?.p,
        settled?.how,
        settled?.at,
        note,
      ]),
  },
  log: {
    columns: [
      'piece',
      'zone',
      'zone_name',
      'at',
      'op',
      'op_name',
      'class',
      'class_name',
      'product',
      'product_name',
      'coats',
      'ml',
      'thinned_pct',
      'started_at',
      'minutes',
      'note',
    ],
    rows: (dossier) =>
      (dossier.log ?? []).map((entry) => [
        idOf(dossier),
        entry.zone,
        nameZone(dossier, entry.zone),
        entry.at,
        entry.op,
        OPERATION_FACTS[entry.op].label,
        entry.class,
        classNameOf(entry.class),
        entry.product,
        dossier.shelf?.find(({ id }) => id === entry.product)?.name,
        entry.coats,
        entry.ml,
        entry.thinned_pct,
        entry.started_at,
        entry.minutes,
        typeof entry.note === 'string' ? entry.note : undefined,
      ]),
  },
} as const satisfies Record<string, Table<Dossier>>;

export const SHELF_TABLES = {
  tins: {
    // What is left in a tin is what the shelf and every plan say: what was measured less what was drawn off since.
    columns: ['tin', 'name', 'class', 'class_name', 'volume_ml', 'size_ml', 'price', 'opened_on'],
    rows: (tins) =>
      tins.map((tin) => [
        tin.id,
        tin.name,
        tin.class,
        classNameOf(tin.class),
        levelOf(tin),
        tin.size_ml,
        tin.price,
        tin.opened_on,
      ]),
  },
} as const satisfies Record<string, Table<readonly ShelfItem[]>>;

const round = (area: number): number => Math.round(area * 1000) / 1000;
