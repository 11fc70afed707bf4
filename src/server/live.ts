import type { Request, Response } from 'express';
import { randomUUID } from 'node:crypto';
import type { LiveChange } from '@/contract';
import { findAsker } from './asker';
import type { PieceStore, ShelfStore, WorkshopStore } from './db';

/** What is told to every page that listens: that something changed, never what to. A page asks for it anew. */
export interface Live {
  /** Told with the page and device that did it: that page knows already. */
  tell: (change: LiveChange) => void;
  /** Holds a request open and sends what is told from now on, and what was missed since its last event. */
  stream: (request: Request, response: Response, mayStay: () => boolean) => void;
  close: () => void;
}

/** Changes that a page which lost its line can still catch up on. */
const REMEMBERED = 1000;
/** A line on which nothing comes is kept open, and its pass is looked at again, so often. */
const BEAT_MS = 15_000;

/**
 * Server-sent events (WHATWG HTML, 9.2). Each has the number of this server's run and its own; a page that comes back with
 * one of another run, or too old, is told to ask for everything anew.
 */
export function makeLive(): Live {
  const run = randomUUID().slice(0, 8);
  const past: { number: number; text: string }[] = [];
  const lines = new Map<Response, { beat: ReturnType<typeof setInterval>; mayStay: () => boolean }>();
  let number = 0;

  const drop = (response: Response): void => {
    clearInterval(lines.get(response)?.beat);
    lines.delete(response);
    response.end();
  };

  return {
    tell: (change) => {
      number += 1;
      const { page: by, device } = findAsker();
      const data = JSON.stringify({ ...change, by, device });
      const text = `id: ${run}-${number}\nevent: change\ndata: ${data}\n\n`;
      past.push({ number, text });
      if (past.length > REMEMBERED) past.shift();
      // A pass that has ended hears nothing more, also between two beats.
      for (const [response, { mayStay }] of lines)
        if (mayStay()) response.write(text);
        else drop(response);
    },
    stream: (request, response, mayStay) => {
      response.writeHead(200, { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store' });
      // A browser that opens a new line for the same page says in the address where it left off.
      const last = request.headers['last-event-id'] ?? request.query.after ?? '';
      const [lastRun, lastNumber] = String(last).split('-');
      const missed = Number(lastNumber);
      if (lastRun) {
        const reachable = lastRun === run && missed <= number && (past[0]?.number ?? number + 1) <= missed + 1;
        if (reachable) for (const event of past) if (event.number > missed) response.write(event.text);
        if (!reachable) response.write('event: reset\ndata: {}\n\n');
      }
      // What was missed first: a line that breaks among it starts again where it broke.
      response.write(`id: ${run}-${number}\nevent: here\ndata: {}\n\n`);
      const beat = setInterval(() => (mayStay() ? response.write(':\n\n') : drop(response)), BEAT_MS);
      lines.set(response, { beat, mayStay });
      request.on('close', () => drop(response));
    },
    close: () => [...lines.keys()].forEach(drop),
  };
}

interface Stores {
  store: PieceStore;
  shelf: ShelfStore;
  workshop: WorkshopStore;
}

/** The same stores, which tell of every change they took. */
export function tellOf({ store, shelf, workshop }: Stores, live: Live): Stores {
  const told = <R extends { ok: boolean }>(made: R, change: LiveChange): R => {
    if (made.ok) live.tell(change);
    return made;
  };
  const toldIf = (done: boolean, change: LiveChange): boolean => {
    if (done) live.tell(change);
    return done;
  };
  return {
    store: {
      ...store,
      apply: (piece, ...rest) => told(store.apply(piece, ...rest), { piece }),
      remove: (piece, now) => toldIf(store.remove(piece, now), { piece }),
      putBack: (piece, now) => toldIf(store.putBack(piece, now), { piece }),
      addPhoto: (piece, ...rest) => told(store.addPhoto(piece, ...rest), { piece }),
    },
    shelf: { ...shelf, apply: (...change) => told(shelf.apply(...change), { shelf: true }) },
    workshop: { ...workshop, apply: (...change) => told(workshop.apply(...change), { workshop: true }) },
  };
}
