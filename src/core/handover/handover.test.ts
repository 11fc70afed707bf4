import { writeEvents } from '../calendar';
import { LABEL_CLIMATE } from '../climate';
import { DOSSIER_FORMAT, type Dossier } from '../dossier';
import { HANDOVER_FACTS } from '../knowledge';
import { buildTemplate } from '../templates';
import ICAL from 'ical.js';
import { nameNewZone, writeCareNote, writeListing } from '@/words';
import {
  judgeLeaving,
  judgeLeavingGate,
  judgeTransport,
  listCureEntries,
  listReady,
  readCure,
  tellPiece,
} from './index';

const AT = '2026-05-01T10:00:00Z';
const plus = (days: number): string => new Date(Date.parse(AT) + days * 86_400_000).toISOString();
const piece = (kind: Dossier['piece']['kind'], more: Partial<Dossier> = {}): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { id: 'p', kind, history: { era: 'since_2000' } },
  zones: buildTemplate(kind, undefined, undefined, nameNewZone).zones,
  ...more,
});
const coat = (zone: string, at: string, more: object = {}) => ({
  zone,
  op: 'paint' as const,
  class: 'wb_alkyd_enamel',
  at,
  ...more,
});
const days = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / 86_400_000;

describe('when what may be done with a painted piece', () => {
  it('goes by the last coats: a week before things stand on it, a fortnight before it is washed, then the cure', () => {
    const dossier = piece('table', { log: [coat('top', AT), coat('legs', plus(-3))] });
    const cure = readCure(dossier, [], LABEL_CLIMATE, AT)!;
    expect(days(AT, cure.putDownAt)).toBe(7);
    expect(days(AT, cure.washAt)).toBe(14);
    expect(days(AT, cure.curedAt)).toBeGreaterThanOrEqual(21);
    expect(cure.slowest.zones).toEqual(['top']);
  });

  it('never waits longer than the label says it takes to cure', () => {
    const shelf = [{ id: 'quick', class: 'wb_alkyd_enamel', cure_days: 5 }];
    const dossier = piece('table', { shelf, log: [coat('top', AT, { product: 'quick' })] });
    const cure = readCure(dossier, shelf, LABEL_CLIMATE, AT)!;
    expect([cure.putDownAt, cure.washAt, cure.curedAt].map((at) => days(AT, at))).toEqual([5, 5, 5]);
  });

  it('takes longer in the cold', () => {
    const dossier = piece('table', { log: [coat('top', AT)] });
    const cold = readCure(dossier, [], { temperature_c: 11, humidity_pct: 75 }, AT)!;
    expect(days(AT, cold.putDownAt)).toBeGreaterThan(7);
  });

  it('is nothing before anything was painted', () => {
    expect(readCure(piece('table'), [], LABEL_CLIMATE, AT)).toBeNull();
  });

  it('keeps it where it stands, then lets it travel wrapped, then as it is', () => {
    const cure = readCure(piece('table', { log: [coat('top', AT)] }), [], LABEL_CLIMATE, AT)!;
    expect([0, 3, 8].map((after) => judgeTransport(cure, plus(after)))).toEqual(['not_yet', 'wrapped', 'free']);
    expect(judgeTransport(null, AT)).toBe('free');
  });
});

describe('what is seen to before a piece leaves', () => {
  const codes = (dossier: Dossier): string[] => listReady(dossier).map(({ code }) => code);

  it('follows from what the piece is', () => {
    expect(codes(piece('wardrobe'))).toEqual(['refit', 'hinges', 'anti_tip', 'felt', 'touch_up', 'flaws']);
    expect(codes(piece('table'))).toEqual(['felt', 'touch_up', 'flaws']);
    expect(codes(piece('mirror_frame'))).toEqual(['touch_up', 'flaws']);
    expect(codes(piece('bedside_cabinet'))).not.toContain('anti_tip');
    expect(codes(piece('desk'))).not.toContain('anti_tip');
    const dossier = piece('dresser');
    dossier.piece.history = { room: 'nursery', era: 'before_1940', painted_before: 'yes' };
    expect(codes(dossier)).toEqual(expect.arrayContaining(['runners', 'child', 'lead', 'anti_tip']));
  });

  it('each can be met, and knows why', () => {
    const all = new Set([
      ...codes(piece('kitchen_run')),
      ...codes(piece('bench_top')),
      ...codes({ ...piece('dresser'), piece: { kind: 'dresser', history: { room: 'nursery', era: 'before_1940' } } }),
    ]);
    expect(HANDOVER_FACTS.filter(({ code }) => !all.has(code))).toEqual([]);
    for (const { why } of HANDOVER_FACTS) expect(why.length).toBeGreaterThan(20);
  });

  it('is not done while parts are off, whatever was ticked', () => {
    const dossier = piece('wardrobe', {
      parts: [{ id: 'doors.1', zone: 'doors', label: 'Do1', place: 'Door', state: 'off' }],
      handover: { ready: { refit: AT, felt: AT } },
    });
    const [refit] = listReady(dossier);
    expect(refit).toMatchObject({ code: 'refit', off: 1, doneAt: null });
    expect(listReady(dossier).find(({ code }) => code === 'felt')!.doneAt).toBe(AT);
  });
});

describe('how far a piece is from leaving', () => {
  const ready = (dossier: Dossier) => ({
    tasks: [],
    cure: readCure(dossier, [], LABEL_CLIMATE, AT),
    ready: listReady(dossier),
  });
  const chosen = { zones: [] };
  it('ripens, wants to be seen to, may be sold, waits, and is gone', () => {
    const painted = piece('table', { chosen, log: [coat('top', AT)] });
    const state = (dossier: Dossier, at: number) => judgeLeaving(dossier, { ...ready(dossier), now: plus(at) });
    expect(state(piece('table'), 0)).toBe('at_work');
    expect(state(painted, 2)).toBe('ripening');
    expect(state(painted, 60)).toBe('to_see_to');
    const seen = { ...painted, handover: { ready: { felt: AT, touch_up: AT, flaws: AT } } };
    expect(state(seen, 60)).toBe('for_sale');
    expect(state({ ...seen, money: { sold: { amount: 100 } } }, 60)).toBe('waits');
    const gone = { ...seen, log: [...seen.log!, { zone: 'top', op: 'handover' as const, at: plus(61) }] };
    expect(state(gone, 62)).toBe('gone');
  });
});

describe('the gate before a piece leaves', () => {
  it('waits for the zone that cures last, may be passed over, and is open then', () => {
    const painted = piece('table', { log: [coat('top', AT), coat('legs', plus(5))] });
    const waiting = judgeLeavingGate(painted, plus(6))!;
    expect([waiting.state, waiting.zone]).toEqual(['waiting', 'legs']);
    const passed = { ...painted, overrides: [{ zone: 'legs', gate: 'handover' as const, reason: 'a shed' }] };
    expect(judgeLeavingGate(passed, plus(6))!.zone).toBe('top');
    expect(judgeLeavingGate(painted, plus(90))!.state).toBe('open');
    expect(judgeLeavingGate(piece('table'), AT)).toBeNull();
  });
});

describe('the days of the cure as a calendar', () => {
  it('is read by another’s parser, each moment once, on its instant', () => {
    const cure = readCure(piece('table', { log: [coat('top', AT)] }), [], LABEL_CLIMATE, AT)!;
    const text = writeEvents(
      listCureEntries(cure, 'p', 'Ferry, table; tall', (moment) => moment),
      AT,
    );
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((own) => new ICAL.Event(own));
    expect(events.map(({ summary }) => summary)).toEqual(
      ['handle', 'put_down', 'wash', 'cured'].map((moment) => `Ferry, table; tall: ${moment}`),
    );
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(4);
    expect(events[3]!.startDate.toJSDate().getTime()).toBe(Math.floor(Date.parse(cure.curedAt) / 60_000) * 60_000);
  });
});

describe('what is told of a piece', () => {
  const told = (more: Partial<Dossier>) => tellPiece(piece('wardrobe', more), 'Net-loft press');

  it('is what was put on, coat by coat, and not what was stripped off again', () => {
    const log = [
      coat('doors', AT, { class: 'chalk_paint' }),
      { zone: 'doors', op: 'strip' as const, at: plus(1) },
      { zone: 'doors', op: 'prime' as const, class: 'shellac_primer', at: plus(2) },
      coat('doors', plus(3)),
      coat('doors', plus(4)),
      coat('sides', plus(4), { skipped: 'not needed' }),
    ];
    expect(told({ log }).coats).toEqual([
      { class: 'shellac_primer', coats: 1, zones: ['Doors'] },
      { class: 'wb_alkyd_enamel', coats: 2, zones: ['Doors'] },
    ]);
  });

  it('tells the ground only where it is known well', () => {
    expect(told({}).grounds).toEqual([]);
    const zones = [{ id: 'doors', role: 'door' as const, stated: { substrate: 'wood_veneer' as const } }];
    expect(told({ zones }).grounds).toEqual(['wood_veneer']);
  });

  it('makes a care note and facts for the sale that promise nothing of safety', () => {
    const dossier = piece('wardrobe', {
      log: [coat('doors', AT)],
      handover: { touch_up: 'Gull grey', flaws: 'A dent low on the left' },
    });
    const cure = readCure(dossier, [], LABEL_CLIMATE, AT);
    const own = tellPiece(dossier, 'Net-loft press');
    const day = (at: string): string => at.slice(0, 10);
    const note = writeCareNote(own, cure, day);
    expect(note).toContain('# Net-loft press: how to look after it');
    expect(note).toContain('1 coat of cabinet enamel (doors)');
    expect(note).toContain(`Use it like any other: from ${day(cure!.curedAt)}`);
    expect(note).toContain('Gull grey');
    expect(note).toContain('Fix it to the wall');
    const sale = writeListing(own, cure, () => '110 × 58 × 190 cm', day);
    expect(sale).toContain('- Flaws: A dent low on the left');
    for (const text of [note, sale]) {
      expect(text).not.toMatch(/\b(safe|non-toxic|guarantee)/i);
      expect(text).not.toMatch(/undefined|NaN|\[object/);
    }
  });
});
