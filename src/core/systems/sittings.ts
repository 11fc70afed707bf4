import { findCarrier, findProduct, isCoat, isWholeCoat, maySpray, type OperationCode } from '../knowledge';
import type { Goal } from '../dossier';
import { isFilmClass } from '../quantity';
import type { Step } from './choice';
import { measureSitting } from './sitting-minutes';
import { identifyStep } from './step-name';

/** Minutes of the sitting that a coat is put on in; a patch of filler or a knot is sealed by brush wherever a gun is used. */
export function sittingOf(
  application: Goal['application'],
  { op, class: code }: { op: OperationCode; class?: string },
): number {
  if (code === undefined || !isFilmClass(code)) return 0;
  return measureSitting({
    carrier: findCarrier(code),
    sprayCan: findProduct(code)?.sprayCan === true,
    gun: application === 'spray' && maySpray(op, code),
  });
}

/** What is once a sitting in the work of a zone: which sitting, and its minutes. */
export interface Shared {
  key: string;
  minutes: number;
  /** A product is got out and put away. */
  sitting: boolean;
}

/**
 * What the steps of a zone share with the same steps of other zones: what a step has once, and for each coat the sitting in
 * which its product is opened.
 */
export function listShared(steps: readonly Step[], application: Goal['application']): Shared[] {
  const counts = new Map<string, number>();
  const number = (key: string): string => {
    const count = (counts.get(key) ?? 0) + 1;
    counts.set(key, count);
    return `${key}#${count}`;
  };
  return steps.flatMap((step) => {
    const { op, class: code, product, colour, coats = 1, once = 0 } = step;
    const own = once > 0 ? [{ key: number(identifyStep(step)), minutes: once, sitting: false }] : [];
    if (!isCoat(op) || code === undefined) return own;
    const opened = [product ?? code, colour, isWholeCoat(op)].join();
    const sittings = Array.from({ length: coats }, () => ({
      key: number(opened),
      minutes: sittingOf(application, step),
      sitting: true,
    }));
    return [...own, ...sittings];
  });
}

/** Minutes of all sittings of a piece: zones that are worked on together share theirs. */
export function addShared(zones: readonly (readonly Shared[])[]): number {
  const known = new Map<string, number>();
  for (const { key, minutes } of zones.flat()) known.set(key, Math.max(minutes, known.get(key) ?? 0));
  return [...known.values()].reduce((sum, minutes) => sum + minutes, 0);
}
