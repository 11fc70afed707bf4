import type { Problem, Schedule } from '@/core/schedule';

/**
 * Every way a schedule can break its problem, read from the description of the problem alone and not from how schedules
 * are made. Empty for a schedule that can be worked.
 */
export function listBreaches(problem: Problem, { placements, unplaced, ready }: Schedule): string[] {
  const breaches: string[] = [];
  const jobs = new Map(problem.jobs.map((job) => [job.id, job]));
  const start = (id: string): number => placements.get(id)!.parts[0]!.start;
  const end = (id: string): number => placements.get(id)!.parts.at(-1)!.end;
  const past = new Map((problem.past ?? []).map((one) => [one.id, one.end]));
  for (const job of problem.jobs) {
    const placed = placements.get(job.id);
    if (!placed) {
      if (!unplaced.some(({ id }) => id === job.id)) breaches.push(`${job.id} is lost`);
      continue;
    }
    const { parts } = placed;
    if (parts.reduce((sum, part) => sum + part.end - part.start, 0) !== job.minutes)
      breaches.push(`${job.id} is not whole`);
    if (parts.length > 1 && !job.splits) breaches.push(`${job.id} is torn apart`);
    for (const part of parts) {
      const window = problem.windows[part.window]!;
      if (part.start < window.start || part.end > window.end) breaches.push(`${job.id} is outside its window`);
      if (placed.hand >= window.hands) breaches.push(`${job.id} has no hands`);
      if (job.air && parts.length === 1 && window.closedTo?.includes(job.air))
        breaches.push(`${job.id} is in forbidden air`);
    }
    if (start(job.id) < problem.now) breaches.push(`${job.id} is in the past`);
    if (job.notBefore !== undefined && start(job.id) < job.notBefore) breaches.push(`${job.id} is before its time`);
    if (job.pinnedAt !== undefined && start(job.id) < job.pinnedAt) breaches.push(`${job.id} is before its pin`);
    for (const { id, lags } of job.after) {
      if (!jobs.has(id) && !past.has(id)) continue;
      const done = past.get(id) ?? (placements.has(id) ? end(id) : undefined);
      if (done === undefined) breaches.push(`${job.id} comes after ${id}, which is not placed`);
      else if (
        !lags.some(({ from, until = Infinity }) => start(job.id) - done >= from && start(job.id) - done <= until)
      )
        breaches.push(`${job.id} is ${start(job.id) - done} min after ${id}`);
    }
  }
  breaches.push(
    ...listOverlaps(problem, placements),
    ...listCleaning(problem, placements),
    ...listCrowding(problem, placements),
  );
  for (const group of problem.groups) {
    const own = problem.jobs.filter((job) => job.group === group.id);
    if (own.length === 0 || own.some(({ id }) => !placements.has(id))) continue;
    const last = Math.max(...own.map(({ id }) => end(id)));
    if (ready.get(group.id) !== last + group.tailMin) breaches.push(`${group.id} is said to be ready at another time`);
  }
  return breaches;
}

type Placed = Schedule['placements'];

/** A pair of hands does one thing at a time, cleaning up counted; so does a thing there is one of. */
function listOverlaps({ jobs }: Problem, placements: Placed): string[] {
  const all = jobs.flatMap((job) => {
    const placed = placements.get(job.id);
    return placed ? [{ job, placed }] : [];
  });
  const busy = all.flatMap(({ job, placed }) =>
    placed.parts.map((part, i) => ({
      id: job.id,
      hand: placed.hand,
      start: part.start,
      end: part.end + (i === placed.parts.length - 1 ? placed.cleanUpMin : 0),
    })),
  );
  const hands = pairs(busy)
    .filter(([a, b]) => a.hand === b.hand && a.start < b.end && b.start < a.end)
    .map(([a, b]) => `${a.id} and ${b.id} want the same hands`);
  const uses = all.flatMap(({ job, placed }) =>
    (job.uses ?? []).map(({ thing, untilMin }) => ({
      id: job.id,
      thing,
      start: placed.parts[0]!.start,
      end: placed.parts.at(-1)!.end + untilMin,
    })),
  );
  const things = pairs(uses)
    .filter(([a, b]) => a.thing === b.thing && a.id !== b.id && a.start < b.end && b.start < a.end)
    .map(([a, b]) => `${a.id} and ${b.id} want the same ${a.thing}`);
  return [...hands, ...things];
}

/** A product used in a window is cleaned up once in it at least, and a mixed batch is not used past its life. */
function listCleaning({ jobs, windows }: Problem, placements: Placed): string[] {
  return windows.flatMap((_, w) => {
    const own = jobs
      .filter(
        (job) =>
          job.product !== undefined && (job.cleanUpMin ?? 0) > 0 && placements.get(job.id)?.parts[0]!.window === w,
      )
      .map((job) => ({ job, placed: placements.get(job.id)! }))
      .sort((a, b) => a.placed.parts[0]!.start - b.placed.parts[0]!.start);
    return [...new Set(own.map(({ job }) => job.product))].flatMap((product) => {
      const used = own.filter(({ job }) => job.product === product);
      if (!used.some(({ placed }) => placed.cleanUpMin > 0)) return [`${product} is never cleaned up in window ${w}`];
      const batches = used.filter(({ placed }) => placed.cleanUpMin > 0).map(({ placed }) => placed.parts[0]!.start);
      return used.flatMap(({ job, placed }) => {
        if (job.potLifeMin === undefined) return [];
        const [start, end] = [placed.parts[0]!.start, placed.parts.at(-1)!.end];
        const good = batches.some((mixed) => mixed <= start && end <= mixed + job.potLifeMin!);
        return good ? [] : [`${job.id} uses a batch past its life`];
      });
    });
  });
}

/** From its first coat to its last a piece stands in a place; there are so many. */
function listCrowding({ jobs, groups, places, now }: Problem, placements: Placed): string[] {
  const stays = groups.flatMap(({ id, place, placed }) => {
    const own = jobs.filter((job) => job.group === id && placements.has(job.id));
    const first = own.filter((job) => job.takesPlace).map((job) => placements.get(job.id)!.parts[0]!.start);
    if (own.length === 0 || (first.length === 0 && !placed)) return [];
    return [
      {
        place,
        start: placed ? now : Math.min(...first),
        end: Math.max(...own.map((job) => placements.get(job.id)!.parts.at(-1)!.end)),
        there: placed === true,
      },
    ];
  });
  return stays.flatMap(({ start, there }) => {
    if (there) return [];
    const here = stays.filter((stay) => stay.start <= start && start < stay.end);
    const large = here.filter(({ place }) => place === 'large').length;
    const wanted = here.length;
    return large > places.large || wanted > places.large + places.small ? [`${wanted} pieces stand at ${start}`] : [];
  });
}

const pairs = <T>(list: readonly T[]): [T, T][] => list.flatMap((a, i) => list.slice(i + 1).map((b): [T, T] => [a, b]));
