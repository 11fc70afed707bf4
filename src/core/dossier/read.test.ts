import { CHECKS } from '../knowledge';
import { parseDossier, readDossier } from './read';

const good = {
  format: 'bricolage.dossier/1',
  piece: { kind: 'desk', id: 'p-1', name: 'Desk' },
  zones: [
    {
      id: 'top',
      role: 'top',
      area_m2: 1.2,
      observations: [
        { check: 'edge_line', result: 'dark_line' },
        { check: 'moisture_meter', value: 11.5 },
      ],
    },
    { id: 'side', role: 'side' },
  ],
  tests: [{ zone: 'top', kind: 'cross_cut', reading: { iso_class: 1 } }],
};
type Change = (copy: any) => void; // eslint-disable-line @typescript-eslint/no-explicit-any
const broken = (change: Change) => {
  const copy = structuredClone(good);
  change(copy);
  const result = readDossier(copy);
  return result.ok ? null : result.problem;
};

describe('reading a dossier', () => {
  it('takes a good one whole, with defaults left out and unknown fields kept', () => {
    const result = readDossier({ ...good, later: { version: 2 }, piece: { ...good.piece, smell: 'none' } });
    expect(result).toMatchObject({ ok: true, value: { later: { version: 2 }, piece: { smell: 'none' } } });
  });

  it('takes the least there can be', () => {
    expect(readDossier({ format: 'bricolage.dossier/1', piece: { kind: 'other' } }).ok).toBe(true);
  });

  it.each<[string, Change, string, string]>([
    ['another version', (d) => (d.format = 'bricolage.dossier/9'), 'wrong_format', 'format'],
    ['an unknown kind', (d) => (d.piece.kind = 'boat'), 'unknown_code', 'piece.kind'],
    ['a missing kind', (d) => delete d.piece.kind, 'missing_field', 'piece.kind'],
    [
      'an unknown answer',
      (d) => (d.zones[0].observations[0].result = 'purple'),
      'unknown_code',
      'zones[0].observations[0].result',
    ],
    [
      'an unknown check',
      (d) => (d.zones[0].observations[0].check = 'lick'),
      'unknown_code',
      'zones[0].observations[0].check',
    ],
    [
      'a missing answer',
      (d) => delete d.zones[0].observations[0].result,
      'missing_field',
      'zones[0].observations[0].result',
    ],
    [
      'a reading off the meter',
      (d) => (d.zones[0].observations[1].value = 99),
      'out_of_range',
      'zones[0].observations[1].value',
    ],
    ['a negative area', (d) => (d.zones[1].area_m2 = -1), 'out_of_range', 'zones[1].area_m2'],
    ['an area as text', (d) => (d.zones[1].area_m2 = '1'), 'wrong_type', 'zones[1].area_m2'],
    ['an over-long name', (d) => (d.piece.name = 'x'.repeat(81)), 'too_long', 'piece.name'],
    ['an empty name', (d) => (d.piece.name = '  '), 'empty_text', 'piece.name'],
    ['a colour that is none', (d) => (d.goal = { colour: 'red' }), 'bad_pattern', 'goal.colour'],
    ['a zone twice', (d) => (d.zones[1].id = 'top'), 'duplicate_id', 'zones[1].id'],
    ['a test of no zone', (d) => (d.tests[0].zone = 'lid'), 'unknown_zone', 'tests[0].zone'],
    [
      'a class off the scale',
      (d) => (d.tests[0].reading = { iso_class: 6 }),
      'wrong_reading',
      'tests[0].reading.iso_class',
    ],
    ['a reading of another kind', (d) => (d.tests[0].reading = { score: 1 }), 'wrong_reading', 'tests[0].reading'],
    [
      'a date that is none',
      (d) => (d.zones[0].observations[0].at = 'yesterday'),
      'bad_pattern',
      'zones[0].observations[0].at',
    ],
    ['a list where a piece should be', (d) => (d.piece = []), 'wrong_type', 'piece'],
  ])('refuses %s', (_name, change, code, path) => {
    expect(broken(change)).toMatchObject({ code, path });
  });

  it('names what would be allowed', () => {
    expect(broken((d) => (d.zones[0].observations[0].result = 'purple'))?.params.allowed).toContain('dark_line');
  });

  it('refuses what is not JSON', () => {
    expect(parseDossier('{ "format": ')).toMatchObject({ ok: false, problem: { code: 'not_json' } });
  });

  it('refuses a bare list, text or null', () => {
    for (const value of [[], 'x', null, 4]) expect(readDossier(value)).toMatchObject({ ok: false });
  });

  it('takes a class as a number too, and refuses one off the scale at its place', () => {
    const zones = (value: number) => [{ id: 'z', role: 'top', observations: [{ check: 'cross_cut_old', value }] }];
    expect(readDossier({ ...good, zones: zones(2), tests: [] }).ok).toBe(true);
    expect(readDossier({ ...good, zones: zones(7), tests: [] })).toMatchObject({
      problem: { code: 'unknown_code', path: 'zones[0].observations[0].value' },
    });
  });

  it('takes every answer of every check', () => {
    for (const check of CHECKS) {
      for (const { code } of check.answers) {
        const zones = [{ id: 'z', role: 'top', observations: [{ check: check.code, result: code }] }];
        expect(readDossier({ ...good, zones, tests: [] }).ok).toBe(true);
      }
    }
  });
});
