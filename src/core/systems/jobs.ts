import { isCoat } from '../knowledge';
import type { Goal } from '../dossier';
import type { Step } from './choice';
import type { StepReason } from './reasons';
import { sittingOf } from './sittings';
import { identifyStep } from './step-name';
import type { ZonePlan } from './system';

/** A step of several zones done in one go. */
export interface Job {
  op: Step['op'];
  /** The step it is, on the first of its zones; its name is said with it. */
  step: Step;
  /** Of a coat of paint. */
  colour?: string;
  zones: string[];
  minutes: number;
  /** What is once a sitting besides, for all of its zones together. */
  sharedMin: number;
  /** Until the slowest zone of the job is ready. */
  waitH: number;
  ml: number;
  why: StepReason[];
}

/**
 * One ordered list for the piece: what is the same in several zones is done once, at its place in the order of work, with what
 * is once a sitting told beside its minutes: together they are what Work says.
 */
export function mergeJobs(zones: readonly ZonePlan[], application: Goal['application']): Job[] {
  const jobs = new Map<string, { place: number; job: Job }>();
  for (const zone of zones) {
    for (const [i, step] of zone.steps.entries()) {
      const { op, product, colour, stage = 0 } = step;
      const key = [stage, op, product, colour, identifyStep(step)].join('/');
      // A patch stands before what goes on while it dries.
      const next = op === 'proof' ? zone.steps.slice(i).find((own) => own.op !== 'proof') : undefined;
      const known = jobs.get(key);
      const place = (next?.stage ?? stage) + i / 1000;
      const job: Job = known?.job ?? {
        op,
        step,
        ...(colour ? { colour } : {}),
        zones: [],
        minutes: 0,
        sharedMin: (step.once ?? 0) + (isCoat(op) ? sittingOf(application, step) * (step.coats ?? 1) : 0),
        waitH: 0,
        ml: 0,
        why: step.why,
      };
      job.zones = [...new Set([...job.zones, zone.id])];
      job.minutes += step.minutes;
      job.waitH = Math.max(job.waitH, step.waitH);
      job.ml += step.ml ?? 0;
      jobs.set(key, { place: Math.max(place, known?.place ?? 0), job });
    }
  }
  return [...jobs.values()].sort((a, b) => a.place - b.place).map(({ job }) => job);
}
