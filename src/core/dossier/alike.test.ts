import { resolveAlike } from './alike';
import type { Zone } from './schema';

const left: Zone = {
  id: 'left',
  role: 'door',
  observations: [
    { id: 'a', check: 'edge_line', result: 'dark_line' },
    { id: 'b', check: 'lead_test', result: 'negative' },
  ],
  stated: { finish: 'factory_film' },
};
const right: Zone = {
  id: 'right',
  role: 'door',
  like: 'left',
  observations: [{ id: 'c', check: 'pores', result: 'open_felt' }],
};
const read = (zone: Zone, leader: Zone = left) => resolveAlike({ zones: [leader, zone] }, zone);
const checks = (zone: Zone): string[] => zone.observations!.map(({ check }) => check);

describe('a zone that is like another', () => {
  it('is read with the answers of the other beside its own', () => {
    expect(checks(read(right))).toEqual(['edge_line', 'lead_test', 'pores']);
    expect(read(right).stated).toEqual({ finish: 'factory_film' });
  });

  it('keeps its own answer to the same check: that is the exception', () => {
    const own: Zone = { ...right, observations: [{ check: 'edge_line', result: 'raw_fuzzy' }] };
    expect(read(own).observations).toContainEqual({ check: 'edge_line', result: 'raw_fuzzy' });
    expect(checks(read(own)).filter((check) => check === 'edge_line')).toHaveLength(1);
  });

  it('shares the lead test of one coat of paint, cleared by it or stopped', () => {
    expect(read(right).observations).toContainEqual({ id: 'b', check: 'lead_test', result: 'negative' });
    const alone: Zone = { id: 'right', role: 'door', observations: [] };
    expect(checks(read(alone))).not.toContain('lead_test');
    const positive: Zone = { ...left, observations: [{ check: 'lead_test', result: 'positive' }] };
    expect(checks(read(right, positive))).toContain('lead_test');
  });

  it('is stopped by a positive test elsewhere even where its own was negative', () => {
    const positive: Zone = { ...left, observations: [{ check: 'lead_test', result: 'positive' }] };
    const own: Zone = { ...right, observations: [{ check: 'lead_test', result: 'negative' }] };
    expect(read(own, positive).observations).toContainEqual({ check: 'lead_test', result: 'positive' });
  });

  it('stands alone when the other is gone or is itself', () => {
    expect(resolveAlike({ zones: [right] }, right)).toBe(right);
    expect(read({ ...right, like: 'right' })).toMatchObject({ like: 'right' });
  });
});
