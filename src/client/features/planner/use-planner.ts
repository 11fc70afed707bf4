import { useEffect, useMemo, useState } from 'react';
import type { PlannerAnswer, PlannerMessage, PlannerRequest } from './planner-answers';

interface Line {
  worker: Worker;
  waiting: Map<number, (message: PlannerMessage) => void>;
}
const lines = new Map<string, Line>();
let count = 0;

/** Plans of a piece and plans of the shop are worked out beside each other; each line answers in the order it is asked. */
function openLine(name: string): Line {
  const known = lines.get(name);
  if (known) return known;
  const waiting: Line['waiting'] = new Map();
  const worker = new Worker(new URL('../../workers/planner.worker', import.meta.url));
  worker.onmessage = ({ data }: MessageEvent<PlannerMessage>) => {
    waiting.get(data.id)?.(data);
    if (data.last) waiting.delete(data.id);
  };
  const line = { worker, waiting };
  lines.set(name, line);
  return line;
}

const lineOf = ({ kind }: PlannerRequest): string => (kind === 'shop' || kind === 'by_date' ? kind : 'piece');

/**
 * What the planner says to a request, worked out off the interface's thread. The last answer stays while a newer one is
 * on its way; `fresh` says whether it is the answer to this very request. `null` asks nothing.
 */
export function usePlanner<R extends PlannerRequest>(
  request: R | null,
): { answer: PlannerAnswer<R> | null; fresh: boolean } {
  const key = useMemo(() => (request ? JSON.stringify(request) : ''), [request]);
  const [last, setLast] = useState<{ key: string; answer: PlannerAnswer<R> } | null>(null);
  useEffect(() => {
    if (key === '') return;
    const asked = JSON.parse(key) as R;
    const { worker, waiting } = openLine(lineOf(asked));
    const id = (count += 1);
    waiting.set(id, ({ answer }) => setLast({ key, answer: answer as PlannerAnswer<R> }));
    worker.postMessage({ id, request: asked });
    return () => void waiting.delete(id);
  }, [key]);
  return { answer: last?.answer ?? null, fresh: last?.key === key };
}
