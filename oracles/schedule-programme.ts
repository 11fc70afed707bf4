import type { Problem } from '@/core/schedule';

/*
 * A schedule as a time-indexed integer programme, in the text format of linear programmes, for an independent solver.
 * Written from the description of the problem: one pair of hands, windows, waits, one clean-up a product and window, due
 * dates. A job either opens its product in a window (and cleans it up after it) or follows one that has.
 */

const SLOT = 10;

interface Start {
  name: string;
  job: string;
  at: number;
  window: number;
  opens: boolean;
  /** Slots hands are on it, cleaning up counted. */
  length: number;
}

/** `late` and `clean` weigh lateness and clean-ups against the mean time until ready, minute for minute. */
export function writeProgramme(problem: Problem, late: number, clean: number): string {
  const { jobs, groups, windows } = problem;
  const starts: Start[] = jobs.flatMap((job, j) =>
    windows.flatMap((window, w) =>
      [true, false].flatMap((opens) => {
        if (!job.product && opens) return [];
        const length = (job.minutes + (opens ? (job.cleanUpMin ?? 0) : 0)) / SLOT;
        const last = window.end - length * SLOT;
        const list: Start[] = [];
        for (let at = window.start; at <= last; at += SLOT)
          list.push({ name: `x${opens ? 'o' : 'f'}_${j}_${at}`, job: job.id, at, window: w, opens, length });
        return list;
      }),
    ),
  );
  const of = (id: string): Start[] => starts.filter(({ job }) => job === id);
  const rows: string[] = [];
  const sum = (terms: readonly string[]): string =>
    terms.length > 0 ? terms.join(' + ').replaceAll('+ -', '- ') : '0 none';
  for (const job of jobs) rows.push(`${sum(of(job.id).map(({ name }) => name))} = 1`);
  for (const window of windows)
    for (let at = window.start; at < window.end; at += SLOT) {
      const over = starts.filter((start) => start.at <= at && at < start.at + start.length * SLOT);
      if (over.length > 1) rows.push(`${sum(over.map(({ name }) => name))} <= 1`);
    }
  for (const job of jobs) {
    for (const start of of(job.id).filter(({ opens }) => job.product !== undefined && !opens)) {
      const openers = starts.filter(
        (own) =>
          own.opens &&
          own.window === start.window &&
          own.at < start.at &&
          jobs.find(({ id }) => id === own.job)!.product === job.product,
      );
      rows.push(`${start.name} ${openers.map(({ name }) => `- ${name}`).join(' ')} <= 0`);
    }
    for (const { id, lags } of job.after) {
      const before = jobs.find((own) => own.id === id)!;
      for (const at of [...new Set(of(job.id).map((start) => start.at))]) {
        const here = of(job.id).filter((start) => start.at <= at);
        const ready = of(id).filter((start) => start.at + before.minutes + lags[0]!.from <= at);
        rows.push(`${sum(here.map(({ name }) => name))} ${ready.map(({ name }) => `- ${name}`).join(' ')} <= 0`);
      }
    }
  }
  const objective: string[] = [];
  groups.forEach((group, g) => {
    const own = jobs.filter((job) => job.group === group.id);
    for (const job of own)
      rows.push(
        `r_${g} ${of(job.id)
          .map(({ name, at }) => `- ${at + job.minutes} ${name}`)
          .join(' ')} >= ${group.tailMin}`,
      );
    objective.push(`${1 / groups.length} r_${g}`);
    if (group.due !== undefined) {
      rows.push(`l_${g} - r_${g} >= ${-group.due}`);
      objective.push(`${late} l_${g}`);
    }
  });
  for (const start of starts) if (start.opens) objective.push(`${clean} ${start.name}`);
  return [
    'Minimize',
    ` cost: ${sum(objective)}`,
    'Subject To',
    ...rows.map((row, i) => ` c${i}: ${row}`),
    'Binary',
    ...starts.map(({ name }) => ` ${name}`),
    'End',
  ].join('\n');
}
