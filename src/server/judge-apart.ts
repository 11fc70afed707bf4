import { setPriority } from 'node:os';
import { parentPort } from 'node:worker_threads';
import type { JudgeQuestion, JudgeReply } from './judge/judge';
import { judgeNow } from './judge/judgements';

/*
 * A thread of its own, so that requests are answered while pieces are judged (`judge`). Where processors are few it gives way
 * to the thread that answers: elsewhere than on Linux a priority is that of the whole program.
 */
/** About half the share of a thread of usual priority: more way would leave lists waiting behind whatever else runs. */
const GIVES_WAY = 3;
if (process.platform === 'linux') setPriority(GIVES_WAY);

parentPort!.on('message', ({ number, what, asked }: JudgeQuestion) => {
  let reply: JudgeReply;
  try {
    reply = { number, value: judgeNow(what, asked) };
  } catch (error) {
    reply = { number, error: error instanceof Error ? error.message : 'failed' };
  }
  parentPort!.postMessage(reply);
});
