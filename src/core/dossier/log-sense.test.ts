import { DOSSIER_FORMAT, type Dossier, type LogEntry } from './schema';
import { tryChange } from './change';

const piece: Dossier = {
  format: DOSSIER_FORMAT,
  piece: { kind: 'desk' },
  zones: [{ id: 'top', role: 'top' }],
  money: { bought: { amount: 20, at: '2026-03-01' } },
};
const entry = (more: Partial<LogEntry>): LogEntry => ({
  zone: 'top',
  op: 'prime',
  class: 'shellac_primer',
  at: '2026-03-05T09:00:00Z',
  ...more,
});
const log = (more: Partial<LogEntry>) =>
  tryChange(piece, { type: 'work_logged', work: 'w', entries: [entry({}), entry(more)] });

describe('what is logged', () => {
  it.each([
    ['begun after it ended', { started_at: '2026-03-05T10:00:00Z' }, 'contradicts_itself', 'entries[1].started_at'],
    ['left out, and yet it took paint', { skipped: true, ml: 20 }, 'contradicts_itself', 'entries[1].ml'],
    ['in the place of two jobs', { task: 'a', instead_of: 'b' }, 'contradicts_itself', 'entries[1].instead_of'],
    ['before the piece was bought', { at: '2026-02-20T09:00:00Z' }, 'before_bought', 'entries[1].at'],
  ])('is refused where it was %s, with the field', (_name, more, code, path) =>
    expect(log(more)).toMatchObject({ ok: false, problem: { code, path } }),
  );

  it('is taken where it can be so, yesterday evening too', () => {
    for (const more of [{}, { at: '2026-03-04T19:00:00Z' }, { skipped: true }, { instead_of: 'x', coats: 2 }])
      expect(log(more).ok).toBe(true);
  });
});
