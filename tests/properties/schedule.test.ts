import highs from 'highs';
import { makeSchedule, scheduleInOrder, type Problem } from '@/core/schedule';
import { writeProgramme } from '../../oracles/schedule-programme';
import { listBreaches } from './check-schedule';
import { drawShop, drawSmallShop } from './random-shops';
import { share } from './share';

/** The weights that the cost states: an hour late as a thousand hours of waiting, a clean-up as a quarter of an hour. */
const [LATE, CLEAN] = [1000, 15];

describe('schedules of random shops', () => {
  it('can be worked, by a checker that knows the rules only; the same seed gives the same', () => {
    let [placed, closed, split, waits] = [0, 0, 0, 0];
    for (let seed = 0; seed < share(150); seed += 1) {
      const problem = drawShop(seed);
      const schedule = makeSchedule(problem, { seed, tries: 120 });
      expect({ seed, breaches: listBreaches(problem, schedule) }).toEqual({ seed, breaches: [] });
      placed += schedule.placements.size;
      for (const { bound, parts } of schedule.placements.values()) {
        closed += bound.by === 'closing' || bound.by === 'air' ? 1 : 0;
        waits += bound.by === 'place' || bound.by === 'thing' ? 1 : 0;
        split += parts.length > 1 ? 1 : 0;
      }
      if (seed % 10 === 0) expect(makeSchedule(problem, { seed, tries: 120 }).cost).toEqual(schedule.cost);
    }
    // The shops do put the rules to the test.
    expect([placed > share(2500), closed > share(20), split > share(5), waits > share(20)]).toEqual([
      true,
      true,
      true,
      true,
    ]);
  });

  it('are found out by the checker when they are wrong', () => {
    const problem = drawShop(4);
    const schedule = makeSchedule(problem, { seed: 4, tries: 20 });
    const [id, first] = [...schedule.placements].find(([own]) => own.endsWith('.2'))!;
    const moved = {
      ...first,
      parts: first.parts.map((part) => ({ ...part, start: part.start - 3000, end: part.end - 3000 })),
    };
    const broken = { ...schedule, placements: new Map([...schedule.placements, [id, moved]]) };
    expect(listBreaches(problem, broken).length).toBeGreaterThan(0);
  });

  it('are never made worse by trying longer', () => {
    for (let seed = 200; seed < 200 + share(15); seed += 1) {
      const problem = drawShop(seed);
      const [rough, fine] = [0, 200].map((tries) => makeSchedule(problem, { seed, tries }).cost.total) as [
        number,
        number,
      ];
      expect(fine).toBeLessThanOrEqual(rough);
    }
  });
});

describe('small shops', () => {
  it('come within 3 % of the optimum of an integer programme (HiGHS), and never below it', async () => {
    const solver = await highs();
    let [late, exact] = [0, 0];
    for (let seed = 0; seed < share(50); seed += 1) {
      const problem = drawSmallShop(seed);
      const solved = solver.solve(writeProgramme(problem, LATE, CLEAN), {
        output_flag: false,
        time_limit: 30,
        mip_rel_gap: 0,
        mip_abs_gap: 1e-6,
      });
      expect({ seed, status: solved.Status }).toEqual({ seed, status: 'Optimal' });
      const { cost } = makeSchedule(problem, { seed });
      const best = solved.ObjectiveValue;
      expect({
        seed,
        cost: cost.total,
        best,
        near: cost.total <= best * 1.03 + 1e-6,
        below: cost.total < best - 1e-3,
      }).toMatchObject({
        near: true,
        below: false,
      });
      late += cost.lateMin > 0 ? 1 : 0;
      exact += Math.abs(cost.total - best) < 1e-3 ? 1 : 0;
    }
    expect(late).toBeGreaterThan(share(3));
    expect(exact).toBeGreaterThan(share(30));
  }, 240_000);

  it('with places, closing windows and two hands are within 3 % of the best of all sequences', () => {
    let tried = 0;
    for (let seed = 0; seed < 12; seed += 1) {
      const problem = drawShop(seed + 500, { groups: 2, jobs: 4 });
      if (problem.jobs.length > 8) continue;
      let best = Infinity;
      for (const order of listOrders(problem)) best = Math.min(best, scheduleInOrder(problem, order).cost.total);
      const { cost } = makeSchedule(problem, { seed });
      expect({ seed, near: cost.total <= best * 1.03 + 1e-6 }).toEqual({ seed, near: true });
      tried += 1;
    }
    expect(tried).toBeGreaterThan(6);
  });
});

/** Every sequence in which nothing stands before what it comes after. */
function* listOrders({ jobs }: Problem, head: readonly string[] = []): Generator<readonly string[]> {
  if (head.length === jobs.length) {
    yield head;
    return;
  }
  for (const job of jobs) {
    if (head.includes(job.id) || job.after.some(({ id }) => !head.includes(id))) continue;
    yield* listOrders({ jobs } as Problem, [...head, job.id]);
  }
}
