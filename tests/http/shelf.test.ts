import { DOSSIER_FORMAT, type Dossier } from '@/core/dossier';
import { toRequest, toShelfRequest } from '@/contract';
import { serveEachTest } from './harness';

const TIN = { id: 'tin-1', class: 'wb_alkyd_enamel', volume_ml: 500, size_ml: 750, recoat_h: 6, lid: 'dented' };

const server = serveEachTest();
const send = ({ method, path, body }: ReturnType<typeof toShelfRequest>) => server.call(method, path, body);

describe('the shelf', () => {
  it('keeps a tin with all its fields, changes it under its id, and takes it off', async () => {
    const added = await send(toShelfRequest({ type: 'tin_set', tin: TIN }));
    expect(added).toMatchObject({ status: 200, body: { tins: [TIN] } });
    const again = await send(toShelfRequest({ type: 'tin_set', tin: { ...TIN, volume_ml: 120 } }));
    expect(again.body.tins).toEqual([{ ...TIN, volume_ml: 120 }]);
    expect((await server.call('GET', '/api/shelf')).body).toEqual(again.body);
    expect((await send(toShelfRequest({ type: 'tin_removed', tinId: TIN.id }))).body).toEqual({ tins: [] });
    expect((await send(toShelfRequest({ type: 'tin_removed', tinId: TIN.id }))).status).toBe(200);
  });

  it.each([
    ['an unknown class', { class: 'magic_paint' }, 'class'],
    ['a negative volume', { class: 'wax', volume_ml: -1 }, 'volume_ml'],
    ['a day that is none', { class: 'wax', opened_on: '2026-02-31' }, 'opened_on'],
    ['no class', { volume_ml: 100 }, 'class'],
  ])('refuses %s, naming the field, and keeps nothing', async (_what, body, path) => {
    const answer = await server.call('PUT', '/api/shelf/tin-2', body);
    expect(answer.status).toBe(422);
    expect(answer.body.error.path).toBe(path);
    expect(answer.body.error.message.length).toBeGreaterThan(10);
    expect((await server.call('GET', '/api/shelf')).body).toEqual({ tins: [] });
  });

  it('goes with a piece that is exported', async () => {
    await send(toShelfRequest({ type: 'tin_set', tin: TIN }));
    const dossier: Dossier = { format: DOSSIER_FORMAT, piece: { id: 'p', kind: 'desk' }, zones: [] };
    const met = toRequest('p', { type: 'piece_met', dossier });
    await server.call(met.method, met.path, met.body);
    expect((await server.call('GET', '/api/pieces/p/dossier')).body.shelf).toEqual([TIN]);
    expect((await server.call('GET', '/api/pieces/p')).body.shelf).toBeUndefined();
  });
});

describe('a system taken after another', () => {
  it('leaves the one before in the records, as it was', async () => {
    const dossier: Dossier = {
      format: DOSSIER_FORMAT,
      piece: { id: 'p', kind: 'desk' },
      zones: [{ id: 'a', role: 'top' }],
    };
    const choice = (at: string, primer: 'shellac_primer' | 'bonding_primer_wb') => ({
      at,
      zones: [{ id: 'a', treatment: { prep: 'scuff_150' as const, primer, coats: 1 } }],
    });
    const [first, second] = [
      choice('2026-05-01T10:00:00Z', 'shellac_primer'),
      choice('2026-05-02T10:00:00Z', 'bonding_primer_wb'),
    ];
    for (const change of [
      { type: 'piece_met' as const, dossier },
      { type: 'choice_taken' as const, choice: first },
      { type: 'choice_taken' as const, choice: second },
      { type: 'choice_taken' as const, choice: second },
    ]) {
      const { method, path, body } = toRequest('p', change);
      expect((await server.call(method, path, body)).status).toBe(200);
    }
    expect((await server.call('GET', '/api/pieces/p')).body).toMatchObject({
      chosen: second,
      earlier_choices: [first],
    });
  });
});
