import { wrap, type Remote } from 'comlink';

/** What became of a question: its answer, or none, for a newer one of the same asker came or the worker broke twice. */
export type Reply<Answer> = { ok: true; answer: Answer } | { ok: false; reason: 'overtaken' | 'broken' };

interface Waiting<Api> {
  asker: unknown;
  ask: (api: Remote<Api>) => unknown;
  resolve: (reply: Reply<never> | { ok: true; answer: unknown }) => void;
}

export interface Line<Api> {
  /**
   * Asks in turn. Of several questions of one asker that still wait only the newest is put. A question at which the
   * worker breaks is put once more to a fresh one.
   */
  ask: <Answer>(asker: unknown, question: (api: Remote<Api>) => Answer) => Promise<Reply<Awaited<Answer>>>;
  /** Ends the work, done or not; the next question starts anew. */
  close: () => void;
}

const MOST_TRIES = 2;

/** The one door to a worker: typed by what the worker exposes, questions one after another. */
export function openLine<Api>(start: () => Worker): Line<Api> {
  let open: { worker: Worker; api: Remote<Api>; broken: Promise<never> } | null = null;
  let queue: Waiting<Api>[] = [];
  let busy = false;

  const connect = (): NonNullable<typeof open> => {
    const worker = start();
    const broken = new Promise<never>((_resolve, reject) => {
      worker.addEventListener('error', () => reject(new Error('The worker broke.')));
      worker.addEventListener('messageerror', () => reject(new Error('The worker sent what cannot be read.')));
    });
    // It is only listened to while something is asked.
    broken.catch(() => undefined);
    return { worker, api: wrap<Api>(worker), broken };
  };
  const close = (): void => {
    open?.worker.terminate();
    open = null;
  };
  const put = async (waiting: Waiting<Api>): Promise<void> => {
    for (let tries = 0; tries < MOST_TRIES; tries += 1) {
      open ??= connect();
      const { api, broken } = open;
      try {
        return waiting.resolve({ ok: true, answer: await Promise.race([waiting.ask(api), broken]) });
      } catch {
        close();
      }
    }
    waiting.resolve({ ok: false, reason: 'broken' });
  };
  const work = async (): Promise<void> => {
    if (busy) return;
    busy = true;
    for (let next = queue.shift(); next; next = queue.shift()) await put(next);
    busy = false;
  };
  return {
    ask: (asker, question) =>
      new Promise((resolve) => {
        for (const old of queue) if (old.asker === asker) old.resolve({ ok: false, reason: 'overtaken' });
        queue = queue.filter((old) => old.asker !== asker);
        queue.push({ asker, ask: question, resolve: resolve as Waiting<Api>['resolve'] });
        void work();
      }),
    close: () => {
      for (const old of queue) old.resolve({ ok: false, reason: 'overtaken' });
      queue = [];
      close();
    },
  };
}
