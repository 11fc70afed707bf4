import { DOSSIER_FORMAT, type Dossier } from '@/core/dossier';
import { changeMade, makeStore, type AppStore } from './index';
import { serverTimeHeard } from './clock';
import type { PendingChange } from './outbox';
import { piecesApi } from './pieces-api';
import { tapForgotten } from './undo';

const DESK: Dossier = { format: DOSSIER_FORMAT, piece: { kind: 'desk', id: 'p' }, zones: [{ id: 'top', role: 'top' }] };
const settle = async (): Promise<void> => {
  for (let i = 0; i < 80; i += 1) await Promise.resolve();
};
const stores: AppStore[] = [];
// What is on its way is let arrive first: cached answers are kept for a minute by a timer.
afterEach(async () => {
  await settle();
  stores.splice(0).forEach((store) => store.dispatch(piecesApi.util.resetApiState()));
});

async function openStore(status = 200) {
  const sent: string[] = [];
  const fetcher = async (path: string, { method }: { method: string }): Promise<Response> => {
    sent.push(`${method} ${path}`);
    return { ok: status < 400, status, json: async () => ({ ...DESK, tins: [] }) } as unknown as Response;
  };
  const store = makeStore(fetcher as unknown as typeof fetch);
  stores.push(store);
  // The first screen was answered.
  store.dispatch(serverTimeHeard(0));
  await store.dispatch(piecesApi.util.upsertQueryData('getPiece', 'p', DESK));
  await store.dispatch(piecesApi.util.upsertQueryData('listTins', undefined, []));
  const make = (pieceId: string, change: PendingChange['change'], undoes?: true): void =>
    void store.dispatch(
      changeMade({ id: `${sent.length}-${change.type}`, pieceId, change, ...(undoes ? { undoes } : {}) }),
    );
  return { store, sent, make };
}

describe('undo', () => {
  it('is the inverse of all that one tap did, the last first', async () => {
    const { store, make } = await openStore();
    make('p', { type: 'work_logged', work: 'w', entries: [{ zone: 'top', op: 'paint', coats: 1 }] });
    make('', { type: 'tin_drawn', tinId: 't', drawing: { work: 'w', ml: 100 } });
    expect(store.getState().undo.last?.inverse).toEqual([
      { pieceId: '', change: { type: 'tin_given_back', tinId: 't', work: 'w' } },
      { pieceId: 'p', change: { type: 'work_withdrawn', work: 'w' } },
    ]);
    await settle();
    make('p', { type: 'skips_set', zoneId: 'top', checks: ['edge_line'] });
    expect(store.getState().undo.last?.inverse).toEqual([
      {
        pieceId: 'p',
        change: { type: 'facts_changed', facts: [{ path: ['zones', 'top', 'skipped_checks', 'edge_line'] }] },
      },
    ]);
  });

  it('is asked of what the owner sees, changes on their way among it', async () => {
    // A lost server is tried again by a timer.
    jest.useFakeTimers({ doNotFake: ['queueMicrotask'] });
    const { store, make } = await openStore(500);
    make('p', { type: 'defects_set', zoneId: 'top', defects: [{ code: 'knot' }] });
    await settle();
    make('p', { type: 'defects_set', zoneId: 'top', defects: [] });
    expect(store.getState().undo.last?.inverse).toEqual([
      {
        pieceId: 'p',
        change: {
          type: 'facts_changed',
          facts: [{ path: ['zones', 'top', 'defects', 'knot'], value: { code: 'knot' } }],
        },
      },
    ]);
    store.dispatch(tapForgotten());
    expect(store.getState().undo.last).toBeNull();
    await settle();
    jest.useRealTimers();
  });

  it('cannot take back what stands as it was said, and is no tap of its own', async () => {
    const { store, make } = await openStore();
    make('p', { type: 'gate_overridden', override: { id: 'g', zone: 'top', gate: 'bleed', reason: 'dark paint' } });
    expect(store.getState().undo.last?.inverse).toBeNull();
    const before = store.getState().undo.last;
    make('p', { type: 'skips_set', zoneId: 'top', checks: [] }, true);
    expect(store.getState().undo.last).toBe(before);
  });

  it('forgets what the server refused', async () => {
    const { store, sent, make } = await openStore(422);
    make('p', { type: 'goal_set', goal: { grain: 'hide' } });
    await settle();
    expect(sent).toEqual(['PATCH /api/pieces/p/facts']);
    expect(store.getState().undo.last).toBeNull();
  });
});
