import { latestOf } from './moments';

describe('the latest moment', () => {
  it('goes by the instant and not by the letters it is written with', () => {
    expect(latestOf(['2026-11-26T10:00:00Z', '2026-11-26T09:30:00-02:00', '2026-11-26T11:00:00+02:00'])).toBe(
      '2026-11-26T09:30:00-02:00',
    );
  });

  it('is none of none', () => expect(latestOf([])).toBeUndefined());
});
