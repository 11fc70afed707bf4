import { parentPort } from 'node:worker_threads';
import type { JudgeQuestion, JudgeReply } from './judge/judge';
import { judgeNow } from './judge/judgements';

/* A thread of its own, so that requests are answered while pieces are judged (`judge`). */
parentPort!.on('message', ({ number, what, asked }: JudgeQuestion) => {
  let reply: JudgeReply;
  try {
    reply = { number, value: judgeNow(what, asked) };
  } catch (error) {
    reply = { number, error: error instanceof Error ? error.message : 'failed' };
  }
  parentPort!.postMessage(reply);
});
