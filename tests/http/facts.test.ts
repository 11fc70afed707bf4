import { serveEachTest } from './harness';

/* Changes field by field, over real HTTP: what two set apart stays, and nothing is set twice. */
const server = serveEachTest();

const desk = {
  format: 'bricolage.dossier/1',
  piece: { kind: 'desk', name: 'Desk' },
  zones: [
    { id: 'top', role: 'top', area_m2: 1, defects: [{ code: 'knot' }] },
    { id: 'side', role: 'side' },
  ],
  goal: { colour: '#ffffff', zones: { side: { look: 'leave' } } },
};
const set = (facts: unknown, headers = {}) => server.call('PATCH', '/api/pieces/p/facts', { facts }, headers);
const find = async () => (await server.call('GET', '/api/pieces/p')).body;
beforeEach(() => server.call('PUT', '/api/pieces/p', desk));

describe('facts of a piece', () => {
  it('are set and taken away one by one, and all else stays', async () => {
    await set([{ path: ['goal', 'sheen'], value: 'matt' }]);
    await set([{ path: ['zones', 'top', 'area_m2'], value: 1.5 }, { path: ['goal', 'zones', 'side', 'look'] }]);
    await set([{ path: ['zones', 'top', 'defects', 'knot', 'extent'], value: 'spot' }]);
    const answer = await set([
      { path: ['parts', 'd1'], value: { id: 'd1', zone: 'top', label: 'D1', place: 'left', state: 'off' } },
    ]);
    expect(answer.status).toBe(200);
    expect(await find()).toMatchObject({
      piece: { id: 'p', name: 'Desk' },
      goal: { colour: '#ffffff', sheen: 'matt' },
      zones: [{ id: 'top', area_m2: 1.5, defects: [{ code: 'knot', extent: 'spot' }] }, { id: 'side' }],
      parts: [{ id: 'd1', state: 'off' }],
    });
    expect((await find()).goal.zones).toBeUndefined();
  });

  it('refuse a second colour that says not where it lies, or whose bands lie on each other, and keep nothing of it', async () => {
    const piece = {
      format: 'bricolage.dossier/1',
      piece: { id: 'two-tone', kind: 'dresser' },
      zones: [{ id: 'top', role: 'top' }],
      goal: { colour: '#F3EFE6' },
    };
    await server.call('PUT', '/api/pieces/two-tone', piece);
    const put = (second: object) =>
      server.call('PUT', '/api/pieces/two-tone/goal', {
        colour: '#F3EFE6',
        zones: { top: { second: { colour: '#2B3A42', ...second } } },
      });
    const missing = await put({ lies: 'level' });
    expect([missing.status, missing.body.error]).toMatchObject([422, { path: 'zones.top.second.bands' }]);
    const bands = [
      { at_mm: 0, width_mm: 100 },
      { at_mm: 60, width_mm: 20 },
    ];
    const overlap = await put({ lies: 'level', bands });
    expect(overlap.body.error).toMatchObject({ code: 'bands_overlap', path: 'zones.top.second.bands[1].at_mm' });
    expect(overlap.body.error.message).toContain('100 mm');
    expect((await put({ lies: 'panel', margin_mm: 2 })).status).toBe(422);
    expect((await put({ lies: 'far_side', colour: 'blue' })).status).toBe(422);
    const kept = await server.call('GET', '/api/pieces/two-tone');
    expect(kept.body.goal).toEqual({ colour: '#F3EFE6' });
    expect((await put({ lies: 'far_side' })).status).toBe(200);
  });

  it('are those of money, too, one by one', async () => {
    await set([{ path: ['money', 'sale'], value: { low: 100, likely: 150, high: 180 } }]);
    await set([{ path: ['money', 'bought', 'amount'], value: 40 }]);
    expect((await find()).money).toEqual({ sale: { low: 100, likely: 150, high: 180 }, bought: { amount: 40 } });
  });

  it.each([
    ['a value that no file may have', [{ path: ['goal', 'colour'], value: 'blue' }], 422, 'bad_pattern', 'goal.colour'],
    ['a needed field taken away', [{ path: ['zones', 'top', 'role'] }], 422, 'missing_field', 'zones.top.role'],
    ['the id of a zone', [{ path: ['zones', 'top', 'id'], value: 'x' }], 422, 'fact_unknown', 'zones.top.id'],
    [
      'readings, which have a door of their own',
      [{ path: ['zones', 'top', 'observations'], value: [] }],
      422,
      'fact_unknown',
      'zones.top.observations',
    ],
    [
      'money finer than its currency',
      [{ path: ['money', 'hardware'], value: 1.005 }],
      422,
      'too_fine',
      'money.hardware',
    ],
    ['a whole zone', [{ path: ['zones', 'top'] }], 422, 'fact_unknown', 'zones.top'],
    ['tests', [{ path: ['tests', 't1'], value: {} }], 422, 'fact_unknown', 'tests.t1'],
    [
      'a zone that is not there',
      [{ path: ['zones', 'lid', 'name'], value: 'x' }],
      404,
      'zone_not_found',
      'zones.lid.name',
    ],
    ['an item that is gone', [{ path: ['parts', 'd9', 'state'], value: 'off' }], 409, 'fact_gone', 'parts.d9.state'],
    [
      'a name that is not the item’s own',
      [{ path: ['hardware', 'top'], value: { zone: 'side', old: { holes: 1 }, next: { holes: 1 } } }],
      422,
      'fact_unknown',
      'hardware.top',
    ],
    [
      'a part of a zone that is not there',
      [{ path: ['parts', 'd1'], value: { id: 'd1', zone: 'lid', label: 'D1', place: 'l', state: 'on' } }],
      404,
      'zone_not_found',
      'zone',
    ],
    ['a zone like itself', [{ path: ['zones', 'top', 'like'], value: 'top' }], 422, 'unknown_zone', 'like'],
    [
      'a moment next year',
      [
        {
          path: ['parts', 'd1'],
          value: { id: 'd1', zone: 'top', label: 'D', place: 'l', state: 'on', at: '2028-01-01T00:00:00Z' },
        },
      ],
      422,
      'in_future',
      'facts[0].value.at',
    ],
    ['no facts', [], 422, 'out_of_range', 'facts'],
    [
      'a path of words of the language',
      [{ path: ['goal', '__proto__', 'x'], value: 1 }],
      422,
      'wrong_type',
      'facts[0].path[1]',
    ],
  ])('refuse %s, and set none of what came along', async (_what, facts, status, code, path) => {
    const before = await find();
    const answer = await set(
      [{ path: ['piece', 'name'], value: 'Other' }, ...facts].slice(facts.length === 0 ? 1 : 0).reverse(),
    );
    expect({ status: answer.status, error: answer.body.error }).toMatchObject({ status, error: { code, path } });
    expect(await find()).toEqual(before);
  });
});

describe('facts of tins and of the workshop', () => {
  it('are set apart, and a level that is measured anew counts from there', async () => {
    await server.call('PUT', '/api/shelf/t1', { class: 'shellac_primer', volume_ml: 500 });
    await server.call('PUT', '/api/shelf/t1/drawings/w1', { ml: 80 });
    await server.call('PATCH', '/api/shelf/t1', { facts: [{ path: ['name'], value: 'The blue lid' }] });
    const priced = await server.call('PATCH', '/api/shelf/t1', { facts: [{ path: ['price'], value: 12 }] });
    expect(priced.body.tins[0]).toMatchObject({ name: 'The blue lid', price: 12, volume_ml: 500, drawn: [{ ml: 80 }] });
    const measured = await server.call('PATCH', '/api/shelf/t1', { facts: [{ path: ['volume_ml'], value: 400 }] });
    expect(measured.body.tins[0].drawn).toBeUndefined();
    const gone = await server.call('PATCH', '/api/shelf/t2', { facts: [{ path: ['name'], value: 'x' }] });
    expect([gone.status, gone.body.error.code]).toEqual([404, 'tin_not_found']);
    const wrong = await server.call('PATCH', '/api/shelf/t1', { facts: [{ path: ['class'], value: 'magic' }] });
    expect([wrong.status, wrong.body.error.path]).toEqual([422, 'class']);
    const drawn = await server.call('PATCH', '/api/shelf/t1', { facts: [{ path: ['drawn'], value: [] }] });
    expect(drawn.body.error.code).toBe('fact_unknown');
  });

  it('hours of two days set by two hands both stand', async () => {
    const patch = (facts: unknown) => server.call('PATCH', '/api/workshop/setup', { facts });
    await server.call('PUT', '/api/workshop/setup', { hours: [{ day: 1, from: '09:00', to: '10:00' }] });
    await patch([{ path: ['hours', '1', 'to'], value: '12:00' }]);
    await patch([{ path: ['hours', '6'], value: { day: 6, from: '08:00', to: '11:00' } }]);
    const answer = await patch([{ path: ['places'], value: { large: 2, small: 4 } }]);
    expect(answer.body.setup).toEqual({
      hours: [
        { day: 1, from: '09:00', to: '12:00' },
        { day: 6, from: '08:00', to: '11:00' },
      ],
      places: { large: 2, small: 4 },
    });
    const backward = await patch([{ path: ['hours', '6', 'to'], value: '07:00' }]);
    expect([backward.status, backward.body.error.path]).toEqual([422, 'hours[1].to']);
  });
});

describe('a change that comes twice', () => {
  it('is made once, also where another was made since, and is answered with what is now', async () => {
    const first = { 'x-bricolage-change': 'c-1', 'x-bricolage-made': '2026-11-30T22:00:00Z' };
    await set([{ path: ['goal', 'sheen'], value: 'matt' }], first);
    await set([{ path: ['goal', 'sheen'], value: 'gloss' }], { 'x-bricolage-change': 'c-2' });
    const late = await set([{ path: ['goal', 'sheen'], value: 'matt' }], first);
    expect(late).toMatchObject({ status: 200, body: { goal: { sheen: 'gloss' } } });
    expect((await find()).goal.sheen).toBe('gloss');
    // Taken off the shelf, a tin does not come back by a doubled request.
    const tin = { 'x-bricolage-change': 'c-3' };
    await server.call('PUT', '/api/shelf/t1', { class: 'wax' }, tin);
    await server.call('DELETE', '/api/shelf/t1');
    expect((await server.call('PUT', '/api/shelf/t1', { class: 'wax' }, tin)).body).toEqual({ tins: [] });
  });

  it('is tried again where it was refused the first time', async () => {
    const own = { 'x-bricolage-change': 'c-1' };
    const lid = [{ path: ['zones', 'lid', 'name'], value: 'Lid' }];
    expect((await set(lid, own)).status).toBe(404);
    await server.call('PUT', '/api/pieces/p/zones/lid', { role: 'top' });
    expect((await set(lid, own)).status).toBe(200);
  });

  it('every answer tells the server’s own time', async () => {
    const { headers } = await server.call('GET', '/api/shelf');
    expect(headers.get('x-bricolage-now')).toMatch(/^2026-12-01T00:00:\d\d\.\d{3}Z$/);
  });
});
