import type { PaintCode, PrepCode, PrimerCode, TopcoatCode } from '../knowledge';
import { forecastCoats, type Cover } from './cover';
import { DEFAULT_PAINT, type Ground } from './ground';

export interface PrimerCoats {
  code: PrimerCode;
  coats: number;
}

/** One way to treat a zone, before it is judged. */
export interface Candidate {
  prep: PrepCode;
  primers: readonly PrimerCoats[];
  paint: PaintCode | null;
  paintCoats: number;
  cover: Cover | null;
  topcoat: TopcoatCode;
  topcoats: number;
}

export const PREP_CHOICES: readonly PrepCode[] = ['none', 'scuff_150', 'scuff_220', 'liquid_degloss', 'strip'];

/** Every primer alone in its usual number of coats, and the two waterborne ones that only do half a job together. */
// prettier-ignore
export const PRIMER_CHOICES: readonly (readonly PrimerCoats[])[] = [
  [],
  [{ code: 'shellac_primer', coats: 1 }],
  [{ code: 'shellac_primer', coats: 2 }],
  [{ code: 'stainblock_primer_oil', coats: 1 }],
  [{ code: 'stainblock_primer_oil', coats: 2 }],
  [{ code: 'stainblock_primer_wb', coats: 2 }],
  [{ code: 'bonding_primer_wb', coats: 1 }],
  [{ code: 'bonding_primer_wb', coats: 1 }, { code: 'stainblock_primer_wb', coats: 2 }],
  [{ code: 'bonding_primer_oil', coats: 1 }],
  [{ code: 'bonding_primer_2k', coats: 1 }],
  [{ code: 'allpurpose_primer_wb', coats: 1 }],
  [{ code: 'shellac_clear', coats: 2 }],
  [{ code: 'stainblock_clear_wb', coats: 2 }],
  [{ code: 'aerosol_stainblock', coats: 2 }],
  [{ code: 'metal_primer', coats: 1 }],
  [{ code: 'mdf_sealer', coats: 2 }],
];

export function listCandidates(ground: Ground): Candidate[] {
  if (ground.look === 'leave') {
    return [{ prep: 'none', primers: [], paint: null, paintCoats: 0, cover: null, topcoat: 'none', topcoats: 0 }];
  }
  if (ground.look === 'clear' || ground.look === 'stain') return listClearCandidates(ground);
  const paint = ground.goal.paint ?? DEFAULT_PAINT;
  const { topcoat, topcoats } = chooseTopcoat(ground, paint);
  return PREP_CHOICES.flatMap((prep) =>
    PRIMER_CHOICES.map((primers) => {
      const cover = forecastCoats(ground, prep, primers);
      return { prep, primers, paint, paintCoats: cover.coats, cover, topcoat, topcoats };
    }),
  );
}

/** Wear decides: paints that must be sealed get two clear coats, hard-worn faces in a softer paint one. */
function chooseTopcoat(ground: Ground, paint: PaintCode): Pick<Candidate, 'topcoat' | 'topcoats'> {
  const clear = ground.pale ? 'wb_clear' : 'oil_polyurethane';
  if (paint === 'chalk_paint') return { topcoat: clear, topcoats: 2 };
  const soft = paint === 'mineral_paint' || paint === 'milk_paint_acrylic' || paint === 'latex_wall_paint';
  return soft && ground.zone.wear === 'high' ? { topcoat: clear, topcoats: 1 } : { topcoat: 'none', topcoats: 0 };
}

function listClearCandidates(ground: Ground): Candidate[] {
  const preps: PrepCode[] = ground.look === 'stain' ? ['sand_bare', 'strip'] : ['scuff_220', 'strip'];
  return preps.flatMap((prep) =>
    (['wb_clear', 'oil_polyurethane', 'wipe_on_oil'] as const).map((topcoat) => ({
      prep,
      primers: [],
      paint: null,
      paintCoats: 0,
      cover: null,
      topcoat,
      topcoats: 2,
    })),
  );
}

export const describePrimers = (primers: readonly PrimerCoats[]): string =>
  primers.map(({ code }) => code).join('+') || 'none';
