import {
  CAUTION_CODES,
  CAUTION_FACTS,
  CLEAR_FACTS,
  DEFECT_BASIS,
  DEFECT_FACTS,
  findDust,
  FILM_BASIS,
  FILM_FACTS,
  findProduct,
  isCoat,
  isWholeCoat,
  maySpray,
  minutesFor,
  OPERATION_FACTS,
  OPERATIONS,
  PRODUCT_CLASSES,
  TOPCOATS,
  WORK_RATES,
  type WorkRate,
} from './index';

describe('operations, each with everything about it on its row', () => {
  it('have a label of their own', () => {
    const labels = OPERATIONS.map((op) => OPERATION_FACTS[op].label);
    expect(new Set(labels).size).toBe(OPERATIONS.length);
  });

  it('say which of them put a film on, and which may be sprayed', () => {
    expect(OPERATIONS.filter(isCoat)).toEqual(['edge_seal', 'spot_seal', 'prime', 'paint', 'topcoat', 'refresh']);
    expect(OPERATIONS.filter(isWholeCoat)).toEqual(['prime', 'paint', 'topcoat', 'refresh']);
    expect(OPERATIONS.filter((op) => maySpray(op, undefined))).toEqual(['prime', 'paint', 'topcoat']);
    // Oils and wax are rubbed in, whatever the rest is put on with.
    expect(TOPCOATS.filter((code) => code !== 'none' && !maySpray('topcoat', code))).toEqual(
      TOPCOATS.filter((code) => code !== 'none' && CLEAR_FACTS[code].rubbedOn),
    );
    expect(maySpray('topcoat', 'wipe_on_oil')).toBe(false);
    expect(maySpray('topcoat', 'wb_clear')).toBe(true);
  });

  it('let nothing that makes dust go on while a fault is alive', () => {
    for (const op of OPERATIONS) expect(OPERATION_FACTS[op].whileAlive && OPERATION_FACTS[op].dust).toBeFalsy();
  });
});

describe('the dust of some work', () => {
  it('is that of the repair it is, and a repair of a later version is taken to make some', () => {
    expect(findDust({ op: 'repair', repair: 'glue_joint' })).toBeUndefined();
    expect(findDust({ op: 'repair', repair: 'scrape_char' })).toBe('sanding');
    expect(findDust({ op: 'remove_face', repair: 'remove_foil' })).toBeUndefined();
    expect(findDust({ op: 'repair', repair: 'of_a_later_version' })).toBe('sanding');
    expect(findDust({ op: 'strip' })).toBe('chips');
  });
});

describe('products, each with everything about it on its row', () => {
  it('have a label and a carrier, and drying oils say that their rags heat up', () => {
    for (const code of PRODUCT_CLASSES) expect(findProduct(code)).toMatchObject({ label: expect.any(String) });
    // Common practice: what dries by oxygen, and the spirit that thins it.
    expect(PRODUCT_CLASSES.filter((code) => findProduct(code)?.ragsHeat).sort()).toEqual([
      'bonding_primer_oil',
      'hardwax_oil',
      'mineral_spirits',
      'oil_enamel',
      'oil_polyurethane',
      'stainblock_primer_oil',
      'wipe_on_oil',
    ]);
    expect(findProduct('of_a_later_version')).toBeUndefined();
  });

  it('name the basis of every figure of a film and of a defect', () => {
    const figures = new Set(Object.values(FILM_FACTS).flatMap((fact) => Object.keys(fact)));
    for (const figure of figures) expect(Object.keys(FILM_BASIS)).toContain(figure);
    const columns = new Set(Object.values(DEFECT_FACTS).flatMap((fact) => Object.keys(fact)));
    for (const column of columns)
      if (column !== 'label' && column !== 'group') expect(DEFECT_BASIS).toHaveProperty(column);
  });
});

describe('cautions', () => {
  it('stand on rows that are asked for somewhere, each with its basis', () => {
    expect(Object.keys(CAUTION_FACTS).sort()).toEqual([...CAUTION_CODES].sort());
    for (const { title, text, basis, source } of Object.values(CAUTION_FACTS)) {
      expect(title && text).toBeTruthy();
      expect(Boolean(source)).toBe(basis === 'published');
    }
  });

  it('and what is said of putting on a product go by its own row', () => {
    expect(findProduct('wax')?.applied).toContain('Nothing sticks over wax later.');
    expect(PRODUCT_CLASSES.filter((code) => findProduct(code)?.sprayCan)).toEqual([
      'aerosol_stainblock',
      'aerosol_enamel',
    ]);
  });
});

describe('rates of work', () => {
  it('take hands, with a basis, and nothing below nothing', () => {
    for (const { basis, ...figures } of Object.values(WORK_RATES)) {
      expect(basis).toBeTruthy();
      const rate = figures as WorkRate;
      expect((rate.once ?? 0) + minutesFor(rate, { areaM2: 1, edgeM: 4, parts: 1 })).toBeGreaterThan(0);
      for (const figure of Object.values(figures)) expect(figure).toBeGreaterThan(0);
    }
    expect(minutesFor(WORK_RATES.scuff, { areaM2: 0.5, edgeM: 3, parts: 2 })).toBeCloseTo(7.7);
  });
});
