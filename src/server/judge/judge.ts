import { Worker } from 'node:worker_threads';
import { judgeNow, type Asked, type Judged, type Judgement } from './judgements';

/** Works out what lists and search tell of pieces. */
export interface Judge {
  /** Gets ready, so that whoever asks first need not wait for it. */
  start: () => void;
  judge: <J extends Judgement>(what: J, ...asked: Asked<J>) => Promise<Judged<J>>;
  close: () => void;
}

export interface JudgeQuestion {
  number: number;
  what: Judgement;
  asked: unknown[];
}

export type JudgeReply = { number: number } & ({ value: unknown } | { error: string });

/** In a thread of its own, started at the latest when it is first asked (`program` is the built `judge-apart`); one that breaks is started anew. */
export function makeJudge(program: () => string): Judge {
  let thread: Worker | null = null;
  let last = 0;
  const waiting = new Map<number, { resolve: (value: unknown) => void; reject: (error: Error) => void }>();

  const breakOff = (error: Error): void => {
    thread = null;
    const asked = [...waiting.values()];
    waiting.clear();
    for (const { reject } of asked) reject(error);
  };
  const start = (): Worker => {
    const made = new Worker(program());
    made.on('message', (reply: JudgeReply) => {
      const own = waiting.get(reply.number);
      waiting.delete(reply.number);
      if (waiting.size === 0) made.unref();
      if ('error' in reply) own?.reject(new Error(reply.error));
      else own?.resolve(reply.value);
    });
    made.on('error', breakOff);
    return made;
  };
  return {
    start: () => {
      thread ??= start();
      if (waiting.size === 0) thread.unref();
    },
    judge: <J extends Judgement>(what: J, ...asked: Asked<J>) =>
      new Promise<Judged<J>>((resolve, reject) => {
        thread ??= start();
        // Only while something is asked does it keep the program running.
        thread.ref();
        const number = (last += 1);
        waiting.set(number, { resolve: resolve as (value: unknown) => void, reject });
        thread.postMessage({ number, what, asked } satisfies JudgeQuestion);
      }),
    close: () => {
      // Nobody is left to be told.
      waiting.clear();
      void thread?.terminate();
      thread = null;
    },
  };
}

/** The same in the thread that asks, for where there is no built program. */
export const judgeHere: Judge = {
  start: () => undefined,
  judge: async <J extends Judgement>(what: J, ...asked: Asked<J>) => judgeNow(what, asked) as Judged<J>,
  close: () => undefined,
};
