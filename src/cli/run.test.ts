import { runCommand } from './run';

const GOOD = JSON.stringify({
  format: 'bricolage.dossier/1',
  piece: { kind: 'desk', history: { era: 'since_2000' } },
  zones: [{ id: 'top', role: 'top', area_m2: 1, observations: [{ check: 'edge_line', result: 'dark_line' }] }],
  tests: [
    {
      id: 't1',
      zone: 'top',
      kind: 'cross_cut',
      treatment: { prep: 'scuff_150', primer: 'bonding_primer_wb', coats: 1 },
      age_h: 24,
      reading: { astm: '3B' },
    },
  ],
});
const FILES: Record<string, string> = {
  'good.json': GOOD,
  '-': GOOD,
  'bad.json': '{ "format": "bricolage.dossier/1", "piece": { "kind": "boat" } }',
  'broken.json': '{',
  'hasty.json': JSON.stringify({
    ...(JSON.parse(GOOD) as object),
    log: ['2026-05-02T09:00:00Z', '2026-05-02T10:30:00Z'].map((at) => ({
      zone: 'top',
      op: 'paint',
      class: 'wb_alkyd_enamel',
      at,
    })),
  }),
};

function call(...args: string[]) {
  const out: string[] = [];
  const err: string[] = [];
  const code = runCommand(args, {
    readFile: (path) => {
      if (!(path in FILES)) throw new Error('no such file');
      return FILES[path]!;
    },
    out: (text) => out.push(text),
    err: (text) => err.push(text),
    now: () => '2026-05-03T09:00:00Z',
  });
  return { code, out, err: err.join('\n') };
}

describe('the command line', () => {
  it.each([
    ['diagnose', 'bricolage.diagnosis/1'],
    ['plan', 'bricolage.plan/1'],
    ['proof', 'bricolage.proof/1'],
    ['audit', 'bricolage.audit/1'],
  ])('%s prints %s', (command, format) => {
    const { code, out } = call(command, 'good.json');
    expect(code).toBe(0);
    expect(JSON.parse(out[0]!)).toMatchObject({ format });
  });

  it('reads standard input', () => expect(call('validate', '-')).toMatchObject({ code: 0 }));

  it('puts a class on both scales', () => {
    const { tests } = JSON.parse(call('proof', 'good.json').out[0]!);
    expect(tests[0]).toMatchObject({
      id: 't1',
      severity: 2,
      iso_class: 2,
      astm: '3B',
      verdict: 'fail',
      counts_from_h: 12,
    });
  });

  it('tells what the log has against it, with its numbers and in words', () => {
    const { out } = call('audit', 'hasty.json');
    const { findings } = JSON.parse(out[0]!);
    expect(findings.map(({ code }: { code: string }) => code)).toEqual(['gate_not_asked', 'recoat_too_soon']);
    expect(findings[1]).toEqual({
      code: 'recoat_too_soon',
      zone: 'top',
      entry: 1,
      severity: 'major',
      was: 1.5,
      asked: 16,
      unit: 'h',
      why: 'Only 1.5 h after cabinet enamel, which wants 16 h.',
    });
    expect(call('audit', 'hasty.json', '--text').out[0]).toContain('major top (entry 1): Only 1.5 h');
    expect(call('audit', 'good.json', '--text').out).toEqual(['nothing speaks against the log']);
    expect(call('audit', 'bad.json')).toMatchObject({ code: 1, err: expect.stringContaining('piece.kind') });
  });

  it('says what is wrong, where, and the cure', () => {
    const { code, out, err } = call('diagnose', 'bad.json');
    expect(code).toBe(1);
    expect(out).toEqual([]);
    expect(err).toContain('piece.kind');
    expect(err).toContain('dresser');
  });

  it('gives a line a file, with the bad ones in their places, and fails at the end', () => {
    const { code, out } = call('plan', 'good.json', 'bad.json', 'broken.json', 'missing.json', 'good.json');
    expect(code).toBe(1);
    expect(out).toHaveLength(5);
    const lines = out.map((line) => JSON.parse(line));
    expect(lines[0].format).toBe('bricolage.plan/1');
    expect(lines[1]).toMatchObject({ file: 'bad.json', error: { code: 'unknown_code', path: 'piece.kind' } });
    expect(lines[2].error.code).toBe('not_json');
    expect(lines[3].error.code).toBe('not_readable');
    expect(lines[4].format).toBe('bricolage.plan/1');
  });

  it.each([[[]], [['fly']], [['diagnose']], [['diagnose', 'good.json', '--colour']], [['toString', 'good.json']]])(
    '%j is a usage error',
    (args) => {
      const { code, err } = call(...args);
      expect(code).toBe(2);
      expect(err).toContain('usage:');
    },
  );

  it.each(['diagnose', 'plan', 'proof', 'validate'])('%s speaks in words with --text', (command) => {
    const { code, out } = call(command, 'good.json', '--text');
    expect(code).toBe(0);
    expect(out[0]).not.toContain('{');
  });
});
