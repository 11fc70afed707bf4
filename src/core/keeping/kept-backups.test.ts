import fc from 'fast-check';
import { listKept } from './kept-backups';

const on = (day: string, time = '09:00'): string => `${day}T${time}:00.000Z`;
const DAY_MS = 86_400_000;

describe('copies that are kept', () => {
  it('are the last seven days and four weeks, each by its latest', () => {
    // Sixty days, two copies a day; 28 November 2026 is a Saturday.
    const all = Array.from({ length: 60 }, (_, i) => {
      const day = new Date(Date.parse('2026-11-28T00:00:00Z') - i * DAY_MS).toISOString().slice(0, 10);
      return [on(day), on(day, '18:00')];
    }).flat();
    expect(listKept(all)).toEqual([
      on('2026-11-28', '18:00'),
      on('2026-11-27', '18:00'),
      on('2026-11-26', '18:00'),
      on('2026-11-25', '18:00'),
      on('2026-11-24', '18:00'),
      on('2026-11-23', '18:00'),
      on('2026-11-22', '18:00'),
      on('2026-11-15', '18:00'),
      on('2026-11-08', '18:00'),
    ]);
  });

  it('lose nothing to a shop that rests: what there is counts, not what the calendar says', () => {
    const rare = [on('2026-01-03'), on('2026-03-01'), on('2026-11-28')];
    expect(listKept(rare)).toEqual([...rare].reverse());
  });

  it('are the same when asked again, hold the newest, and are eleven at most', () => {
    const moment = fc
      .date({ min: new Date('2020-01-01'), max: new Date('2030-01-01'), noInvalidDate: true })
      .map((date) => date.toISOString());
    fc.assert(
      fc.property(fc.array(moment, { minLength: 1, maxLength: 80 }), (moments) => {
        const kept = listKept(moments);
        expect(kept[0]).toBe([...moments].sort().at(-1));
        expect(listKept(kept)).toEqual(kept);
        expect(kept.length).toBeLessThanOrEqual(11);
      }),
    );
  });
});
