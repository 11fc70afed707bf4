import { useEffect, useMemo, useState } from 'react';
import type { PlannerAnswer, PlannerRequest } from './planner-answers';

type Waiting = Map<number, (answer: unknown) => void>;
let shared: { worker: Worker; waiting: Waiting } | null = null;
let count = 0;

/** One planner for the application; it answers in the order it is asked. */
function openPlanner(): { worker: Worker; waiting: Waiting } {
  if (shared) return shared;
  const waiting: Waiting = new Map();
  const worker = new Worker(new URL('../../workers/planner.worker', import.meta.url));
  worker.onmessage = ({ data }: MessageEvent<{ id: number; answer: unknown }>) => {
    waiting.get(data.id)?.(data.answer);
    waiting.delete(data.id);
  };
  shared = { worker, waiting };
  return shared;
}

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
    const { worker, waiting } = openPlanner();
    const id = (count += 1);
    waiting.set(id, (answer) => setLast({ key, answer: answer as PlannerAnswer<R> }));
    worker.postMessage({ id, request: JSON.parse(key) as R });
    return () => void waiting.delete(id);
  }, [key]);
  return { answer: last?.answer ?? null, fresh: last?.key === key };
}
