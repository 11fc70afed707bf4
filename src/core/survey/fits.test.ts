import { DOSSIER_FORMAT, type Defect, type Dossier, type Zone } from '../dossier';
import { computeBelief } from './belief';
import { expectFit, mayBeHere, questionDefects, rankDefects } from './fits';

const read = (zone: Partial<Zone>) => {
  const own: Zone = { id: 'z', role: 'side', ...zone };
  const dossier: Dossier = { format: DOSSIER_FORMAT, piece: { kind: 'chest' }, zones: [own] };
  return computeBelief(dossier, own);
};
const PINE = { substrate: 'knotty_softwood', finish: 'varnish_oil' } as const;
const FOIL = { substrate: 'thermofoil', finish: 'factory_film' } as const;
const OAK = { substrate: 'open_grain_hardwood', finish: 'varnish_oil' } as const;

describe('which faults to look for first', () => {
  const first = (zone: Partial<Zone>) => rankDefects(read(zone), zone.role ?? 'side').slice(0, 10);

  it('follows the ground', () => {
    expect(first({ stated: PINE })).toContain('knot');
    expect(first({ stated: PINE })).not.toContain('lifting_foil');
    expect(first({ stated: FOIL, role: 'door' })).toEqual(expect.arrayContaining(['lifting_foil', 'old_holes']));
    expect(first({ stated: FOIL, role: 'door' })).not.toContain('knot');
    const painted = { substrate: 'clear_softwood', finish: 'alkyd_paint' } as const;
    expect(first({ stated: painted, role: 'moulding' })).toEqual(expect.arrayContaining(['thick_paint', 'runs']));
  });

  it('follows the part of the piece', () => {
    expect(first({ stated: PINE, role: 'drawer_side' })).toEqual(
      expect.arrayContaining(['loose_runner', 'dark_drawer_sides']),
    );
    expect(first({ stated: PINE, role: 'top' })).toContain('water_ring');
    expect(first({ stated: PINE, role: 'top' })).not.toContain('loose_runner');
  });

  it('names every defect once', () => {
    const all = rankDefects(read({}), 'top');
    expect(new Set(all).size).toBe(all.length);
  });
});

describe('a defect that cannot be on the ground', () => {
  const foil: Defect[] = [{ code: 'lifting_foil' }];

  it('is questioned, in the words of what the rest speaks for', () => {
    const zone: Zone = { id: 'z', role: 'side', stated: OAK, defects: foil };
    const belief = read(zone);
    expect(expectFit(belief, 'lifting_foil')).toBeLessThan(0.5);
    expect(questionDefects(belief, zone)).toEqual([
      expect.objectContaining({ defect: 'lifting_foil', because: expect.objectContaining({ kind: 'fault' }) }),
    ]);
  });

  it('is not questioned where it fits, or where nothing says what the ground is', () => {
    for (const stated of [FOIL, undefined]) {
      const zone: Zone = { id: 'z', role: 'side', defects: foil, ...(stated ? { stated } : {}) };
      expect(questionDefects(read(zone), zone)).toEqual([]);
      expect(mayBeHere(read(zone), 'lifting_foil')).toBe(true);
    }
  });
});
