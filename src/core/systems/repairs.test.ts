import { DOSSIER_FORMAT, type Defect, type Dossier, type Zone } from '../dossier';
import {
  DEFECT_FACTS,
  DEFECTS,
  FAULT_ANSWERS,
  REPAIR_STEPS,
  type DefectCode,
  type FinishCode,
  type RepairStepCode,
  type SubstrateCode,
} from '../knowledge';
import { diagnoseZone } from '../survey';
import { freezeSystem } from './freeze';
import { readGround } from './take-up';
import { mergeJobs } from './jobs';
import { planPiece } from './plan';
import { noteFaults, listRepairPlans } from './repairs';
import { PHRASES, nameStep, sayFault, sayPlanBlock, sayWhy } from '@/words';

const EXTENTS = ['spot', 'area', 'all'] as const;

/** A ground that a defect can be on, as it would be stated. */
function fittingGround(code: DefectCode): { substrate: SubstrateCode; finish: FinishCode } {
  const on = DEFECT_FACTS[code].on;
  if (code === 'rust') return { substrate: 'metal_ferrous', finish: 'alkyd_paint' };
  if (on?.includes('thermofoil')) return { substrate: 'thermofoil', finish: 'factory_film' };
  if (on?.includes('mdf') && !on.includes('clear_softwood')) return { substrate: 'mdf', finish: 'bare' };
  if (on?.[0] === 'particleboard') return { substrate: 'particleboard', finish: 'bare' };
  if (on?.[0] === 'wood_veneer') return { substrate: 'wood_veneer', finish: 'nitro_lacquer' };
  if (code === 'open_grain') return { substrate: 'open_grain_hardwood', finish: 'oil' };
  const onCoat = ['flaking', 'alligatoring', 'chalking', 'thick_paint', 'brush_marks', 'runs'].includes(code);
  return { substrate: 'knotty_softwood', finish: onCoat ? 'alkyd_paint' : 'varnish_oil' };
}

const piece = (defects: Defect[], zone: Partial<Zone> = {}, more: Partial<Dossier> = {}): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind: 'chest', history: { era: 'since_2000' } },
  zones: [{ id: 'z', role: 'side', area_m2: 1, ...zone, defects }],
  goal: { grain: 'hide' },
  ...more,
});
const first = (dossier: Dossier) => {
  const { systems } = planPiece(dossier);
  expect(systems.length).toBeGreaterThan(0);
  return systems[0]!;
};
const stepsOf = (dossier: Dossier) => first(dossier).zones[0]!.steps;
const opsOf = (dossier: Dossier): string[] => stepsOf(dossier).map(({ op }) => op);

/** Every defect, with every answer to its question. */
const CASES = DEFECTS.flatMap((code) =>
  (FAULT_ANSWERS[code].question?.answers ?? [undefined]).map((answer) => [code, answer?.code] as const),
);

/** What sees to a fault that asks for no repair of its own. */
const BY_LAYERS: Partial<Record<DefectCode, readonly string[]>> = {
  knot: ['spot_seal', 'prime'],
  tannin_bleed: ['prime'],
  prior_bleed: ['prime'],
  water_ring: ['spot_seal', 'prime'],
  drink_stain: ['spot_seal', 'prime'],
  ink_stain: ['spot_seal', 'prime'],
  open_grain: ['grain_fill'],
  raw_mdf_edge: ['edge_seal'],
  flaking: ['strip'],
  alligatoring: ['strip'],
  thick_paint: ['strip'],
  bare_patches: ['spot_seal'],
};

describe('every fault is answered', () => {
  it.each(CASES)('%s (%s): by its own work at every extent, or declined in words', (code, detail) => {
    for (const extent of EXTENTS) {
      const defect: Defect = { code, extent, count: 2, ...(detail ? { detail } : {}) };
      const dossier = piece([defect], { stated: fittingGround(code) });
      const system = first(dossier);
      const [zone] = system.zones;
      const note = zone!.faults.find((own) => own.code === code)!;
      expect(sayFault(note).left).toMatch(/\.$/);
      if (note.state === 'declined') {
        expect(sayFault(note).text.length).toBeGreaterThan(20);
        continue;
      }
      const own = zone!.steps.filter((step) => step.repair !== undefined);
      if (note.state === 'repaired' && own.length > 0) {
        for (const step of own) {
          expect(step.minutes).toBeGreaterThan(0);
          expect(sayWhy(step.why)).toContain('Left: ');
          expect(REPAIR_STEPS[step.repair!].facts.length).toBeGreaterThan(0);
        }
        // What is logged knows which repair it was.
        const frozen = freezeSystem(system, '2026-01-01T00:00:00Z', PHRASES).zones[0]!.steps!;
        expect(frozen.filter(({ repair }) => repair !== undefined)).toHaveLength(own.length);
      } else if (note.state === 'by_layers' || own.length === 0) {
        if (note.state === 'left') continue;
        expect(zone!.steps.some(({ op }) => BY_LAYERS[code]!.includes(op))).toBe(true);
      }
    }
  });

  it('costs the more the more of it there is', () => {
    for (const [code, detail] of CASES) {
      const minutes = EXTENTS.map((extent) => {
        const dossier = piece([{ code, extent, ...(detail ? { detail } : {}) }], { stated: fittingGround(code) });
        const [best] = listRepairPlans(readGround(dossier, dossier.zones![0]!));
        return best!.lines.reduce((sum, line) => sum + line.minutes, 0);
      });
      // Feathering flakes and freeing detail end where the whole coat comes off.
      if (minutes[2] === 0) continue;
      expect(minutes[1]).toBeGreaterThanOrEqual(minutes[0]!);
      expect(minutes[2]).toBeGreaterThanOrEqual(minutes[1]!);
    }
  });

  it('uses every repair step somewhere, each with facts and a basis', () => {
    const used = new Set(Object.values(FAULT_ANSWERS).flatMap(({ ways }) => ways.flatMap(({ steps }) => steps)));
    for (const code of Object.keys(REPAIR_STEPS) as RepairStepCode[]) {
      expect(used).toContain(code);
      expect(REPAIR_STEPS[code].basis).toBe('practice');
    }
  });
});

describe('the answers to the faults of a zone', () => {
  const OAK: Partial<Zone> = { stated: { substrate: 'closed_grain_hardwood', finish: 'bare' } };
  const ground = (defects: Defect[], zone = OAK, more: Partial<Dossier> = {}) => {
    const dossier = piece(defects, zone, more);
    return readGround(dossier, dossier.zones![0]!);
  };
  const wayIds = (defects: Defect[], zone?: Partial<Zone>): string[][] =>
    listRepairPlans(ground(defects, zone)).map(({ ways }) => ways.map(({ way }) => way?.id ?? 'left'));

  it('are choices where practitioners differ', () => {
    // Under a clear coat filler is seen, under paint it is not.
    const clear = listRepairPlans(ground([{ code: 'dent', extent: 'spot' }], OAK, { goal: { look: 'clear' } }));
    expect(clear.map(({ ways }) => ways[0]!.way!.id).sort()).toEqual(['fill', 'steam']);
    expect(wayIds([{ code: 'dent', extent: 'spot' }])).toEqual([['fill']]);
    expect(wayIds([{ code: 'brush_marks', extent: 'all' }]).sort()).toEqual([['left'], ['level']]);
    const foil: Partial<Zone> = { stated: { substrate: 'thermofoil', finish: 'factory_film' } };
    expect(wayIds([{ code: 'lifting_foil', extent: 'spot' }], foil).sort()).toEqual([['glue'], ['remove']]);
    // Steam wants bare wood.
    const varnished: Partial<Zone> = { stated: { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' } };
    const coat = listRepairPlans(ground([{ code: 'dent', extent: 'spot' }], varnished, { goal: { look: 'clear' } }));
    expect(coat.map(({ ways }) => ways[0]!.way!.id)).toEqual(['fill']);
  });

  it('are all that no other beats, by trying every combination', () => {
    // Spots on a whole square metre: what each costs and what it leaves, straight from the tables.
    const left = { brush_marks: 'level_marks', runs: 'shave_runs', raised_grain: 'sand_raised' } as const;
    const codes = Object.keys(left) as (keyof typeof left)[];
    const found = listRepairPlans(ground([...codes.map((code) => ({ code, extent: 'all' as const }))]));
    const all = Array.from({ length: 2 ** codes.length }, (_, mask) => {
      const done = codes.filter((_code, i) => (mask >> i) & 1);
      const minutes = done.reduce((sum, code) => {
        const {
          once,
          perM2 = 0,
          each = 0,
        }: { once: number; perM2?: number; each?: number } = REPAIR_STEPS[left[code]].minutes;
        return sum + once + (perM2 > 0 ? perM2 : each * 10);
      }, 0);
      const shows = codes
        .filter((code) => !done.includes(code))
        .reduce((held, code) => held * (1 - FAULT_ANSWERS[code].left.grain_show!), 1);
      return { done: done.join(), figures: [minutes, done.length, 1 - shows] };
    });
    const unbeaten = all.filter(
      (own) =>
        !all.some((other) => other !== own && other.figures.every((value, i) => value <= own.figures[i]! + 1e-9)),
    );
    const kept = found.map(({ ways }) => ways.flatMap(({ fault, way }) => (way ? [fault.code] : [])).join());
    expect(kept.sort()).toEqual(unbeaten.map(({ done }) => done).sort());
    expect(unbeaten.length).toBeGreaterThan(3);
    expect(unbeaten.length).toBeLessThan(all.length);
  });

  it('differ only from the mending to the painting, so that all clean, dry and end alike', () => {
    const shared = ['hold', 'clean', 'dry', 'last'];
    for (const [code, detail] of CASES)
      for (const extent of EXTENTS) {
        const defects: Defect[] = [{ code, extent, ...(detail ? { detail } : {}) }];
        const rest = listRepairPlans(ground(defects, { stated: fittingGround(code) })).map(({ lines }) =>
          lines.flatMap(({ code: line, fact }) => (shared.includes(fact.phase) ? [line] : [])).join(),
        );
        expect(new Set(rest).size).toBe(1);
      }
  });

  it('are told apart by what they leave bare, where nothing may be primed', () => {
    const unprimed = { goal: { schools: { priming: 'when_needed' as const } } };
    const plans = listRepairPlans(
      ground([{ code: 'scratch', extent: 'spot', count: 3, detail: 'in_coat' }], OAK, unprimed),
    );
    const later = (id: string): string => plans.find(({ ways }) => ways[0]!.way?.id === id)!.later;
    expect(later('fill')).not.toBe(later('sand'));
  });

  it('fill once where several faults want filling, with the harder filler', () => {
    const dossier = piece([
      { code: 'dent', extent: 'spot', count: 2 },
      { code: 'gouge', extent: 'spot' },
      { code: 'old_holes', extent: 'spot', count: 6 },
    ]);
    const fills = stepsOf(dossier).filter(({ op, class: code }) => op === 'fill' && code !== undefined);
    expect(fills.map(({ class: code, minutes }) => [code, minutes])).toEqual([['polyester_filler', 36]]);
    const ops = opsOf(dossier);
    expect(ops.some((op, i) => op === 'fill' && ops[i + 1] === 'fill')).toBe(false);
  });

  it('let several glued things dry side by side', () => {
    const dossier = piece([
      { code: 'loose_joint', extent: 'spot' },
      { code: 'crack', extent: 'spot' },
      { code: 'loose_runner', extent: 'spot' },
    ]);
    const mends = stepsOf(dossier).filter(({ op }) => op === 'repair' && op !== undefined);
    const waits = mends.slice(0, 3).map(({ waitH }) => waitH);
    expect(waits).toEqual([0, 0, 24]);
  });

  it('count the same fault on six alike zones as one job', () => {
    const zones = Array.from({ length: 6 }, (_, i): Zone => ({
      id: `z${i}`,
      role: 'drawer_front',
      area_m2: 0.2,
      defects: [{ code: 'loose_runner', extent: 'spot' }],
    }));
    const system = first({ ...piece([]), zones });
    const jobs = mergeJobs(system.zones, undefined).filter(({ step }) => nameStep(step) === 'Tighten the runner');
    expect(jobs).toHaveLength(1);
    expect(jobs[0]!.zones).toHaveLength(6);
  });
});

describe('the order and the consequences', () => {
  it('caulks over the primer, takes foil off before sealing the board, waxes runners last', () => {
    const caulked = opsOf(piece([{ code: 'gap_joint', extent: 'spot' }]));
    expect(caulked.indexOf('caulk')).toBeGreaterThan(caulked.indexOf('prime'));
    expect(caulked.indexOf('caulk')).toBeLessThan(caulked.indexOf('paint'));
    const foil = piece([{ code: 'lifting_foil', extent: 'all' }], {
      stated: { substrate: 'thermofoil', finish: 'factory_film' },
    });
    const bared = opsOf(foil);
    expect(bared.indexOf('remove_face')).toBeGreaterThan(0);
    expect(bared.indexOf('edge_seal')).toBeGreaterThan(bared.indexOf('remove_face'));
    expect(bared.indexOf('prime')).toBeGreaterThan(bared.indexOf('edge_seal'));
    const runner = stepsOf(piece([{ code: 'loose_runner', extent: 'spot' }]));
    const wax = runner.findIndex(({ repair }) => repair === 'wax_runners');
    expect(wax).toBeGreaterThan(runner.findIndex(({ op }) => op === 'paint'));
    expect(runner.at(-1)!.op).toBe('handover');
  });

  it('seals old stains by themselves or under a primer that holds them', () => {
    const burnt = first(piece([{ code: 'burn', extent: 'spot' }], { stated: fittingGround('gouge') })).zones[0]!;
    const holds = burnt.steps.some(
      ({ op, class: code }) =>
        op === 'spot_seal' || (op === 'prime' && /shellac|stainblock|bonding_primer_(oil|2k)/.test(code ?? '')),
    );
    expect(holds).toBe(true);
    const plain = first(piece([], { stated: fittingGround('gouge') })).zones[0]!;
    expect(burnt.risk.bleed).toBeGreaterThan(plain.risk.bleed);
  });

  it('says what is left undone in the chances', () => {
    const marks = piece([{ code: 'brush_marks', extent: 'all' }], { stated: fittingGround('brush_marks') });
    const plans = listRepairPlans(readGround(marks, marks.zones![0]!));
    const [left, done] = [...plans].sort((a, b) => a.lines.length - b.lines.length);
    expect(left!.chances.grain_show).toBeCloseTo(0.3, 6);
    expect(done!.chances.grain_show).toBeUndefined();
    expect(noteFaults(left!)[0]).toMatchObject({ state: 'left' });
    expect(sayFault(noteFaults(left!)[0]!).text).toBe('Left as it is');
  });

  it('seals a smell in on every face, also on those that are left', () => {
    const chest = piece([{ code: 'smoke_odour', extent: 'all' }]);
    const zones: Zone[] = [...chest.zones!, { id: 'inside', role: 'inside', area_m2: 1 }];
    const goal: Dossier['goal'] = { zones: { inside: { look: 'leave' } } };
    const inside = first({ ...chest, zones, goal }).zones[1]!;
    expect(inside.steps.map(({ op, class: code }) => `${op}:${code ?? ''}`)).toContain('spot_seal:shellac_clear');
    // Without fresh air shellac is out: it is left, and nothing else breaks.
    const closed = planPiece({ ...chest, zones: [zones[1]!], goal: { ...goal, ventilation: 'none' } });
    expect(closed.systems[0]!.zones[0]!.steps.map(({ op }) => op)).not.toContain('spot_seal');
  });

  it('leaves a left zone its looks, and mends what carries', () => {
    const back = piece(
      [
        { code: 'dent', extent: 'spot' },
        { code: 'loose_joint', extent: 'spot' },
      ],
      { role: 'back' },
    );
    const steps = stepsOf(back);
    expect(steps.map(({ op }) => op)).toEqual(['degrease', 'repair']);
  });

  it('holds back what is alive, says why, and what ends it', () => {
    const live = planPiece(piece([{ code: 'woodworm', extent: 'area' }]));
    expect(live.blocked.map(({ gate }) => gate)).toEqual(['woodworm']);
    expect(sayPlanBlock(live.blocked[0]!)).toMatch(/three weeks/);
    expect(live.systems[0]!.zones[0]!.steps.find(({ op }) => op === 'wait')).toMatchObject({ waitH: 504 });
    const old = planPiece(piece([{ code: 'woodworm', extent: 'area', detail: 'old' }]));
    expect(old.blocked).toEqual([]);
    expect(old.systems[0]!.zones[0]!.steps.map(({ op }) => op)).not.toContain('wait');
    expect(planPiece(piece([{ code: 'mould', extent: 'area' }])).blocked.map(({ gate }) => gate)).toEqual(['mould']);
  });

  it('questions a fault that cannot be on this ground, keeps it, and plans on', () => {
    const oak = piece([{ code: 'lifting_foil', extent: 'all' }], {
      stated: { substrate: 'open_grain_hardwood', finish: 'varnish_oil' },
    });
    const { contradictions } = diagnoseZone(oak, oak.zones![0]!);
    expect(contradictions).toEqual([expect.objectContaining({ check: 'lifting_foil', defect: 'lifting_foil' })]);
    const { steps, faults } = first(oak).zones[0]!;
    expect(faults[0]).toMatchObject({ code: 'lifting_foil', state: 'declined' });
    expect(steps.map(({ op }) => op)).not.toContain('remove_face');
  });

  it('lists glue, filler and cleaner with amounts', () => {
    const { small } = first(
      piece([
        { code: 'loose_joint', extent: 'spot', count: 2 },
        { code: 'gouge', extent: 'spot' },
      ]),
    );
    expect(small).toEqual(
      expect.arrayContaining([
        { label: 'Wood glue', ml: 20 },
        { label: 'Polyester filler', ml: 5 },
        { label: 'Degreaser', ml: 80 },
      ]),
    );
  });

  it('tapes what stands near where a piece cannot be moved', () => {
    const kitchen = piece([], {}, { piece: { kind: 'kitchen_run', history: { era: 'since_2000' } } });
    expect(opsOf(kitchen).slice(0, 2)).toEqual(['proof', 'mask']);
    expect(opsOf(piece([]))).not.toContain('mask');
    const sprayed = piece([], { role: 'drawer_front' }, { goal: { application: 'spray' } });
    expect(stepsOf(sprayed).map(nameStep)).toContain('Tape dovetails and runners');
  });

  it('says in the plan what the survey warns of', () => {
    const nursery = piece([], {}, { piece: { kind: 'chest', history: { era: 'since_2000', room: 'nursery' } } });
    expect(first(nursery).warnings.map(({ rule }) => rule)).toContain('nursery');
  });
});
