import { rankTins } from './match';

const TINS = [
  { id: 'sage', colour: '#9DB0A5' },
  { id: 'ink', colour: '#2B3A42' },
  { id: 'white', colour: '#F3EFE6' },
];

describe('tins beside a colour', () => {
  it('stand by how near they come, with the way to go', () => {
    const [first, ...others] = rankTins('#AFC0B6', TINS);
    expect(first).toMatchObject({ tin: 'sage', withinError: false });
    expect(first!.ways[0]).toBe('lighter');
    expect(others.map(({ tin }) => tin)).toEqual(['white', 'ink']);
  });

  it('may be the same where a picture cannot tell, and are not told apart where nobody can', () => {
    expect(rankTins('#9DB0A5', TINS)[0]).toEqual({ tin: 'sage', de: 0, ways: [], withinError: true });
    expect(rankTins('#9AAEA4', TINS)[0]!.withinError).toBe(true);
    expect(rankTins('#9AAEA4', TINS, 0.1)[0]!.withinError).toBe(false);
  });
});
