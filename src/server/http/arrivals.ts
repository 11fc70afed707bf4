import express, { Router } from 'express';
import { createWriteStream } from 'node:fs';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { takeInSchema } from '@/contract';
import { readWith } from '@/core/dossier';
import { fail } from '@/core/shared';
import type { Arrivals } from '../keeping';
import type { Live } from '../live';
import { sendProblem } from './problems';

/** A shop with all its pictures; what is larger is brought in at the computer, by the command line. */
const MOST_GB = 2;

class TooLarge extends Error {}

/** Passes on what comes, up to a limit. */
function limit(most: number): Transform {
  let passed = 0;
  return new Transform({
    transform: (chunk: Buffer, _encoding, done) => {
      passed += chunk.length;
      if (passed > most) done(new TooLarge());
      else done(null, chunk);
    },
  });
}

/** Pieces from a file: sent, looked at, then taken in or let go. */
export function makeArrivalRouter(arrivals: Arrivals, live: Live): Router {
  const router = Router();
  router.post('/', async (request, response) => {
    const { id, file } = arrivals.begin();
    try {
      await pipeline(request, limit(MOST_GB * 2 ** 30), createWriteStream(file));
    } catch (error) {
      arrivals.drop(id);
      if (error instanceof TooLarge)
        return sendProblem(response, fail('body_too_large', '', { max: `${MOST_GB} GB` }).problem);
      throw error;
    }
    const looked = await arrivals.look(id);
    if (!looked.ok) return sendProblem(response, looked.problem);
    return void response.json(looked.value);
  });
  router.post('/:id/take', express.json({ limit: '4kb', type: () => true }), async (request, response) => {
    const asked = readWith(takeInSchema, request.body);
    if (!asked.ok) return sendProblem(response, asked.problem);
    const taken = await arrivals.take(request.params.id!, asked.value.clashes);
    if (!taken.ok) return sendProblem(response, taken.problem);
    const [first] = taken.value.pieces;
    // One is enough for every page to ask for its lists anew.
    live.tell({ shelf: true, ...(first === undefined ? {} : { piece: first }) });
    return void response.json({ pieces: taken.value.pieces.length });
  });
  router.delete('/:id', (request, response) => {
    arrivals.drop(request.params.id);
    response.status(204).end();
  });
  return router;
}
