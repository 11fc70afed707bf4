import { isOfNow, type Dossier, type Test, type Zone } from '../dossier';
import { listAlike } from './alike-zones';
import { judgeTest, type JudgedTest } from './judge';
import { treatmentKey } from './sameness';

/** A test with what came of it. */
export interface Reading {
  test: Test;
  judged: JudgedTest;
  /** Of the treatment on the patch, as `treatmentKey` tells them apart. */
  key: string;
}

/** The readings that count for a zone: of the coats on it now, and of those it is read alike with. */
export function listReadings(dossier: Dossier, zone: Zone): readonly Reading[] {
  const { tests, zones, chosen, piece, goal } = dossier;
  if (!tests || tests.length === 0) return [];
  const before = KNOWN.get(tests);
  const same = before?.zones === zones && before?.chosen === chosen && before?.piece === piece && before?.goal === goal;
  const known: Known =
    before && same ? before : { zones, chosen, piece, goal, judged: judgeOfNow(dossier), of: new Map() };
  if (known !== before) KNOWN.set(tests, known);
  const own = known.of.get(zone.id);
  if (own) return own;
  const alike = listAlike(dossier, zone);
  const readings = known.judged.filter(({ test }) => alike.includes(test.zone));
  known.of.set(zone.id, readings);
  return readings;
}

interface Known extends Pick<Dossier, 'zones' | 'chosen' | 'piece' | 'goal'> {
  judged: readonly Reading[];
  of: Map<string, readonly Reading[]>;
}
/** A piece is asked for each of its zones: its tests are judged once as long as nothing they hang on changes. */
const KNOWN = new WeakMap<readonly Test[], Known>();

const judgeOfNow = (dossier: Dossier): Reading[] =>
  (dossier.tests ?? []).flatMap((test) =>
    isOfNow(dossier, test) ? [{ test, judged: judgeTest(test, dossier), key: treatmentKey(test.treatment) }] : [],
  );
