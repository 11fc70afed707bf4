import type { Supply } from '@/core/systems';
import { makeMeasures } from '@/client/store';
import { listToBuyCsv, listToBuyText, sayTins } from './to-buy-text';

const supply = (more: Partial<Supply> = {}): Supply => ({
  class: 'wb_alkyd_enamel',
  label: 'Cabinet enamel',
  neededMl: 940,
  fromShelf: [],
  buy: {
    tins: [
      { volumeMl: 750, count: 1 },
      { volumeMl: 250, count: 1 },
    ],
    price: 44.2,
    leftMl: 60,
  },
  cost: 44.2,
  ...more,
});
const METRIC = makeMeasures('metric', undefined);
const none = { tins: [], price: 0, leftMl: 0 };

describe('the list of what to buy', () => {
  it('names tins, and what the shelf gives', () => {
    expect(sayTins(supply(), METRIC)).toBe('1 × 750 ml and 1 × 250 ml, about 44');
    expect(sayTins(supply({ fromShelf: [{ id: 'a', ml: 1200 }], buy: none }), METRIC)).toBe(
      '1.2 L from the shelf: nothing to buy',
    );
    expect(listToBuyText([supply({ fromShelf: [{ id: 'a', ml: 200 }] })], [], METRIC)).toBe(
      'Cabinet enamel: 200 ml from the shelf, and 1 × 750 ml and 1 × 250 ml, about 44',
    );
  });

  it('says the colour of a paint in words and figures', () => {
    expect(listToBuyText([supply({ colour: '#2B3A42' })], [], METRIC)).toMatch(
      /^Cabinet enamel in dark greyish blue \(#2B3A42\): /,
    );
  });

  it('speaks the owner’s units and currency', () => {
    expect(sayTins(supply(), makeMeasures('us', 'USD', 'en-US'))).toBe('1 × 25 fl oz and 1 × 8.45 fl oz, about $44');
    expect(sayTins(supply(), makeMeasures('metric', 'SEK', 'sv-SE'))).toMatch(/about 44\u00a0kr$/);
  });

  it('is a table by RFC 4180', () => {
    const csv = listToBuyCsv([supply({ label: 'Enamel, "hard"', colour: '#2B3A42' })]);
    expect(csv.split('\r\n')).toEqual([
      'class,product,colour,needed_ml,from_shelf_ml,tins_to_buy_ml,price',
      'wb_alkyd_enamel,"Enamel, ""hard""",#2B3A42,940,0,1 x 750 + 1 x 250,44.20',
      '',
    ]);
  });
});
