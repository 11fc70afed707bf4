import { makePiece } from '../properties/shop-data';
import { serveEachTest } from './harness';

/* Work that is logged speaks of tins and parts that are there; what does not is refused with its field. */
const server = serveEachTest();

const entry = (more: object = {}) => ({ zone: 'top', op: 'prime', class: 'shellac_primer', coats: 1, ml: 80, ...more });
const log = (entries: object[], work = 'w-1') => server.call('PUT', `/api/pieces/rack/work/${work}`, { entries });
const read = async () => (await server.call('GET', '/api/pieces/rack')).body.log ?? [];

beforeEach(() => server.call('PUT', '/api/pieces/rack', makePiece('rack', ['top', 'legs'])));

describe('work that is logged', () => {
  it('names a tin of the shelf, or one that was there; with another nothing is stored', async () => {
    const refused = await log([entry({ zone: 'legs' }), entry({ product: 'nobody' })]);
    expect([refused.status, refused.body.error.code, refused.body.error.path]).toEqual([
      422,
      'unknown_tin',
      'entries[1].product',
    ]);
    expect(refused.body.error.message).toMatch(/Put it on the shelf first/);
    expect(await read()).toEqual([]);
    await server.call('PUT', '/api/shelf/tin', { class: 'shellac_primer' });
    expect((await log([entry({ product: 'tin' })])).status).toBe(200);
    await server.call('DELETE', '/api/shelf/tin');
    expect((await log([entry({ product: 'tin' })], 'w-2')).status).toBe(200);
    expect(await read()).toHaveLength(2);
  });

  it('names parts that the zone has', async () => {
    const refused = await log([entry({ parts: ['top.1', 'wing.9'] })]);
    expect([refused.status, refused.body.error.code, refused.body.error.path]).toEqual([
      422,
      'unknown_part',
      'entries[0].parts[1]',
    ]);
    expect((await log([entry({ parts: ['top.1'] })])).status).toBe(200);
  });
});
