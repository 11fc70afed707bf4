import { fork, type ChildProcess } from 'node:child_process';
import { setTimeout as wait } from 'node:timers/promises';
import { fail, succeed, type Result } from '@/core/shared';

export interface DrawnPicture {
  data: Uint8Array;
  width: number;
  height: number;
}

export interface PictureDecoder {
  /** Draws a picture anew; one at a time, the others wait their turn. */
  draw: (bytes: Uint8Array) => Promise<Result<DrawnPicture>>;
  close: () => void;
}

/** A large photograph takes about one second on two cores. */
const MOST_MS = 10_000;
/** The process is kept for the next picture so long. */
const IDLE_MS = 20_000;

/** Decodes in a process of its own (`program` is the built `decode-picture`), which is ended where it takes too much. */
export function makePictureDecoder(program: string, mostMs = MOST_MS): PictureDecoder {
  let child: ChildProcess | null = null;
  let idle = new AbortController();
  let turn: Promise<unknown> = Promise.resolve();

  const end = (): void => {
    child?.kill('SIGKILL');
    child = null;
  };
  const start = (): ChildProcess => {
    const made = fork(program, [], { serialization: 'advanced', stdio: 'ignore', execArgv: [] });
    made.unref();
    child = made;
    return made;
  };
  const drawNow = (bytes: Uint8Array): Promise<Result<DrawnPicture>> =>
    new Promise((resolve) => {
      idle.abort();
      const own = child ?? start();
      const finish = (result: Result<DrawnPicture>): void => {
        limit.abort();
        own.removeAllListeners();
        idle = afterwards(IDLE_MS, end);
        resolve(result);
      };
      const giveUp = (): void => {
        end();
        finish(fail('picture_overladen'));
      };
      const limit = afterwards(mostMs, giveUp);
      own.once('message', (drawn: DrawnPicture | null) =>
        finish(drawn ? succeed(drawn) : fail('not_a_picture', '', { allowed: STILLS })),
      );
      own.once('exit', giveUp);
      own.once('error', giveUp);
      own.send(bytes);
    });

  return {
    draw: (bytes) => {
      const drawn = turn.then(() => drawNow(bytes));
      turn = drawn;
      return drawn;
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

/** Stills that are taken. */
export const STILLS = ['JPEG', 'PNG', 'WebP'];
