import { toRequest } from './api';

describe('the request of a change', () => {
  it('addresses a record by the ids the client made', () => {
    const observation = { id: 'o-1', check: 'edge_line', result: 'dark_line' };
    expect(toRequest('p', { type: 'observation_recorded', zoneId: 'top', observation })).toEqual({
      method: 'PUT',
      path: '/api/pieces/p/zones/top/observations/o-1',
      body: observation,
    });
  });

  it('withdraws without a body', () => {
    expect(toRequest('p', { type: 'test_withdrawn', testId: 't' })).toEqual({
      method: 'DELETE',
      path: '/api/pieces/p/tests/t',
    });
  });
});
