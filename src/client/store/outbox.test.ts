import { applyChange, DOSSIER_FORMAT, type Dossier } from '@/core/dossier';
import { changeMade, changeThrownAway, changeTriedAgain, makeStore, type AppStore } from './index';
import { serverTimeHeard } from './clock';
import { piecesApi } from './pieces-api';
import { overlay } from './overlay';

const DESK: Dossier = { format: DOSSIER_FORMAT, piece: { kind: 'desk', id: 'p' }, zones: [{ id: 'top', role: 'top' }] };
const answer = (result: string) => ({
  type: 'observation_recorded' as const,
  zoneId: 'top',
  observation: { id: `o-${result}`, check: 'edge_line', result },
});
const settle = async (): Promise<void> => {
  for (let i = 0; i < 60; i += 1) await Promise.resolve();
};
const reply = (status: number, body: unknown): Response =>
  ({ ok: status < 400, status, json: async () => body }) as Response;

const stores: AppStore[] = [];
function openStore(fetcher: (path: string) => Promise<Response>): AppStore {
  const store = makeStore(fetcher as unknown as typeof fetch);
  stores.push(store);
  // The first screen was answered.
  store.dispatch(serverTimeHeard(0));
  return store;
}
// Cached answers are kept for a minute by a timer, which would keep the test run waiting.
afterEach(() => stores.splice(0).forEach((store) => store.dispatch(piecesApi.util.resetApiState())));

describe('the outbox', () => {
  it('sends what a clock three days ahead has made without the server as of the time it was, and is never stuck with it', async () => {
    const DAY_MS = 86_400_000;
    const sent: { path: string; body: string; made?: string }[] = [];
    const store = makeStore((async (path: string, asked?: RequestInit) => {
      const headers = new Headers(asked?.headers);
      if (path !== '/api/access')
        sent.push({ path, body: String(asked?.body), made: headers.get('x-bricolage-made')! });
      const told = new Headers({ 'x-bricolage-now': new Date(Date.now() - 3 * DAY_MS).toISOString() });
      return { ...reply(200, DESK), headers: told } as Response;
    }) as typeof fetch);
    stores.push(store);
    const at = new Date().toISOString();
    const due = '2031-01-01T09:00:00.000Z';
    const entries = [{ zone: 'top', op: 'prime' as const, at }];
    store.dispatch(changeMade({ id: '1', pieceId: 'p', change: { type: 'work_logged', work: 'w', entries } }));
    store.dispatch(changeMade({ id: '2', pieceId: 'p', change: { type: 'goal_set', goal: { due } } }));
    await settle();
    const [work, goal] = sent;
    const moved = (moment: string): number => Math.round((Date.parse(at) - Date.parse(moment)) / 60_000);
    expect(moved(JSON.parse(work!.body).entries[0].at)).toBe(3 * 24 * 60);
    expect(moved(work!.made!)).toBe(3 * 24 * 60);
    expect(JSON.parse(goal!.body).due).toBe(due);
    expect(store.getState().outbox).toMatchObject({ pending: [], parked: [] });
  });

  it('sends changes in order and forgets them once they are stored', async () => {
    const sent: string[] = [];
    const store = openStore(async (path: string) => {
      sent.push(path);
      return reply(200, DESK);
    });
    store.dispatch(changeMade({ id: '1', pieceId: 'p', change: answer('dark_line') }));
    store.dispatch(changeMade({ id: '2', pieceId: 'p', change: { type: 'goal_set', goal: {} } }));
    await settle();
    expect(sent).toEqual(['/api/pieces/p/zones/top/observations/o-dark_line', '/api/pieces/p/goal']);
    expect(store.getState().outbox.pending).toEqual([]);
  });

  it('never lets a change be out of sight between the outbox and the stored piece', async () => {
    const change = answer('dark_line');
    const stored = applyChange(DESK, change)!;
    const store = openStore(async () => reply(200, stored));
    await store.dispatch(piecesApi.util.upsertQueryData('getPiece', 'p', DESK));
    const seen: number[] = [];
    store.subscribe(() => {
      const state = store.getState();
      const base = piecesApi.endpoints.getPiece.select('p')(state).data;
      seen.push(overlay(base, state.outbox.pending, 'p')?.zones?.[0]?.observations?.length ?? 0);
    });
    store.dispatch(changeMade({ id: '1', pieceId: 'p', change }));
    await settle();
    expect(store.getState().outbox.pending).toEqual([]);
    expect(seen.length).toBeGreaterThan(1);
    expect(new Set(seen)).toEqual(new Set([1]));
  });

  it('keeps a change while the server is lost, and sends it again', async () => {
    jest.useFakeTimers();
    let up = false;
    const store = openStore(async () => {
      if (!up) throw new TypeError('failed to fetch');
      return reply(200, DESK);
    });
    store.dispatch(changeMade({ id: '1', pieceId: 'p', change: answer('dark_line') }));
    await settle();
    expect(store.getState().outbox).toMatchObject({ awaySince: expect.any(String), pending: [{ id: '1' }] });
    up = true;
    jest.advanceTimersByTime(5000);
    await settle();
    expect(store.getState().outbox).toMatchObject({ awaySince: null, pending: [] });
    jest.useRealTimers();
  });

  it('sends at once when the device is in a network again, however long it would have waited', async () => {
    jest.useFakeTimers();
    let tries = 0;
    const store = openStore(async () => {
      tries += 1;
      if (tries < 4) throw new TypeError('failed to fetch');
      return reply(200, DESK);
    });
    store.dispatch(changeMade({ id: '1', pieceId: 'p', change: answer('dark_line') }));
    await settle();
    for (let i = 0; i < 2; i += 1) {
      jest.advanceTimersByTime(10_000);
      await settle();
    }
    expect([tries, store.getState().outbox.pending.length]).toEqual([3, 1]);
    store.dispatch(piecesApi.internalActions.onOnline());
    await settle();
    expect([tries, store.getState().outbox.pending.length]).toEqual([4, 0]);
    jest.useRealTimers();
  });

  it('lays aside what the server refuses, with the reason, and sends it again or throws it away when told', async () => {
    let status = 422;
    const store = openStore(async () =>
      reply(status, status === 200 ? DESK : { error: { message: 'result: Not a known value.' } }),
    );
    store.dispatch(changeMade({ id: '1', pieceId: 'p', change: answer('purple') }));
    await settle();
    expect(store.getState().outbox).toMatchObject({
      pending: [],
      parked: [{ id: '1', refused: 'result: Not a known value.' }],
    });
    status = 200;
    store.dispatch(changeTriedAgain({ id: '1' }));
    await settle();
    expect(store.getState().outbox).toMatchObject({ pending: [], parked: [] });
    status = 422;
    store.dispatch(changeMade({ id: '2', pieceId: 'p', change: answer('purple') }));
    await settle();
    store.dispatch(changeThrownAway({ id: '2' }));
    expect(store.getState().outbox).toMatchObject({ pending: [], parked: [] });
  });

  it('lays aside with refused work the paint that was drawn off for it', async () => {
    const store = openStore(async (path) =>
      path.includes('/work/') ? reply(422, { error: { message: 'No such step.' } }) : reply(200, { tins: [] }),
    );
    const work = { type: 'work_logged' as const, work: 'w', entries: [{ zone: 'top', op: 'clean' as const }] };
    const drawing = { type: 'tin_drawn' as const, tinId: 't', drawing: { work: 'w', ml: 50 } };
    store.dispatch(changeMade({ id: '1', pieceId: 'p', change: work }));
    store.dispatch(changeMade({ id: '2', pieceId: '', change: drawing }));
    await settle();
    expect(store.getState().outbox.pending).toEqual([]);
    expect(store.getState().outbox.parked.map(({ id }) => id)).toEqual(['1', '2']);
  });

  it('goes on with what does not depend on a change that the server fails on', async () => {
    jest.useFakeTimers();
    const sent: string[] = [];
    let failing = true;
    const store = openStore(async (path: string) => {
      if (failing && path.includes('/p/')) return reply(500, { error: { message: 'internal' } });
      sent.push(path);
      return reply(200, DESK);
    });
    store.dispatch(changeMade({ id: '1', pieceId: 'p', change: answer('dark_line') }));
    store.dispatch(changeMade({ id: '2', pieceId: 'p', change: { type: 'goal_set', goal: {} } }));
    store.dispatch(changeMade({ id: '3', pieceId: 'q', change: { type: 'goal_set', goal: {} } }));
    await settle();
    expect(sent).toEqual(['/api/pieces/q/goal']);
    expect(store.getState().outbox.pending.map(({ id }) => id)).toEqual(['1', '2']);
    failing = false;
    jest.advanceTimersByTime(40_000);
    await settle();
    expect(sent.slice(1)).toEqual(['/api/pieces/p/zones/top/observations/o-dark_line', '/api/pieces/p/goal']);
    jest.useRealTimers();
  });

  it('takes an answer that is not the server’s for none', async () => {
    jest.useFakeTimers();
    const store = openStore(
      async () => ({ ok: true, status: 200, json: () => Promise.reject(new Error('a page of a hotel')) }) as never,
    );
    store.dispatch(changeMade({ id: '1', pieceId: 'p', change: answer('dark_line') }));
    await settle();
    expect(store.getState().outbox).toMatchObject({ pending: [{ id: '1' }], awaySince: expect.any(String) });
    jest.useRealTimers();
  });

  it('shows the stored piece with the changes still on their way, of this piece only', () => {
    const pending = [
      { id: '1', pieceId: 'p', change: answer('dark_line') },
      { id: '2', pieceId: 'other', change: answer('raw_fuzzy') },
    ];
    const shown = overlay(DESK, pending, 'p');
    expect(shown?.zones?.[0]?.observations).toHaveLength(1);
    expect(overlay(undefined, [{ id: '3', pieceId: 'q', change: { type: 'piece_met', dossier: DESK } }], 'q')).toBe(
      DESK,
    );
  });

  it('sends what belongs to the shop to the shop, and shows it at once', async () => {
    const sent: [string, string][] = [];
    const air = { at: '2026-11-28T09:00:00.000Z', temperature_c: 16, humidity_pct: 58 };
    const stored = { setup: {}, air: [air], pins: [], practice: [] };
    const store = openStore((async (path: string, init: RequestInit) => {
      sent.push([init.method!, path]);
      return reply(200, stored);
    }) as (path: string) => Promise<Response>);
    store.dispatch(changeMade({ id: '1', pieceId: '', change: { type: 'air_recorded', air } }));
    store.dispatch(changeMade({ id: '2', pieceId: '', change: { type: 'task_unpinned', task: 'p/1-prime' } }));
    await settle();
    expect(sent).toEqual([
      ['PUT', '/api/workshop/air/2026-11-28T09%3A00%3A00.000Z'],
      ['DELETE', '/api/workshop/pins/p%2F1-prime'],
    ]);
    expect(piecesApi.endpoints.getWorkshop.select()(store.getState()).data).toEqual(stored);
    expect(store.getState().outbox.pending).toEqual([]);
  });

  it('leaves changes of the shop out of a piece', () => {
    const pending = [{ id: '1', pieceId: 'p', change: { type: 'task_unpinned' as const, task: 'p/1' } }];
    expect(overlay(DESK, pending, 'p')).toBe(DESK);
  });
});
