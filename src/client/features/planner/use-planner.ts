import { startTransition, useEffect, useRef, useState } from 'react';
import { shallowEqual } from 'react-redux';
import { openLine, type Line } from '@/client/workers/line';
import type { PlannerApi } from '@/client/workers/planner.worker';
// Types alone: what answers lies in the worker, and the first screen does without it.
import type { PlannerAnswer, PlannerRequest } from './planner-answers';

const lines = new Map<string, Line<PlannerApi>>();

/** Plans of a piece, the plan of the shop and dates that are tried out are worked out beside each other; each line answers in turn. */
function lineOf({ kind }: PlannerRequest): Line<PlannerApi> {
  const name = kind === 'shop' ? 'shop' : kind === 'by_date' || kind === 'dates' ? 'dates' : 'piece';
  const line =
    lines.get(name) ?? openLine<PlannerApi>(() => new Worker(new URL('../../workers/planner.worker', import.meta.url)));
  lines.set(name, line);
  return line;
}

/** A price at the door takes long: it is told in haste first. */
const isToldInHaste = ({ kind }: PlannerRequest): boolean => kind === 'door';

let askers = 0;

interface Held<R extends PlannerRequest> {
  request: R;
  answer: PlannerAnswer<R>;
}

/** What is asked now, the same object for as long as its parts are the same. */
function useSteady<R>(request: R): R {
  const [steady, setSteady] = useState(request);
  if (steady === request || shallowEqual(steady, request)) return steady;
  setSteady(request);
  return request;
}

/**
 * What the planner says to a request, worked out off the interface's thread. The last answer stays while a newer one is
 * on its way; `fresh` says whether it is the answer to this very request; `failed`, that none is to be had. The parts of
 * a request are compared by identity: what is made for it is remembered. `null` asks nothing.
 */
export function usePlanner<R extends PlannerRequest>(
  asked: R | null,
): { answer: PlannerAnswer<R> | null; fresh: boolean; failed: boolean } {
  const [asker] = useState(() => (askers += 1));
  const [held, setHeld] = useState<Held<R> | null>(null);
  const [broken, setBroken] = useState<R | null>(null);
  const inHand = useRef(0);
  const request = useSteady(asked);
  useEffect(() => {
    if (!request) return;
    let left = false;
    const put = async (rough: boolean): Promise<void> => {
      const reply = await lineOf(request).ask(asker, (api) => api.answer(asker, request, rough, inHand.current));
      if (left) return;
      if (!reply.ok) return reply.reason === 'broken' ? setBroken(request) : undefined;
      const { id, answer } = reply.answer;
      inHand.current = id;
      // What follows from an answer may be much to draw: it is drawn in slices, between taps.
      startTransition(() =>
        setHeld((before) =>
          answer ? { request, answer: answer as PlannerAnswer<R> } : before && { ...before, request },
        ),
      );
      if (rough) await put(false);
    };
    void put(isToldInHaste(request));
    return () => void (left = true);
  }, [request, asker]);
  return {
    answer: held?.answer ?? null,
    fresh: held !== null && held.request === request,
    failed: broken !== null && broken === request,
  };
}
