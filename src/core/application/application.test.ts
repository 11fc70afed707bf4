import { FILM_FACTS, findSpray, SPRAY_FACTS, TOOL_FACTS } from '../knowledge';
import { countCans, foreseeStroke, listChanges, listDrawings, listTools, pickTool, setUpGun } from './index';

const CLASSES = Object.keys(FILM_FACTS) as (keyof typeof FILM_FACTS)[];

describe('the tool for a coat', () => {
  it('is found for every class, face and size, and every row of the table is some coat’s', () => {
    const used = new Set(
      CLASSES.flatMap((code) =>
        (['flat', 'moulded', 'narrow'] as const).flatMap((face) => [0.1, 2].map((m2) => pickTool(code, face, m2).code)),
      ),
    );
    expect([...used].sort()).toEqual(TOOL_FACTS.map(({ code }) => code).sort());
  });

  // Common practice, as it is taught: the pairs below are written out by hand.
  it.each([
    ['wb_alkyd_enamel', 'flat', 2, 'microfibre_roller'],
    ['wb_alkyd_enamel', 'flat', 0.2, 'foam_roller'],
    ['wb_alkyd_enamel', 'moulded', 1, 'angled_brush'],
    ['shellac_primer', 'flat', 1, 'mohair_roller'],
    ['oil_enamel', 'narrow', 0.2, 'bristle_brush'],
    ['chalk_paint', 'flat', 1, 'stiff_brush'],
    ['bonding_primer_wb', 'moulded', 1, 'sponge'],
    ['wipe_on_oil', 'flat', 1, 'cloth'],
    ['mineral_paint', 'narrow', 0.2, 'soft_brush'],
  ] as const)('%s on a %s face of %d m²: %s', (code, face, m2, tool) => {
    expect(pickTool(code, face, m2).code).toBe(tool);
  });

  it('is named for the largest share first, and for no sprayed coat', () => {
    const zones = [
      { role: 'leg' as const, area_m2: 0.2 },
      { role: 'top' as const, area_m2: 1.2 },
    ];
    const coat = { op: 'paint' as const, class: 'wb_alkyd_enamel' };
    expect(listTools(coat, zones).map(({ code }) => code)).toEqual(['microfibre_roller', 'soft_brush']);
    expect(listTools(coat, zones, 'spray')).toEqual([]);
    expect(listTools({ op: 'paint', class: 'aerosol_enamel' }, zones)).toEqual([]);
    expect(listTools({ op: 'scuff' }, zones)).toEqual([]);
  });

  it('is drawn: the order of a panelled door, the passes of a gun, how tape is pulled', () => {
    const door = [{ role: 'door' as const, moulded: true, area_m2: 1 }];
    expect(listDrawings({ op: 'paint', class: 'wb_alkyd_enamel' }, door)).toContain('panel_order');
    expect(listDrawings({ op: 'paint', class: 'wb_alkyd_enamel' }, door, 'spray')).toEqual(['half_overlap']);
    expect(listDrawings({ op: 'mask', hand: 'pull_tape' }, door)).toEqual(['tape_pull']);
    expect(listDrawings({ op: 'degrease' }, door)).toEqual([]);
  });

  it('is a cloth for what is rubbed in, also where the rest is sprayed, and shows how it is wiped off', () => {
    const top = [{ role: 'top' as const, area_m2: 1 }];
    for (const code of ['wipe_on_oil', 'hardwax_oil', 'wax']) {
      const coat = { op: 'topcoat' as const, class: code };
      expect(listTools(coat, top, 'spray').map((tool) => tool.code)).toEqual(['cloth']);
      expect(listDrawings(coat, top, 'spray')).toEqual(['wipe_off']);
    }
    expect(listDrawings({ op: 'rub_out' }, top)).toEqual(['rub_even']);
    expect(listDrawings({ op: 'topcoat', class: 'shellac_clear' }, top)).toEqual(['strips']);
  });
});

describe('a gun', () => {
  it('has a row for every class, none of them idle, and starts within it', () => {
    expect(new Set(CLASSES.map(findSpray)).size).toBe(SPRAY_FACTS.length);
    for (const code of CLASSES) {
      const { fact, start, passes } = setUpGun(code, 'compressor');
      expect(start.nozzleMm).toBeGreaterThanOrEqual(fact.nozzleMm[0]);
      expect(start.nozzleMm).toBeLessThanOrEqual(fact.nozzleMm[1]);
      expect(passes).toBeGreaterThanOrEqual(1);
      expect(foreseeStroke({ fact, start }, start)).toBe('even');
    }
  });

  it('thins by the label at most, and a primer for slick ground never', () => {
    expect(setUpGun('wb_alkyd_enamel', 'compressor').mostThinnerPct).toBe(25);
    expect(setUpGun('wb_alkyd_enamel', 'compressor', { labelThinnerPct: 5 }).mostThinnerPct).toBe(5);
    const primer = setUpGun('bonding_primer_wb', 'compressor', { labelThinnerPct: 10 });
    expect(primer.mostThinnerPct).toBe(0);
    expect(listChanges('spider', primer)).toEqual(['more_air', 'smaller_nozzle']);
    expect(listChanges('spider', setUpGun('wb_clear', 'compressor'))).toContain('thin_a_little');
    expect(listChanges('even', primer)).toEqual([]);
  });

  it('spiders with little air or thick paint, runs near and wide, dries far, clouds at high pressure', () => {
    const { fact, start } = setUpGun('wb_alkyd_enamel', 'compressor');
    const stroke = (change: Partial<typeof start>) => foreseeStroke({ fact, start }, { ...start, ...change });
    expect(stroke({ airBar: start.airBar * 0.5 })).toBe('spider');
    expect(stroke({ cupS: start.cupS * 3 })).toBe('spider');
    expect(stroke({ distanceCm: 8 })).toBe('runs');
    expect(stroke({ nozzleMm: start.nozzleMm * 1.4, airBar: start.airBar * 1.3 })).toBe('runs');
    expect(stroke({ distanceCm: 40 })).toBe('dry');
    expect(stroke({ airBar: start.airBar * 2 })).toBe('cloud');
  });

  it('gives what is changed its way: each change of a bad stroke, taken far enough, makes it even or another fault', () => {
    const { fact, start } = setUpGun('wb_alkyd_enamel', 'compressor');
    const bad = { ...start, airBar: start.airBar * 0.5 };
    expect(foreseeStroke({ fact, start }, { ...bad, airBar: bad.airBar * 1.5 })).toBe('even');
    expect(foreseeStroke({ fact, start }, { ...start, distanceCm: 40 * 0.6 })).toBe('even');
  });

  it('lays thick films in more passes', () => {
    expect(setUpGun('chalk_paint', 'turbine', { wetUm: 240 }).passes).toBe(4);
  });
});

it('cans cover about a square metre and a quarter once', () => {
  expect([countCans(0.2, 1), countCans(1.25, 1), countCans(1.25, 2), countCans(2.6, 2)]).toEqual([1, 1, 2, 5]);
});
