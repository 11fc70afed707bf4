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
  'sold.json': JSON.stringify({
    format: 'bricolage.dossier/1',
    piece: { kind: 'desk', history: { era: 'since_2000' } },
    zones: [
      { id: 'top', role: 'top', area_m2: 0.6, stated: { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' } },
    ],
    money: {
      currency: 'EUR',
      hour_rate: 15,
      target: { profit: 20 },
      sale: { low: 250, likely: 320, high: 360 },
      bought: { amount: 40, at: '2026-03-01' },
      extras: [{ what: 'fetching', amount: 10 }],
      consumables: 6,
      hardware: 24,
      fees_pct: 6,
      fees_fixed: 0.3,
      sold: { amount: 320, at: '2026-04-11', transport: 15 },
      corrections: { materials: 38.5, hours: 9.5 },
    },
  }),
  'mix.json': JSON.stringify({
    format: 'bricolage.mix-request/1',
    tins: [
      { id: 'white', colour: '#F4F1E8', class: 'wb_alkyd_enamel' },
      { id: 'blue', colour: '#27508A', class: 'oil_enamel' },
    ],
    target: '#8FA4C0',
    volume_ml: 400,
    measure: 'teaspoon',
  }),
  ...Object.fromEntries(
    (
      [
        ['desk.json', {}],
        ['evenings.json', { due: '2026-05-06', hours: [{ day: 'tue', from: '19:00', to: '21:00' }] }],
        ['backwards.json', { hours: [{ day: 'tue', from: '21:00', to: '19:00' }] }],
      ] as const
    ).map(([name, goal]) => [
      name,
      JSON.stringify({
        format: 'bricolage.dossier/1',
        piece: { kind: 'desk', history: { era: 'since_2000' } },
        zones: [
          { id: 'top', role: 'top', area_m2: 0.6, stated: { substrate: 'melamine_board', finish: 'factory_film' } },
        ],
        goal: { colour: '#1E2A30', ...goal },
      }),
    ]),
  ),
  'bled.json': JSON.stringify({
    format: 'bricolage.dossier/1',
    piece: { kind: 'chest', history: { era: 'since_2000' } },
    zones: [{ id: 'top', role: 'top', stated: { substrate: 'tannin_rich_wood', finish: 'varnish_oil' } }],
    log: [{ zone: 'top', op: 'paint', class: 'wb_alkyd_enamel', at: '2026-04-20T09:00:00Z' }],
    troubles: [{ id: 'x1', zone: 'top', symptom: 'bleed', seen_at: '2026-05-01', clues: { colour: 'pink' } }],
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

  it('tells by when a piece is ready, through the hours it names or with every hour free, and that it is too late', () => {
    const systemsOf = (file: string) => JSON.parse(call('plan', file).out[0]!).systems;
    const [free] = systemsOf('desk.json');
    expect(free).toMatchObject({ ready_by_is: 'every_hour', ready_by: expect.stringMatching(/^2026-05-0\d$/) });
    const [evenings] = systemsOf('evenings.json');
    expect(evenings.ready_by_is).toBe('own_hours');
    expect(evenings.ready_by > free.ready_by).toBe(true);
    expect(evenings.warnings).toContainEqual({
      rule: 'misses_due_date',
      text: expect.stringMatching(/^Ready by \w+ \d+ May: too late for Wednesday 6 May\.$/),
    });
    expect(call('plan', 'evenings.json', '--text').out[0]).toMatch(/ready by \w+ \d+ May in the hours you have/);
    expect(call('plan', 'desk.json', '--text').out[0]).toMatch(/ready by \w+ \d+ May with every hour free/);
    expect(call('plan', 'backwards.json')).toMatchObject({ code: 1, err: expect.stringContaining('goal.hours[0].to') });
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
    expect(call('audit', 'hasty.json', '--text').out[0]).toContain('Grave, top (entry 1 of the log): Only 1.5 h');
    expect(call('audit', 'good.json', '--text').out).toEqual(['Nothing speaks against the log.']);
    expect(call('audit', 'bad.json')).toMatchObject({ code: 1, err: expect.stringContaining('piece.kind') });
  });

  it('tells what made a trouble, what to look at, the ways out and what is none', () => {
    const { out } = call('audit', 'bled.json');
    const [trouble] = JSON.parse(out[0]!).troubles;
    expect(trouble).toMatchObject({ id: 'x1', zone: 'top', symptom: 'bleed' });
    const ps = trouble.causes.map(({ p }: { p: number }) => p);
    expect(ps).toEqual([...ps].sort((a, b) => b - a));
    expect(trouble.recoveries[0]).toMatchObject({
      labels: expect.arrayContaining(['recommended']),
      gates: [],
      blocked: [],
    });
    expect(trouble.recoveries[0].steps[0]).toMatchObject({ op: 'wait', wait_h: 48 });
    expect(trouble.recoveries.every(({ steps }: { steps: object[] }) => steps.length > 0)).toBe(true);
    expect(trouble.leaving.map(({ code }: { code: string }) => code)).toEqual(['live_with', 'as_it_is']);
    expect(trouble.rejected).toContainEqual(expect.objectContaining({ rule: 'does_not_clear_up' }));
    expect(call('audit', 'bled.json', '--text').out[0]).toContain('Colour comes through, top');
    expect(JSON.parse(call('audit', 'good.json').out[0]!).troubles).toEqual([]);
  });

  it.each([
    ['an unknown symptom', { symptom: 'melts' }, 'unknown_code', 'troubles[0].symptom'],
    ['a clue of another symptom', { clues: { flake_back: 'waxy' } }, 'unknown_clue', 'troubles[0].clues.flake_back'],
    ['an unknown answer', { clues: { colour: 'green' } }, 'unknown_code', 'troubles[0].clues.colour'],
    ['an age that is no number', { clues: { film_age_h: 'old' } }, 'wrong_type', 'troubles[0].clues.film_age_h'],
    ['an age below nothing', { clues: { film_age_h: -1 } }, 'out_of_range', 'troubles[0].clues.film_age_h'],
    ['a zone that is not there', { zone: 'lid' }, 'unknown_zone', 'troubles[0].zone'],
    ['a day still to come', { seen_at: '2027-05-03T09:00:00Z' }, 'in_future', 'troubles[0].seen_at'],
  ])('refuses a trouble with %s', (_what, change, code, path) => {
    const file = JSON.parse(FILES['bled.json']!);
    Object.assign(file.troubles[0], change);
    FILES['changed.json'] = JSON.stringify(file);
    const { out } = call('audit', 'changed.json', 'good.json');
    expect(JSON.parse(out[0]!).error).toMatchObject({ code, path });
  });

  it('finds a mix of tins in measures, with what speaks against it', () => {
    const { out, code } = call('mix', 'mix.json');
    const report = JSON.parse(out[0]!);
    expect([code, report.format]).toEqual([0, 'bricolage.mix/1']);
    const [best] = report.recipes;
    expect(best.parts.map(({ tin }: { tin: string }) => tin)).toEqual(['white', 'blue']);
    expect(best.parts[0].measures).toMatch(/^\d+( ½)? teaspoons$/);
    expect(best.warnings.map(({ code: own }: { code: string }) => own)).toContain('carriers_differ');
    expect(call('mix', 'mix.json', '--text').out[0]).toMatch(/teaspoons of white/);
    expect(call('mix', 'good.json')).toMatchObject({
      code: 1,
      err: expect.stringContaining('bricolage.mix-request/1'),
    });
    expect(call('diagnose', 'mix.json')).toMatchObject({ code: 1, err: expect.stringContaining('format') });
  });

  it('tells what a piece may cost at the door, and what it earned, the same for the same seed', () => {
    const { out } = call('price', 'sold.json', '--seed', '5');
    const report = JSON.parse(out[0]!);
    expect(report).toMatchObject({
      format: 'bricolage.price/1',
      currency: 'EUR',
      earned: { before_own_time: 167, per_hour: 17.58, after_own_time: 24.5, days: 41 },
    });
    expect(
      report.earned.lines.reduce((sum: number, { amount }: { amount: number }) => sum + Math.round(amount * 100), 0),
    ).toBe(16700);
    expect(report.door).toMatchObject({ seed: 5, draws: 2000 });
    expect(call('price', 'sold.json', '--seed', '5').out).toEqual(out);
    expect(call('price', 'sold.json', '--text').out[0]).toContain('Earned 167 EUR');
    expect(call('price', 'good.json')).toMatchObject({ code: 1, err: expect.stringContaining('money') });
    expect(call('price', 'sold.json', '--seed', 'soon')).toMatchObject({ code: 2 });
  });

  it.each([
    ['a negative amount', { hardware: -1 }, 'out_of_range', 'money.hardware'],
    ['finer than the currency has it', { currency: 'JPY', hardware: 1.5 }, 'too_fine', 'money.hardware'],
    ['a currency there is not', { currency: 'ZZZ' }, 'unknown_code', 'money.currency'],
    [
      'a likely price outside its range',
      { sale: { low: 10, likely: 5, high: 20 } },
      'out_of_range',
      'money.sale.likely',
    ],
    [
      'sold before it was bought',
      { bought: { amount: 1, at: '2026-05-01' }, sold: { amount: 9, at: '2026-04-01' } },
      'before',
      'money.sold.at',
    ],
  ])('refuses money with %s', (_what, change, code, path) => {
    const file = JSON.parse(FILES['sold.json']!);
    file.money = {
      ...file.money,
      consumables: undefined,
      fees_fixed: undefined,
      extras: undefined,
      corrections: undefined,
      ...change,
    };
    FILES['changed.json'] = JSON.stringify(file);
    const { out } = call('price', 'changed.json', 'good.json');
    expect(JSON.parse(out[0]!).error).toMatchObject({ code, path });
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
