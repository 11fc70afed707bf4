import { DOSSIER_FORMAT, type Defect, type Dossier } from '../dossier';
import { freezeSystem, planPiece } from '../systems';
import { listBlocks, listCautions, listFacts, listHeld, listTasks, logTask, type Task } from './index';
import { PHRASES, sayBlock } from '@/words';

const AT = '2026-03-01T10:00:00Z';

/** A chest front with faults, its recommended system taken. */
function take(defects: Defect[], more: Partial<Dossier> = {}): Dossier {
  const dossier: Dossier = {
    format: DOSSIER_FORMAT,
    piece: { id: 'p', kind: 'chest', history: { era: 'since_2000' } },
    zones: [
      {
        id: 'z',
        role: 'drawer_front',
        area_m2: 0.6,
        stated: { substrate: 'clear_softwood', finish: 'alkyd_paint' },
        defects,
      },
    ],
    ...more,
  };
  return { ...dossier, chosen: freezeSystem(planPiece(dossier).systems[0]!, AT, PHRASES) };
}
const work = (dossier: Dossier) => {
  const tasks = listTasks(dossier, [], { temperature_c: 21, humidity_pct: 50 });
  const blocks = listBlocks(dossier, tasks);
  return { tasks, blocks, held: listHeld(tasks, blocks) };
};
const isFree = ({ tasks, held }: ReturnType<typeof work>) =>
  tasks.filter(({ id }) => !held.has(id)).map(({ op }) => op);

describe('a fault that is alive', () => {
  const live = take([{ code: 'woodworm', extent: 'area' }]);

  it('holds all but taking apart and keeping apart, and says what ends it', () => {
    const held = work(live);
    expect(held.blocks.map(({ gate, goTo }) => [gate, goTo])).toEqual([['fault_alive', 'read']]);
    expect(sayBlock(held.blocks[0]!)).toMatch(/no fresh dust has fallen for three weeks/);
    expect(isFree(held)).toEqual(['hardware_off', 'wait']);
  });

  it('lets go once the answer says so, without another plan', () => {
    const zones = live.zones!.map((zone) => ({
      ...zone,
      defects: [{ code: 'woodworm' as const, extent: 'area' as const, detail: 'old' }],
    }));
    expect(work({ ...live, zones }).blocks).toEqual([]);
  });
});

describe('lead, which comes first', () => {
  const old: Partial<Dossier> = { piece: { id: 'p', kind: 'chest', history: { era: 'before_1940' } } };
  const faults: Defect[] = [
    { code: 'runs', extent: 'spot' },
    { code: 'loose_runner', extent: 'spot' },
    { code: 'burn', extent: 'spot' },
  ];

  it('holds every repair that makes dry dust, and no other', () => {
    const { tasks, blocks } = work(take(faults, old));
    const lead = blocks.find(({ gate }) => gate === 'lead_test')!;
    const stopped = tasks.filter(({ id }) => lead.tasks.includes(id)).map(({ repair, op }) => repair ?? op);
    expect(stopped).toEqual(expect.arrayContaining(['scrape_char', 'shave_runs', 'fill_hard', 'scuff']));
    expect(stopped).not.toContain('tighten_runner');
  });
});

describe('a repair at its step', () => {
  const find = (tasks: readonly Task[], repair: string): Task => tasks.find((task) => task.repair === repair)!;

  it('has its own facts and cautions', () => {
    const { tasks } = work(
      take([
        { code: 'mould', extent: 'area', detail: 'dry' },
        { code: 'rust', extent: 'spot', detail: 'screws' },
      ]),
    );
    const clean = find(tasks, 'clean_mould');
    expect(listFacts(clean, []).map(({ text }) => text)).toContain(
      'Damp cloths, turned often and thrown away; never brush it dry.',
    );
    expect(listCautions(clean, { oldCoat: false }).map(({ code, holds }) => [code, holds])).toContainEqual([
      'mould',
      true,
    ]);
    const screws = find(tasks, 'replace_screws');
    expect(screws.material).toBe('Screws');
    // Dust of what was mouldy wants the mask too.
    const scuff = tasks.find(({ op }) => op === 'scuff')!;
    expect(listCautions(scuff, { oldCoat: false, hazards: ['mould'] }).map(({ code }) => code)).toContain('mould');
  });

  it('says at the coats and at handing over that it is for a child, or that food lies there', () => {
    const { tasks } = work(take([]));
    for (const op of ['paint', 'cure', 'handover']) {
      const task = tasks.find((own) => own.op === op)!;
      const codes = listCautions(task, { oldCoat: false, hazards: ['nursery', 'food'] }).map(({ code }) => code);
      expect(codes).toEqual(expect.arrayContaining(['child', 'food']));
    }
  });

  it('is known to the log by what it is, whatever else is repaired', () => {
    const two = take([
      { code: 'loose_joint', extent: 'spot' },
      { code: 'loose_runner', extent: 'spot' },
    ]);
    const glue = find(work(two).tasks, 'glue_joint');
    const logged: Dossier = { ...two, log: logTask(glue, { at: '2026-03-02T10:00:00Z' }) };
    const after = work(logged).tasks;
    expect(find(after, 'glue_joint').state).toBe('done');
    expect(find(after, 'tighten_runner').state).toBe('open');
    expect(find(after, 'glue_joint').key).toContain('glue_joint');
  });
});
