import type { Dossier, Test, Treatment } from '../dossier';
import { FILM_FACTS, SUBSTRATE_FACTS } from '../knowledge';
import { specifyCut, type CutSpec } from '../scales';
import { computeBelief } from '../survey';

type OfPiece = Pick<Dossier, 'piece' | 'zones'>;

/**
 * How to cut the lattice of a patch: by its film and by what is believed of the ground it lies on, both for the form that
 * asks for it and for the record that is judged. Spacing in mm (ISO 2409).
 */
export const specifyCutOn = (dossier: OfPiece, zoneId: string, treatment: Treatment | undefined): CutSpec =>
  specifyCut(estimateFilm({ treatment }), readHardness(dossier, zoneId));

/** Many readings stand on one zone, and its belief is dear: kept for as long as the piece is the same. */
const KNOWN = new WeakMap<OfPiece, Map<string, 'hard' | 'soft'>>();

/** Wood and board are soft; metal, glass and ceramic are hard where they are more likely than not. */
function readHardness(dossier: OfPiece, zoneId: string): 'hard' | 'soft' {
  const known = KNOWN.get(dossier) ?? new Map<string, 'hard' | 'soft'>();
  KNOWN.set(dossier, known);
  const before = known.get(zoneId);
  if (before) return before;
  const zone = dossier.zones?.find(({ id }) => id === zoneId);
  const substrates = zone ? computeBelief(dossier, zone).substrate : [];
  const pHard = substrates.reduce((sum, { code, p }) => sum + (SUBSTRATE_FACTS[code].cutsHard ? p : 0), 0);
  const hardness = pHard > 0.5 ? 'hard' : 'soft';
  known.set(zoneId, hardness);
  return hardness;
}

/** Dry film of the patch, µm: as measured, or from the coats in the treatment. */
export function estimateFilm(test: Pick<Test, 'treatment'>): number {
  const { dft_um, primer, coats, paint, paint_coats } = test.treatment ?? {};
  if (dft_um !== undefined) return dft_um;
  const primerFilm = primer && primer !== 'none' ? FILM_FACTS[primer].dryFilmUm * (coats ?? 1) : 0;
  const paintFilm = paint ? FILM_FACTS[paint].dryFilmUm * (paint_coats ?? 1) : 0;
  return primerFilm + paintFilm;
}
