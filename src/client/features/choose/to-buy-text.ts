import type { Measures } from '@/client/store';
import { toCsv } from '@/core/keeping';
import type { SmallSupply, Supply } from '@/core/systems';
import { TO_BUY_TEXT_WORDS, sayColour } from '@/words';

/** "1 × 750 ml and 1 × 250 ml, about 44", or that the shelf has it. */
export function sayTins({ fromShelf, buy }: Supply, { sayVolume, sayMoney }: Measures): string {
  const shelf = fromShelf.reduce((sum, { ml }) => sum + ml, 0);
  const fromIt = shelf > 0 ? TO_BUY_TEXT_WORDS.fromTheShelf(sayVolume(shelf)) : '';
  if (buy.tins.length === 0) return TO_BUY_TEXT_WORDS.nothingToBuy(fromIt);
  const tins = buy.tins.map(({ volumeMl, count }) => `${count} × ${sayVolume(volumeMl)}`).join(' and ');
  return TO_BUY_TEXT_WORDS.aboutTins(fromIt, tins, sayMoney(buy.price));
}

/** What colour of a paint is wanted. */
const sayIn = ({ colour }: Supply): string => (colour ? TO_BUY_TEXT_WORDS.inIt(sayColour(colour), colour) : '');

export const listToBuyText = (supplies: readonly Supply[], small: readonly SmallSupply[], measures: Measures): string =>
  [
    ...supplies.map((supply) => `${supply.label}${sayIn(supply)}: ${sayTins(supply, measures)}`),
    ...small.map(({ label, ml }) => (ml > 0 ? TO_BUY_TEXT_WORDS.about(label, measures.sayVolume(ml)) : label)),
  ].join('\n');

/** A table of the same for a spreadsheet. */
export const listToBuyCsv = (supplies: readonly Supply[]): string =>
  toCsv([
    ['class', 'product', 'colour', 'needed_ml', 'from_shelf_ml', 'tins_to_buy_ml', 'price'],
    ...supplies.map(({ class: code, label, colour = '', neededMl, fromShelf, buy }) => {
      const shelf = fromShelf.reduce((sum, { ml }) => sum + ml, 0);
      const tins = buy.tins.map(({ volumeMl, count }) => TO_BUY_TEXT_WORDS.x(count, volumeMl)).join(' + ');
      return [code, label, colour, neededMl, Math.round(shelf), tins, buy.price.toFixed(2)];
    }),
  ]);
