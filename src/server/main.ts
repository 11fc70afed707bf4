import { explainProblem } from '@/words';
import { DatabaseFault } from './db';
import { serve, type Serving } from './serve';

/* The server as a program of its own. The first line on standard output is the address. */
async function run(): Promise<void> {
  const serving = await serve(process.env).catch(giveUp);
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, () => void serving.stop().then(() => process.exit(0)));
  process.stdout.write(`Bricolage is at ${serving.url}\n`);
  if (serving.isOpen) await openDoor(serving);
}

/** Records that cannot be used are said in words, and nothing is started. */
function giveUp(error: unknown): never {
  if (!(error instanceof DatabaseFault)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exit(1);
}

/** A door that cannot be opened keeps nobody from working at the computer itself. */
async function openDoor(serving: Serving): Promise<void> {
  const opened = await serving.openDoor();
  if (opened.ok) process.stdout.write(`For phones in the house: ${opened.value.join('  ')}\n`);
  else process.stderr.write(`${explainProblem(opened.problem)}\n`);
}

// Tests serve shops from this very bundle, each without a process of its own.
export { serve };
if (require.main === module) void run();
