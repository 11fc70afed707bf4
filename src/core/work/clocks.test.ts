import { DOSSIER_FORMAT, type Dossier } from '../dossier';
import { makePiece } from '../../../tests/properties/shop-data';
import { computePotLifeMin, findWait, listClocks, listFilmTimes, listTasks } from './index';

const MILD = { temperature_c: 21, humidity_pct: 50 };
const coat = (at: string, op: 'prime' | 'paint' = 'paint', code = 'wb_alkyd_enamel') => ({
  at,
  zone: 'top',
  op,
  class: code,
  coats: 1,
});

describe('the clock of a coat', () => {
  it('goes over midnight and the end of a month', () => {
    const [clock] = listClocks(
      { ...makePiece('desk'), log: [coat('2026-11-30T20:30:00Z')] },
      [],
      MILD,
      '2026-11-30T21:00:00Z',
    );
    expect(clock).toMatchObject({
      touchAt: '2026-11-30T22:30:00.000Z',
      recoatAt: '2026-12-01T12:30:00.000Z',
      handleAt: '2026-12-02T20:30:00.000Z',
      curedAt: '2026-12-30T20:30:00.000Z',
      state: 'wet',
    });
  });

  it('runs by elapsed hours, whatever the clocks on the wall do', () => {
    const log = [coat('2026-03-28T20:00:00Z')];
    const at = (now: string) => listClocks({ ...makePiece('desk'), log }, [], MILD, now)[0]!.state;
    // In Lisbon it is 12:59 and 13:00 summer time; 16 hours have passed at the second.
    expect(at('2026-03-29T11:59:00Z')).toBe('touch_dry');
    expect(at('2026-03-29T12:00:00Z')).toBe('recoatable');
    expect(at('2026-03-30T20:00:00Z')).toBe('handleable');
    expect(at('2026-04-27T20:00:00Z')).toBe('cured');
  });

  it('is that of the last coat, and none where it was stripped or left out', () => {
    const now = '2026-11-29T12:00:00Z';
    const log = [coat('2026-11-27T20:00:00Z', 'prime', 'bonding_primer_wb'), coat('2026-11-28T20:00:00Z')];
    expect(listClocks({ ...makePiece('desk'), log }, [], MILD, now).map(({ what }) => what)).toEqual([
      'Cabinet enamel',
    ]);
    expect(
      listClocks({ ...makePiece('desk'), log: [...log, { at: now, zone: 'top', op: 'strip' }] }, [], MILD, now),
    ).toEqual([]);
    expect(listClocks({ ...makePiece('desk'), log: [{ ...log[0]!, skipped: true }] }, [], MILD, now)).toEqual([]);
  });

  it('is slower in cold or damp air, never faster than the label', () => {
    for (const t of [5, 12, 18, 21, 28, 35])
      for (const h of [20, 50, 70, 85]) {
        const times = listFilmTimes('wb_alkyd_enamel', undefined, { temperature_c: t, humidity_pct: h });
        expect(times.recoatH).toBeGreaterThanOrEqual(times.labelRecoatH);
        expect(times.touchH).toBeLessThan(times.recoatH);
        expect(times.recoatH).toBeLessThanOrEqual(times.handleH);
      }
    // Q10 = 2 for curing films: ten degrees colder takes twice as long.
    expect(listFilmTimes('oil_enamel', undefined, { temperature_c: 11, humidity_pct: 50 }).recoatH).toBe(48);
  });

  it('shows a window that closes, and the next one once it has', () => {
    const steps = [
      {
        op: 'paint' as const,
        label: 'Aerosol ×2',
        class: 'aerosol_enamel',
        coats: 2,
        minutes: 20,
        wait_h: 96,
        stage: 12,
        why: '',
        ml: 100,
      },
    ];
    const piece = {
      ...makePiece('desk', ['top'], steps),
      log: [{ ...coat('2026-11-28T09:00:00Z', 'paint', 'aerosol_enamel') }],
    };
    const [, second] = listTasks(piece, [], MILD);
    const wait = (now: string) => findWait(second!, listTasks(piece, [], MILD), now);
    expect(wait('2026-11-28T09:20:00.000Z')).toMatchObject({
      readyAt: '2026-11-28T09:15:00.000Z',
      closesAt: '2026-11-28T10:00:00.000Z',
    });
    expect(wait('2026-11-28T10:01:00.000Z')).toMatchObject({ readyAt: '2026-11-30T09:00:00.000Z' });
  });
});

describe('a mixed batch', () => {
  it('serves as long as its label says, and half as long ten degrees warmer', () => {
    expect(computePotLifeMin(4, 21)).toBe(240);
    expect(computePotLifeMin(4, 31)).toBe(120);
    expect(computePotLifeMin(4, 11)).toBe(240);
  });
});

describe('a coat logged under a moment still to come', () => {
  it('starts its clock now, not then', () => {
    const dossier: Dossier = {
      format: DOSSIER_FORMAT,
      piece: { kind: 'desk' },
      zones: [{ id: 'top', role: 'top' }],
      log: [{ zone: 'top', op: 'prime', class: 'shellac_primer', at: '2027-06-01T10:00:00Z' }],
    };
    const now = '2026-11-28T10:00:00.000Z';
    const [clock] = listClocks(dossier, [], { temperature_c: 21, humidity_pct: 50 }, now);
    expect(clock).toMatchObject({ at: now, state: 'wet' });
    expect(Date.parse(clock!.recoatAt) - Date.parse(now)).toBe(3_600_000);
  });
});
