import { listRuns } from './index';

const item = (piece: string, task: string) => ({ piece, task }) as Parameters<typeof listRuns>[0][number];

describe('what is done without turning to another piece', () => {
  it('is one run, in the order it is done; a piece that is come back to begins another', () => {
    const items = [item('a', '1'), item('a', '2'), item('b', '3'), item('a', '4')];
    expect(listRuns(items).map((run) => run.map(({ task }) => task))).toEqual([['1', '2'], ['3'], ['4']]);
    expect(listRuns([])).toEqual([]);
  });
});
