import path from 'node:path';
import { fail, type Result } from '@/core/shared';
import { DatabaseFault, findStorageProblem } from './db';
import { checkCopies, inspectCopy } from './keeping/check-copies';
import { gatherArrival, readArrival } from './keeping/read-arrival';
import type { KeeperQuestion } from './keeping/keeper';
import { makePictureDecoder } from './picture-decoder';

/* A process of its own, for files from elsewhere may be anything: it is ended where one takes too much (`keeper`). */
const decoder = makePictureDecoder(() => path.join(__dirname, 'decode-picture.cjs'));

process.on('message', (question: KeeperQuestion) => {
  void answer(question)
    .catch(toProblem)
    .then((found) => process.send!(found));
});
process.on('disconnect', () => process.exit(0));

async function answer(question: KeeperQuestion): Promise<Result<unknown>> {
  switch (question.is) {
    case 'read':
      return readArrival(question, decoder);
    case 'gather':
      return gatherArrival(question);
    case 'inspect':
      return inspectCopy(question);
    case 'check':
      return checkCopies(question);
  }
}

/** What the disk says is told; anything else is a fault of ours. */
function toProblem(error: unknown): Result<never> {
  if (error instanceof DatabaseFault) return { ok: false, problem: error.problem };
  const storage = findStorageProblem(error);
  return storage ? { ok: false, problem: storage } : fail('internal');
}
