import type { Dossier } from '../dossier';
import { freezeSystem, planPiece } from '../systems';
import { makeFacts, makePiece, NOW } from '../../../tests/properties/shop-data';
import { LABEL_CLIMATE } from '../climate';
import {
  airOf,
  dateAlone,
  dateSystems,
  inAir,
  listFilmTimes,
  orderShop,
  placeShop,
  readPieceWork,
  readyOf,
} from './index';
import { UNSAID } from './dates';

const facts = makeFacts();
const read = (...pieces: Dossier[]) => pieces.map((piece) => readPieceWork(piece, facts));
const open: Dossier = {
  format: 'bricolage.dossier/1',
  piece: { id: 'desk', name: 'desk', kind: 'desk', history: { era: 'since_2000' } },
  zones: [
    {
      id: 'top',
      role: 'top',
      area_m2: 0.8,
      stated: { substrate: 'hpl_laminate', finish: 'factory_film' },
      observations: [{ check: 'lead_test', result: 'negative' }],
    },
  ],
  goal: { colour: '#1E2A30' },
};

describe('one date', () => {
  it('is told of a system before it is taken as it is told by the plan of the shop afterwards', () => {
    const others = read(makePiece('rack'), makePiece('bench', ['top', 'legs']));
    const order = orderShop(others, facts);
    const { systems } = planPiece(open);
    expect(systems.length).toBeGreaterThan(1);
    const dates = dateSystems(open, systems, others, facts, order).map(({ readyAt }) => readyAt);
    for (const [i, system] of systems.entries()) {
      const taken = { ...open, chosen: freezeSystem(system, NOW, UNSAID) };
      const pieces = [...others, ...read(taken)];
      const after = orderShop(pieces, facts, order);
      expect({ i, at: readyOf(placeShop(pieces, facts, after), 'desk') }).toEqual({ i, at: dates[i] });
      // Until the shop's order is made anew, whoever asks has it already as it will be.
      expect(readyOf(placeShop(pieces, facts, order), 'desk')).toBe(dates[i]);
      // Of the one that is taken the plan is asked, not tried out anew.
      expect(dateSystems(taken, [system], pieces, facts, after)[0]!.readyAt).toBe(dates[i]);
    }
    expect(new Set(dates).size).toBeGreaterThan(1);
  });

  it('waits for the owner’s evenings and for the other pieces: with every hour free it is sooner', () => {
    const [system] = planPiece(open).systems;
    const crowd = read(
      ...['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'].map((id) => {
        const piece = makePiece(id, ['top', 'legs', 'shelf']);
        return { ...piece, goal: { ...piece.goal, due: '2026-12-01' } };
      }),
    );
    const [alone, among] = [[], crowd].map((others) => dateSystems(open, [system!], others, facts, null)[0]!);
    const { readyBy, through } = dateAlone(open, system!, NOW);
    expect(through).toBe('every_hour');
    expect(alone!.soonestAt!.slice(0, 10)).toBe(readyBy);
    expect(alone!.readyAt! > alone!.soonestAt!).toBe(true);
    expect(among!.readyAt! > alone!.readyAt!).toBe(true);
    expect(among!.soonestAt).toBe(alone!.soonestAt);
    const [day] = alone!.readyAt!.split('T');
    const dueBy = (due: string) =>
      dateSystems({ ...open, goal: { ...open.goal, due } }, [system!], [], facts, null)[0]!.late;
    expect([alone!.late, dueBy(day!), dueBy('2026-11-30')]).toEqual([false, false, true]);
  });

  it('goes through the hours a piece names itself, where no shop is known, and is late past its day', () => {
    const [system] = planPiece(open).systems;
    const sundays = { ...open, goal: { ...open.goal, hours: [{ day: 'sun' as const, from: '10:00', to: '12:00' }] } };
    const { readyBy, through } = dateAlone(sundays, system!, NOW);
    expect(through).toBe('own_hours');
    expect(readyBy! > dateAlone(open, system!, NOW).readyBy!).toBe(true);
    const due = (day: string) => dateAlone({ ...sundays, goal: { ...sundays.goal, due: day } }, system!, NOW).late;
    expect([due(readyBy!), due('2026-11-30')]).toEqual([false, true]);
  });

  it('goes with the air: a cold shop waits longer between coats, in the plan as on the clock', () => {
    const air = [{ at: NOW, temperature_c: 13, humidity_pct: 65 }];
    const cold = makeFacts({}, { air });
    const [system] = planPiece(open).systems;
    const paint = ({ zones }: typeof system & object) => zones[0]!.steps.find(({ op }) => op === 'paint')!;
    const slow = paint(inAir(system!, [], airOf(cold)));
    expect(slow.recoatH).toBe(listFilmTimes('wb_alkyd_enamel', undefined, air[0]).recoatH);
    expect(slow.recoatH!).toBeGreaterThan(paint(system!).recoatH!);
    expect(slow.waitH / paint(system!).waitH).toBeCloseTo(slow.recoatH! / paint(system!).recoatH!, 6);
    expect(inAir(system!, [], LABEL_CLIMATE)).toEqual(system);
  });
});
