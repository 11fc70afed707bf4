/**
 * Kubelka and Munk 1931: light in a film that scatters and absorbs. `scatter` is S·X, the scattering power of the film
 * (no unit, 0 or more); reflectances are 0–1.
 */

/** K/S of a paint from its reflectance when thick enough to hide anything. 0.5 → 0.25. */
export const convertReflectanceToKS = (full: number): number => (1 - full) ** 2 / (2 * full);

/** The reverse: reflectance of a paint that hides anything, from its K/S. 0.25 → 0.5. */
export const convertKSToReflectance = (ks: number): number => 1 + ks - Math.sqrt(ks * ks + 2 * ks);

/**
 * Reflectance of a film over a ground. With no film it is the ground's, with a very thick one the paint's own. Written
 * with R∞: R = [(Rg − R∞)/R∞ − R∞(Rg − 1/R∞)e^x] / [Rg − R∞ − (Rg − 1/R∞)e^x], x = S·X(1/R∞ − R∞).
 */
export function computeReflectanceOver(full: number, scatter: number, ground: number): number {
  const own = Math.min(0.9999, Math.max(0.0001, full));
  const x = scatter * (1 / own - own);
  if (x > 500) return own;
  const grown = Math.exp(x);
  const over = (ground - own) / own - own * (ground - 1 / own) * grown;
  const under = ground - own - (ground - 1 / own) * grown;
  return over / under;
}

/** Reflectance over black against that over the white of a test card (0.8), 0–1; 0.98 is called hiding (ISO 6504-3). */
export const computeContrastRatio = (full: number, scatter: number): number =>
  computeReflectanceOver(full, scatter, 0) / computeReflectanceOver(full, scatter, CARD_WHITE);

/** Reflectance of the white half of a draw-down card (ISO 6504-3: about 80 %). */
const CARD_WHITE = 0.8;

/** The scattering power of one coat that gives a contrast ratio; the inverse of `computeContrastRatio`, by halving. */
export function findScatter(full: number, contrastRatio: number): number {
  let [low, high] = [0, 200];
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2;
    if (computeContrastRatio(full, middle) < contrastRatio) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
