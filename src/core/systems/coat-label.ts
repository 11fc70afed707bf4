import { labelProduct, type ProductClass } from '../knowledge';
import type { PrimerTint } from '../film';

/** What a coat is called: its class, and the tint that was asked for. White is what primers are. */
export const nameCoat = (code: ProductClass, tint?: string): string =>
  tint === undefined || tint === 'white' ? labelProduct(code) : `${labelProduct(code)}, tinted ${tint}`;

/** The same with how many coats of it there are. */
export const labelCoat = (code: ProductClass, coats: number, tint?: PrimerTint): string =>
  `${nameCoat(code, tint)}${coats > 1 ? ` ×${coats}` : ''}`;
