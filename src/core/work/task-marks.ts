import { isOfNow, type Dossier, type LogEntry } from '../dossier';
import type { TakenStep } from '../systems';
import type { Gate } from '../proof';
import { latestOf } from '../shared';
import { DULLING_STAGE } from '../systems';

/** One thing to do on one zone, before what several zones want together is joined. */
export interface Node {
  key: string;
  step: TakenStep;
  zone: string;
  coat: number;
  coats: number;
  minutes: number;
  /** Of a sitting: the zones that are worked on together share them. */
  onceMin: number;
  ml: number;
  waitH: number;
  reading?: boolean;
  /** Bright metal, until its first coat. */
  isBright?: boolean;
}

/** Stands before the count where one key is several tasks; zones tell them apart in the log. */
export const KEY_COPY = '.';
export const baseKey = (key: string | undefined): string | undefined => key?.split(KEY_COPY)[0];

/** That a task is over on a zone: when, and whether it was left out. */
interface Mark {
  /** Left out where it is over without a date: nothing waits for it then. */
  at?: string;
  skipped: boolean;
}

/**
 * Which of a zone's tasks the log says are over. An entry that names its task counts for it, others by kind and class, or
 * for the task they took the place of; what was done besides the plan counts for none.
 */
export function matchLog(
  nodes: readonly Node[],
  dossier: Pick<Dossier, 'log' | 'chosen'>,
  zone: string,
): Map<string, Mark> {
  const own = (dossier.log ?? []).filter(
    (entry) => entry.zone === zone && entry.at !== undefined && isOfNow(dossier, entry),
  );
  const entries = own.filter(({ extra }) => !extra).sort((a, b) => Date.parse(a.at!) - Date.parse(b.at!));
  const stripped = entries.findLastIndex(({ op, skipped }) => op === 'strip' && !skipped);
  const marks = new Map<string, Mark>();
  const used = new Set<LogEntry>();
  const take = (node: Node, entry: LogEntry): void => {
    marks.set(node.key, { at: entry.at!, skipped: entry.skipped === true });
    used.add(entry);
  };
  for (const node of nodes) {
    const entry = entries.findLast((own, i) => baseKey(own.task) === node.key && (i >= stripped || !isUndone(node)));
    if (entry) take(node, entry);
  }
  const left = entries.flatMap((entry, i) =>
    used.has(entry) || entry.task !== undefined
      ? []
      : Array.from({ length: Math.max(1, entry.coats ?? 1) }, () => ({ entry, i })),
  );
  for (const node of nodes) {
    if (marks.has(node.key) || node.reading) continue;
    const at = left.findIndex(
      ({ entry, i }) =>
        entry.op === node.step.op &&
        (entry.class === undefined || node.step.class === undefined || entry.class === node.step.class) &&
        (i >= stripped || !isUndone(node)),
    );
    if (at >= 0) take(node, left.splice(at, 1)[0]!.entry);
  }
  // Something else was put on in its place: the job is over, whatever is on now.
  for (const node of nodes) {
    if (marks.has(node.key) || node.reading) continue;
    const entry = entries.findLast((own) => !used.has(own) && baseKey(own.instead_of) === node.key);
    if (entry) take(node, entry);
  }
  return marks;
}

/** Stripping takes away all that was put on before it, and the dulling under it. */
const isUndone = ({ step }: Node): boolean => step.op !== 'strip' && step.stage >= DULLING_STAGE;

const OVER: readonly Gate['state'][] = ['open', 'overridden', 'not_needed'];

export function findMark(
  node: Node,
  marks: ReadonlyMap<string, Mark>,
  gates: readonly Gate[],
  dossier: Dossier,
): Mark | undefined {
  if (node.step.op !== 'proof') return marks.get(node.key);
  const own = gates.filter(({ zone }) => zone === node.zone);
  // An open gate makes patch and reading one: they were done when the last of what opened it was read or said.
  if (own.length > 0 && own.every(({ state }) => OVER.includes(state))) {
    const at = latestOf(own.flatMap((gate) => gate.at ?? []));
    return { ...(at === undefined ? {} : { at }), skipped: false };
  }
  if (node.reading) return undefined;
  const patch = dossier.panels?.find(
    ({ zone, coated_at: at }) => zone === node.zone && at !== undefined && isOfNow(dossier, { zone, at }),
  );
  return marks.get(node.key) ?? (patch ? { at: patch.coated_at!, skipped: false } : undefined);
}
