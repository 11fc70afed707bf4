import type { Dossier, LogEntry } from '../dossier';
import { makePiece, plainSteps } from '../../../tests/properties/shop-data';
import { listTasks, logTask } from './index';

const MILD = { temperature_c: 21, humidity_pct: 50 };
const at = (day: number): string => new Date(Date.UTC(2026, 0, 1 + day, 9)).toISOString();
const DONE: Partial<LogEntry>[] = [{ op: 'degrease' }, { op: 'scuff' }, { op: 'prime', class: 'bonding_primer_wb' }];
const log = (more: Partial<LogEntry>[] = []): LogEntry[] =>
  [...DONE, ...more].map((own) => ({ zone: 'top', at: at(0), ...own }) as LogEntry);

const handsOn = (dossier: Dossier, day: number): string[] =>
  listTasks(dossier, dossier.shelf ?? [], MILD, at(day)).flatMap(({ hand, state }) =>
    hand ? [`${hand} ${state}`] : [],
  );

describe('work that stood', () => {
  const primed: Dossier = { ...makePiece('desk'), log: log() };

  it('is not told to do anything again within two weeks, nor where no moment is told', () => {
    expect(handsOn(primed, 13)).toEqual([]);
    expect(listTasks(primed, [], MILD).some(({ hand }) => hand !== undefined)).toBe(false);
  });

  it('is dusted again after two weeks, and dulled again once its coat has closed', () => {
    expect(handsOn(primed, 15)).toEqual(['dust_again open']);
    expect(handsOn(primed, 22)).toEqual(['dull_again open', 'dust_again open']);
    const painted: Dossier = { ...makePiece('desk'), log: log([{ op: 'paint', class: 'wb_alkyd_enamel' }]) };
    expect(handsOn(painted, 15)).toEqual(['dust_again open']);
    expect(handsOn(painted, 22)).toEqual(['dull_again open', 'dust_again open']);
  });

  it('goes by the window of its tin where the label names one', () => {
    const shelf = [{ id: 'mine', class: 'wb_alkyd_enamel', recoat_until_h: 24 * 10 }];
    const painted: Dossier = {
      ...makePiece('desk'),
      shelf,
      log: log([{ op: 'paint', class: 'wb_alkyd_enamel', product: 'mine' }]),
    };
    expect(handsOn(painted, 15)).toEqual(['dull_again open', 'dust_again open']);
  });

  it('is not dulled twice where the plan dulls there anyway', () => {
    const [degrease, scuff, prime, paint] = plainSteps();
    const denib = { op: 'denib' as const, label: 'Sand smooth, 220', minutes: 4, wait_h: 0, stage: 10, why: 'nibs' };
    const dossier: Dossier = { ...makePiece('desk', ['top'], [degrease!, scuff!, prime!, denib, paint!]), log: log() };
    expect(handsOn(dossier, 22)).toEqual(['dust_again open']);
    const smoothed = { ...dossier, log: log([{ op: 'denib' }]) };
    expect(handsOn(smoothed, 22)).toEqual(['dull_again open', 'dust_again open']);
  });

  it('stands before the next coat, is done by its own entry, and gone once the coat is on', () => {
    const tasks = listTasks(primed, [], MILD, at(22));
    const [dull, dust, coat] = ['dull_again', 'dust_again', undefined].map((hand) =>
      tasks.find((task) => task.hand === hand && task.state === 'open')!,
    );
    expect(dust!.after.map(({ key }) => key)).toEqual([dull!.key]);
    expect(coat!.after.map(({ key }) => key)).toEqual([dust!.key]);
    const again = (entries: LogEntry[]): Dossier => ({ ...primed, log: [...primed.log!, ...entries] });
    const dulled = again(logTask(dull!, { at: at(22) }));
    expect(handsOn(dulled, 22)).toEqual(['dull_again done', 'dust_again open']);
    expect(handsOn(again(logTask(coat!, { at: at(22) })), 23)).toEqual([]);
  });

  it('is told again where it stood a second time before the same coat', () => {
    const dust = listTasks(primed, [], MILD, at(22)).find(({ hand }) => hand === 'dust_again')!;
    const dusted = { ...primed, log: [...primed.log!, ...logTask(dust, { at: at(22) })] };
    expect(handsOn(dusted, 23)).toEqual(['dull_again open', 'dust_again done']);
    expect(handsOn(dusted, 40)).toEqual(['dull_again open', 'dust_again open']);
  });

  it('is left out where the owner says so', () => {
    expect(handsOn({ ...primed, goal: { without: ['dull_again'] } }, 22)).toEqual(['dust_again open']);
  });
});
