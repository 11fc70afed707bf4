import type { Dossier } from '../dossier';
import { freezeSystem, planPiece } from '../systems';
import { listTasks, type Task } from './index';

const FIT = { temperature_c: 21, humidity_pct: 50 };
const PALE = '#F3EFE6';
const DARK = '#2B3A42';
const WOOD = { substrate: 'clear_softwood', finish: 'varnish_oil' } as const;

const tasksOf = (goal: Dossier['goal']): Task[] => {
  const piece: Dossier = {
    format: 'bricolage.dossier/1',
    piece: { id: 'p', kind: 'dresser' },
    zones: [
      { id: 'top', role: 'top', area_m2: 0.5, stated: WOOD },
      { id: 'sides', role: 'side', area_m2: 0.9, stated: WOOD },
    ],
    goal: { paint: 'wb_alkyd_enamel', ...goal },
  };
  const [system] = planPiece(piece).systems;
  return listTasks(
    {
      ...piece,
      chosen: freezeSystem(system!, '2026-01-01T09:00:00Z', {
        step: () => 'a step',
        why: () => '.',
        assumes: () => '.',
      }),
    },
    [],
    FIT,
  );
};
const paints = (tasks: readonly Task[]): Task[] => tasks.filter(({ op }) => op === 'paint');

describe('work in two colours', () => {
  it('is one task for each coat of each colour, what lies under both together', () => {
    const tasks = tasksOf({ colour: PALE, zones: { sides: { colour: DARK } } });
    expect(new Set(paints(tasks).map(({ colour, zones }) => `${colour} ${zones.join()}`))).toEqual(
      new Set([`${PALE} top`, `${DARK} sides`]),
    );
    expect(new Set(paints(tasks).map(({ key }) => key)).size).toBe(paints(tasks).length);
    expect(tasks.find(({ op }) => op === 'degrease')!.zones).toEqual(['top', 'sides']);
  });

  it('tapes the line once the paler colour has had its day, and not before', () => {
    const tasks = tasksOf({ colour: PALE, zones: { sides: { colour: DARK } } });
    const line = tasks.find(({ hand }) => hand === 'tape_line')!;
    const last = paints(tasks).findLast(({ colour }) => colour === PALE)!;
    expect(line.zones).toEqual(['sides']);
    expect(line.after.find(({ key }) => key === last.key)?.lags).toEqual([{ fromH: 24 }]);
    // Both ways round: the paler goes first whichever zone it is on.
    const turned = tasksOf({ colour: DARK, zones: { sides: { colour: PALE } } });
    expect(turned.find(({ hand }) => hand === 'tape_line')!.zones).toEqual(['top']);
  });

  it('pulls the tape while the coat is fresh or once it can be scored, and what comes after waits for the coat', () => {
    const second = { colour: DARK, lies: 'level' as const, bands: [{ at_mm: 100, width_mm: 80 }] };
    const tasks = tasksOf({ colour: PALE, schools: { topcoat: 'always' }, zones: { sides: { second } } });
    const [pull] = tasks.filter(({ hand }) => hand === 'pull_tape');
    const coat = paints(tasks).findLast(({ colour }) => colour === DARK)!;
    expect(pull!.after).toEqual([{ key: coat.key, lags: [{ fromH: 0, untilH: 2 }, { fromH: 16 }] }]);
    const clear = tasks.find(({ op, zones }) => op === 'topcoat' && zones.includes('sides'))!;
    expect(clear.after.find(({ key }) => key === coat.key)!.lags[0]!.fromH).toBeGreaterThanOrEqual(16);
    const taped = tasks.find(({ hand }) => hand === 'tape_second')!;
    expect(taped.after.some(({ lags }) => lags[0]!.fromH === 24)).toBe(true);
  });

  it('keeps the keys of a piece in one colour as they always were', () => {
    expect(paints(tasksOf({ colour: PALE })).map(({ key }) => key)).toEqual([
      '12-paint-wb_alkyd_enamel-1',
      '12-paint-wb_alkyd_enamel-2',
    ]);
  });
});

describe('wood along paint', () => {
  const tasks = tasksOf({ colour: PALE, zones: { top: { look: 'clear', keep: 'refinish' } } });
  const find = (is: (task: Task) => boolean): Task => tasks.find(is)!;
  const mask = find(({ hand }) => hand === 'mask_wood');
  const clear = tasks.filter(({ op }) => op === 'topcoat');

  // Common practice: sand the wood, tape along it, paint, and finish the wood once the paint is dry.
  it('is sanded and freed of dust first, then taped from the painted side', () => {
    expect(mask.zones).toEqual(['sides']);
    const dust = find(({ op, zones }) => op === 'dust' && zones.includes('top'));
    expect(mask.after.map(({ key }) => key)).toContain(dust.key);
    expect(tasks.indexOf(mask)).toBeLessThan(tasks.indexOf(find(({ op }) => op === 'prime' || op === 'paint')));
  });

  it('is finished last, once the paint beside it may be coated', () => {
    const paint = paints(tasks).at(-1)!;
    expect(clear.length).toBeGreaterThan(0);
    expect(clear[0]!.zones).toEqual(['top']);
    expect(clear[0]!.after.find(({ key }) => key === paint.key)!.lags[0]!.fromH).toBeGreaterThan(0);
  });

  it('is not taped off where all of it is wood', () => {
    const all = tasksOf({ look: 'clear', zones: { top: { look: 'clear' } } });
    expect(all.filter(({ hand }) => hand === 'mask_wood' || hand === 'pull_tape')).toEqual([]);
  });
});
