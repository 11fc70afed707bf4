import { keepWhile } from './keep-while';

describe('what is made of judgements', () => {
  it('is made once of the same, and anew when one is another, comes or goes', () => {
    let made = 0;
    const tell = keepWhile((parts: readonly object[]) => `${parts.length}, ${(made += 1)}`);
    const [a, b] = [{}, {}];
    expect([tell([a, b]), tell([a, b]), tell([a]), tell([b])]).toEqual(['2, 1', '2, 1', '1, 2', '1, 3']);
  });
});
