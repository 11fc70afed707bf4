import type { Href } from 'expo-router';
import { matches, wordsOf, type Findable } from '@/core/find';
import { listTerms, HELP, type ScreenCode, type Term } from '@/words';

/** Where the screens of the shop are; those of a piece are reached through it. */
const PLACES: Partial<Record<ScreenCode, Href>> = {
  today: '/',
  pieces: '/pieces',
  new: '/new',
  findings: '/findings',
  practice: '/practice',
  earned: '/earned',
  shelf: '/shelf',
  ahead: '/ahead',
  workshop: '/workshop',
  phones: '/phones',
  copies: '/copies',
  'put-away': '/put-away',
  compare: '/compare',
  glossary: '/glossary',
  notices: '/notices',
};

export interface FoundPlace {
  code: ScreenCode;
  name: string;
  answers: string;
  href: Href;
}

const ALL_PLACES: readonly FoundPlace[] = Object.entries(PLACES).map(([code, href]) => {
  const { name, answers } = HELP[code as ScreenCode];
  return { code: code as ScreenCode, name, answers, href };
});

/** Screens that are meant by some words; all of them while none is typed. */
export function findPlaces(words: string): readonly FoundPlace[] {
  const asked = wordsOf(words);
  return ALL_PLACES.filter(({ name, answers }) => matches(asked, asked.length > 0 ? `${name} ${answers}` : name));
}

const MOST_TERMS = 8;

/** Words of the trade that are meant. */
export function findTerms(words: string): readonly Term[] {
  const asked = wordsOf(words);
  if (asked.length === 0) return [];
  return listTerms()
    .filter(({ term }) => matches(asked, term))
    .slice(0, MOST_TERMS);
}

const STAGES: Record<Findable['kind'], string> = {
  piece: 'read',
  zone: 'read',
  test: 'prove',
  work: 'work',
  mix: 'work',
  tin: '',
};
/** Where something that was found is looked at. */
export const placeOf = ({ kind, piece }: Findable): Href =>
  kind === 'tin' ? '/shelf' : (`/piece/${piece}/${STAGES[kind]}` as Href);
