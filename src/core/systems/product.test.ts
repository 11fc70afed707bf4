import type { Dossier, ShelfItem } from '../dossier';
import { LABEL_CLIMATE } from '../climate';
import { forecastCoats } from './cover';
import { planPiece } from './plan';
import { isOffered, listProducts, productsOf } from './product';
import { searchZone } from './search';
import { readGround } from './take-up';

const PALE = '#F3EFE6';
const DARK = '#2B3A42';
const enamel = (id: string, more: Partial<ShelfItem> = {}): ShelfItem => ({
  id,
  class: 'wb_alkyd_enamel',
  volume_ml: 5000,
  ...more,
});
const piece = (shelf: ShelfItem[], goal: Dossier['goal'] = {}): Dossier => ({
  format: 'bricolage.dossier/1',
  piece: { kind: 'dresser' },
  zones: [
    { id: 'top', role: 'top', area_m2: 1, stated: { substrate: 'clear_softwood', finish: 'varnish_oil' } },
    { id: 'side', role: 'side', area_m2: 1, stated: { substrate: 'clear_softwood', finish: 'varnish_oil' } },
  ],
  goal: { colour: PALE, paint: 'wb_alkyd_enamel', ...goal },
  shelf,
});
const enamels = (dossier: Dossier) =>
  productsOf(dossier)
    .filter(({ class: code }) => code === 'wb_alkyd_enamel')
    .map(({ colour, tins }) => `${colour} ${tins.map(({ id }) => id).join('+') || 'bought'}`);

describe('paint of a colour', () => {
  it('comes from the tins of that colour, near ones too, and is bought where there is none', () => {
    const shelf = [
      enamel('white', { colour: PALE }),
      enamel('near', { colour: '#F2EEE5' }),
      enamel('blue', { colour: '#27508A' }),
    ];
    expect(enamels(piece(shelf, { zones: { side: { colour: DARK } } }))).toEqual([
      `${PALE} white+near`,
      `${DARK} bought`,
    ]);
  });

  it('takes a tin that says no colour for the piece’s own, and for no other', () => {
    expect(enamels(piece([enamel('mine')], { zones: { side: { colour: DARK } } }))).toEqual([
      `${PALE} mine`,
      `${DARK} bought`,
    ]);
    // Where no zone has the piece's colour, it is that of the most zones.
    const own = { zones: { top: { colour: DARK }, side: { colour: DARK } } };
    expect(enamels(piece([enamel('mine')], own))).toEqual([`${DARK} mine`]);
  });

  it('is of any colour where none is told', () => {
    const [product] = listProducts([enamel('mine')], LABEL_CLIMATE).filter(
      ({ class: code }) => code === 'wb_alkyd_enamel',
    );
    expect(isOffered(product!, DARK)).toBe(true);
  });
});

describe('how well a tin hides, by the owner’s own card', () => {
  const coats = (shelf: ShelfItem[]): number[] =>
    planPiece(piece(shelf)).systems[0]!.zones.map(({ stack }) => stack.paintCoats);

  it('takes the place of the class figure in the coats that are planned', () => {
    const mine = enamel('mine', { colour: PALE });
    const usual = coats([mine]);
    // As good as the class says, or better: no coat more.
    expect(coats([{ ...mine, contrast_ratio: 0.97 }])).toEqual(usual);
    const dossier = piece([]);
    const ground = readGround(dossier, dossier.zones![0]!);
    const needed = (ratio: number): number => forecastCoats(ground, 'scuff_150', [], ratio).coats;
    expect(needed(0.4)).toBeGreaterThan(needed(0.94));
    // Every way that takes the tin has as many coats as its card asks for.
    const thin = { ...mine, contrast_ratio: 0.4 };
    const products = productsOf(piece([thin]));
    const { goals } = searchZone(ground, products);
    const own = goals.filter(({ uses }) => uses.some(({ product }) => product.key === 'mine'));
    const bought = goals.filter(({ uses }) => uses.some(({ product }) => product.key === 'wb_alkyd_enamel'));
    expect([own.length > 0, bought.length > 0]).toEqual([true, true]);
    const least = (labels: typeof goals): number => Math.min(...labels.map(({ state }) => state.paintCoats));
    expect(least(own)).toBeGreaterThan(least(bought));
    // A tin that hides worse than its class does not keep the class from being bought.
    expect(enamels(piece([thin]))).toEqual([`${PALE} mine`, `${PALE} bought`]);
  });
});
