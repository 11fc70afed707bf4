import { fork, type ChildProcess } from 'node:child_process';
import { setTimeout as wait } from 'node:timers/promises';

/** Why a helper gave no answer: it took too long or broke, or whoever asked has gone. */
export type Silence = 'ended' | 'gone';

export type Helped<T> = { ok: true; value: T } | { ok: false; why: Silence };

/**
 * A program of ours in a process of its own, for work on what strangers sent: it may be ended, whatever it is doing, and the
 * server goes on.
 */
export interface HelperProcess {
  /** Asks it for one thing; one at a time, the others wait their turn. */
  ask: <T>(question: unknown, options: { mostMs: number; signal?: AbortSignal | undefined }) => Promise<Helped<T>>;
  close: () => void;
}

/** The process is kept for the next question so long. */
const IDLE_MS = 20_000;

/**
 * @param program the built file, asked for when it is first needed; it answers each message with one
 * @param heapMb the most memory its own records may take, MB
 */
export function makeHelperProcess(program: () => string, heapMb: number): HelperProcess {
  let child: ChildProcess | null = null;
  let idle = new AbortController();
  let turn: Promise<unknown> = Promise.resolve();

  const end = (): void => {
    child?.kill('SIGKILL');
    child = null;
  };
  const start = (): ChildProcess => {
    const execArgv = [`--max-old-space-size=${heapMb}`];
    const made = fork(program(), [], { serialization: 'advanced', stdio: 'ignore', execArgv });
    made.unref();
    made.once('exit', () => {
      if (child === made) child = null;
    });
    // What a process that is being ended still says of itself is of no interest.
    made.on('error', () => undefined);
    child = made;
    return made;
  };
  const askNow = <T>(question: unknown, mostMs: number, signal?: AbortSignal): Promise<Helped<T>> =>
    new Promise((resolve) => {
      if (signal?.aborted) return resolve({ ok: false, why: 'gone' });
      idle.abort();
      const own = child ?? start();
      // Only while something is asked does the line to it keep the program running.
      own.channel?.ref();
      const finish = (helped: Helped<T>): void => {
        limit.abort();
        signal?.removeEventListener('abort', leave);
        own.channel?.unref();
        own.off('message', answered).off('exit', broken).off('error', broken);
        idle = afterwards(IDLE_MS, end);
        resolve(helped);
      };
      const giveUp = (why: Silence): void => {
        end();
        finish({ ok: false, why });
      };
      const leave = (): void => giveUp('gone');
      const limit = afterwards(mostMs, () => giveUp('ended'));
      signal?.addEventListener('abort', leave);
      const answered = (value: T): void => finish({ ok: true, value });
      const broken = (): void => giveUp('ended');
      own.once('message', answered).once('exit', broken).once('error', broken);
      own.send(question as object);
    });

  return {
    ask: (question, { mostMs, signal }) => {
      const own = turn.then(() => askNow<never>(question, mostMs, signal));
      turn = own;
      return own;
    },
    close: () => {
      idle.abort();
      end();
    },
  };
}

/** Does something after a while, unless it is called off; does not keep the program running. */
function afterwards(ms: number, work: () => void): AbortController {
  const off = new AbortController();
  wait(ms, undefined, { ref: false, signal: off.signal }).then(work, () => undefined);
  return off;
}
