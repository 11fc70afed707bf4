import { PROBLEM_CODES } from '@/core/shared';
import { explainProblem } from './problems';

describe('problems in words', () => {
  it.each(PROBLEM_CODES)('%s has a text of its own, with its place', (code) => {
    const text = explainProblem({
      code,
      path: 'zones[1].role',
      params: {
        allowed: ['top'],
        max: 3,
        expected: 'number',
        found: 'x',
        pattern: 'a date',
        id: 'x',
        from: 80,
        zone: 'x',
        kind: 'nail',
      },
    });
    expect(text.startsWith('zones[1].role: ')).toBe(true);
    expect(text.length).toBeGreaterThan('zones[1].role: '.length + 10);
    expect(text).not.toContain('undefined');
  });
});
