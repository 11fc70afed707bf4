import { namePiece, nameZone, zoneName, type Dossier, type ShelfItem } from '../dossier';
import {
  FINISH_FACTS,
  KIND_LABELS,
  labelProduct,
  OPERATION_FACTS,
  SUBSTRATE_FACTS,
  TEST_KIND_FACTS,
  type ProductClass,
} from '../knowledge';
import { lowerFirst } from '../shared';
import { computeBelief } from '../survey';

export const FOUND_KINDS = ['piece', 'zone', 'test', 'work', 'mix', 'tin'] as const;
export type FoundKind = (typeof FOUND_KINDS)[number];

/** Something that is written down, as it is looked for. */
export interface Findable {
  kind: FoundKind;
  /** The piece it belongs to; none for a tin. */
  piece: string;
  /** Its own id within the piece or on the shelf. */
  id: string;
  title: string;
  /** What else is known of it. */
  body: string;
  /** ISO instant, of what has one. */
  at?: string;
}

const say = (...parts: (string | number | undefined | null | false)[]): string =>
  parts.filter((part) => part !== undefined && part !== null && part !== false && part !== '').join(', ');
const product = (code: string | undefined): string => (code ? labelProduct(code as ProductClass) : '');

/** What of a piece can be found: the piece, its zones, tests, logged work and mixes. */
export function listFindable(dossier: Dossier): Findable[] {
  const { piece, zones = [], tests = [], log = [], mixes = [] } = dossier;
  const own = piece.id ?? '';
  const name = namePiece(piece);
  const history = piece.history ?? {};
  return [
    {
      kind: 'piece',
      piece: own,
      id: own,
      title: name,
      body: say(KIND_LABELS[piece.kind], history.room),
    },
    ...zones.map((zone): Findable => {
      const { substrate, finish } = computeBelief(dossier, zone);
      return {
        kind: 'zone',
        piece: own,
        id: zone.id,
        title: `${name}: ${lowerFirst(zoneName(zone))}`,
        body: say(SUBSTRATE_FACTS[substrate[0]!.code].label, FINISH_FACTS[finish[0]!.code].label),
      };
    }),
    ...tests.map((test, i): Findable => ({
      kind: 'test',
      piece: own,
      id: test.id ?? String(i),
      title: `${TEST_KIND_FACTS[test.kind].label}: ${name}, ${lowerFirst(nameZone(dossier, test.zone))}`,
      body: say(product(test.treatment?.primer === 'none' ? undefined : test.treatment?.primer)),
      ...(test.at === undefined ? {} : { at: test.at }),
    })),
    ...log.map((entry, i): Findable => ({
      kind: 'work',
      piece: own,
      id: entry.work ?? String(i),
      title: `${OPERATION_FACTS[entry.op].label}: ${name}, ${lowerFirst(nameZone(dossier, entry.zone))}`,
      body: say(product(entry.class), entry.note),
      ...(entry.at === undefined ? {} : { at: entry.at }),
    })),
    ...mixes.map((mix, i): Findable => ({
      kind: 'mix',
      piece: own,
      id: mix.id ?? String(i),
      title: mix.name ? `${mix.name}: ${name}` : name,
      body: '',
    })),
  ];
}

/** A tin of the shelf, as it is looked for. */
export const findableTin = (tin: ShelfItem): Findable => ({
  kind: 'tin',
  piece: '',
  id: tin.id ?? '',
  title: tin.name ?? product(tin.class),
  body: say(product(tin.class), tin.colour),
});

/** The words of a question: letters and numbers, without accents or capitals. */
export const wordsOf = (text: string): string[] =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLocaleLowerCase()
    .match(/[\p{L}\p{N}]+/gu) ?? [];

/** Whether each word that is asked for begins a word of a text. */
export function matches(asked: readonly string[], text: string): boolean {
  const own = wordsOf(text);
  return asked.every((word) => own.some((part) => part.startsWith(word)));
}

/** What is meant by some words, titles before the rest, at most so many. Nothing is meant by no word. */
export function findAll(all: readonly Findable[], question: string, most: number): Findable[] {
  const asked = wordsOf(question);
  if (asked.length === 0) return [];
  const found = all.filter(({ title, body }) => matches(asked, `${title} ${body}`));
  const inTitle = (own: Findable): boolean => matches(asked, own.title);
  return [...found.filter(inTitle), ...found.filter((own) => !inTitle(own))].slice(0, most);
}
