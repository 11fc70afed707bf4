/** @jest-environment node */
import { expose, type Endpoint } from 'comlink';
import { MessageChannel } from 'node:worker_threads';
import { openLine } from './line';

/** A worker without a thread: the other end of a channel, which breaks when it is told to. */
function startPretended(api: object, opened: { count: number; broken: (() => void)[] }): Worker {
  opened.count += 1;
  const { port1, port2 } = new MessageChannel();
  expose(api, port2 as unknown as Endpoint);
  const listeners: (() => void)[] = [];
  opened.broken.push(() => listeners.forEach((listener) => listener()));
  return Object.assign(Object.create(null), {
    postMessage: (message: unknown) => port1.postMessage(message),
    addEventListener: (kind: string, listener: never) =>
      kind === 'error' ? listeners.push(listener) : port1.addEventListener(kind, listener),
    removeEventListener: (kind: string, listener: never) => port1.removeEventListener(kind, listener),
    terminate: () => port1.close(),
    start: () => port1.start(),
  }) as Worker;
}

const settle = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 30));

describe('the door to a worker', () => {
  const opened = { count: 0, broken: [] as (() => void)[] };
  beforeEach(() => Object.assign(opened, { count: 0, broken: [] }));

  it('answers in turn, and puts only the newest of the questions of one asker that still wait', async () => {
    const put: number[] = [];
    const api = {
      double: async (n: number): Promise<number> => {
        put.push(n);
        await settle();
        return 2 * n;
      },
    };
    const line = openLine<typeof api>(() => startPretended(api, opened));
    const replies = await Promise.all([
      ...[1, 2, 3].map((n) => line.ask('a', (own) => own.double(n))),
      line.ask('b', (own) => own.double(10)),
    ]);
    expect(put).toEqual([1, 3, 10]);
    expect(replies).toEqual([
      { ok: true, answer: 2 },
      { ok: false, reason: 'overtaken' },
      { ok: true, answer: 6 },
      { ok: true, answer: 20 },
    ]);
    expect(opened.count).toBe(1);
    line.close();
  });

  it('puts a question once more to a fresh worker, and says so when that breaks too', async () => {
    let failures = 1;
    const api = {
      say: (): string => {
        failures -= 1;
        if (failures >= 0) throw new Error('once');
        return 'well';
      },
    };
    const line = openLine<typeof api>(() => startPretended(api, opened));
    expect(await line.ask('a', (own) => own.say())).toEqual({ ok: true, answer: 'well' });
    expect(opened.count).toBe(2);
    failures = 2;
    expect(await line.ask('a', (own) => own.say())).toEqual({ ok: false, reason: 'broken' });
    line.close();
  });

  it('does not wait for a worker that broke', async () => {
    const api = { think: (): Promise<void> => new Promise(() => undefined) };
    const line = openLine<typeof api>(() => startPretended(api, opened));
    const reply = line.ask('a', (own) => own.think());
    await settle();
    opened.broken[0]!();
    await settle();
    opened.broken[1]!();
    expect(await reply).toEqual({ ok: false, reason: 'broken' });
    line.close();
  });
});
