import {
  applyChange,
  findSharedId,
  readDossier,
  tryChange,
  withShelf,
  type Dossier,
  type PieceChange,
} from '@/core/dossier';
import { makeRandom } from '@/core/shared';
import { makePieceStore, openDatabase } from '@/server/db';
import path from 'node:path';
import { drawChange, drawFile } from './random-changes';
import { share } from './share';

const MIGRATIONS = path.resolve('src/server/db/migrations');
const NOW = '2026-11-26T12:00:00Z';
const openStore = () => makePieceStore(openDatabase(':memory:', MIGRATIONS));

/** Every record of a dossier by the note it carries, which no two share. */
function listNotes({ zones = [], tests = [], overrides = [], log = [] }: Dossier): string[] {
  return [
    ...zones.flatMap(({ id, observations = [] }) => observations.map(({ note, check }) => `${id} ${note} ${check}`)),
    ...tests.map(({ note, zone }) => `${zone} ${note}`),
    ...overrides.map(({ reason, zone }) => `${zone} ${reason}`),
    ...log.map(({ note, zone }) => `${zone} ${note}`),
  ].sort();
}

describe('a file that comes in', () => {
  it('is found again record by record on the way out, whatever ids it had', () => {
    const store = openStore();
    let records = 0;
    for (let seed = 1; seed <= share(2000); seed += 1) {
      const file = drawFile(seed);
      const read = readDossier(JSON.parse(JSON.stringify(file)), NOW);
      if (!read.ok) throw new Error(`seed ${seed}: ${JSON.stringify(read.problem)}`);
      const met = store.apply(`p-${seed}`, { type: 'piece_met', dossier: read.value }, NOW);
      expect(met).toMatchObject({ ok: true });
      const out = withShelf(store.find(`p-${seed}`)!, []);
      expect({ seed, notes: listNotes(out) }).toEqual({ seed, notes: listNotes(file) });
      expect(findSharedId(out)).toBeNull();
      expect(readDossier(JSON.parse(JSON.stringify(out)), NOW)).toMatchObject({ ok: true });
      records += listNotes(file).length;
    }
    expect(records).toBeGreaterThan(share(10_000));
  });

  it('is refused whole where two records share an id, with the second one’s place', () => {
    const lead = { check: 'lead_test', result: 'positive' };
    const file = (more: object) => ({
      format: 'bricolage.dossier/1',
      piece: { kind: 'desk' },
      zones: [
        { id: 'top', role: 'top', observations: [{ id: 'o1', check: 'edge_line', result: 'dark_line' }] },
        { id: 'side', role: 'side', observations: [{ id: 'o2', ...lead }] },
      ],
      ...more,
    });
    expect(readDossier(file({})).ok).toBe(true);
    const zones = structuredClone(file({}).zones);
    zones[1]!.observations[0]!.id = 'o1';
    expect(readDossier(file({ zones }))).toMatchObject({
      problem: { code: 'duplicate_id', path: 'zones[1].observations[0].id', params: { id: 'o1' } },
    });
    const test = { id: 't', zone: 'top', kind: 'nail', reading: { score: 1 } };
    expect(readDossier(file({ tests: [test, test] }))).toMatchObject({ problem: { path: 'tests[1].id' } });
    const part = { id: 'a', zone: 'top', label: 'D', place: 'x', state: 'on' };
    expect(readDossier(file({ parts: [part, part] }))).toMatchObject({ problem: { path: 'parts[1].id' } });
  });
});

/** An empty list and a missing one mean the same. */
const tidy = (dossier: Dossier | undefined): unknown =>
  JSON.parse(
    JSON.stringify(dossier, (_key, value) => (Array.isArray(value) && value.length === 0 ? undefined : value)),
  );

describe('random sequences of changes', () => {
  it('leave the same piece on the server as in the client, removed zones that come back among them', () => {
    const store = openStore();
    let [made, refused, restored] = [0, 0, 0];
    for (let seed = 1; seed <= share(500); seed += 1) {
      const random = makeRandom(seed * 31);
      const id = `p-${seed}`;
      const met: PieceChange = { type: 'piece_met', dossier: { ...drawFile(seed), piece: { kind: 'desk', id } } };
      store.apply(id, met, NOW);
      let client = applyChange(undefined, met);
      for (let k = 0; k < 25; k += 1) {
        const change = drawChange(random);
        if (change.type === 'zone_set' && client?.removed_zones?.some(({ zone }) => zone.id === change.zoneId))
          restored += 1;
        const answer = store.apply(id, change, NOW);
        client = applyChange(client, change);
        if (answer.ok) made += 1;
        else refused += 1;
        const where = { seed, k, type: change.type };
        const stored = store.find(id);
        expect({ where, dossier: tidy(stored) }).toEqual({ where, dossier: tidy(client) });
        if (answer.ok) expect({ where, dossier: tidy(answer.value) }).toEqual({ where, dossier: tidy(stored) });
      }
      expect(readDossier(JSON.parse(JSON.stringify(store.find(id))), NOW)).toMatchObject({ ok: true });
    }
    expect(made).toBeGreaterThan(share(6000));
    expect(refused).toBeGreaterThan(share(500));
    expect(restored).toBeGreaterThan(share(100));
  }, 120_000);

  it('give back a removed zone with everything it had', () => {
    let checked = 0;
    for (let seed = 1; seed <= share(300); seed += 1) {
      const random = makeRandom(seed * 77);
      let piece = applyChange(undefined, { type: 'piece_met', dossier: drawFile(seed) })!;
      for (let k = 0; k < 12; k += 1) piece = applyChange(piece, drawChange(random))!;
      const zone = piece.zones?.[0];
      if (!zone) continue;
      const { id, observations: _o, skipped_checks: _s, defects: _d, ...facts } = zone;
      const removed = applyChange(piece, { type: 'zone_removed', zoneId: id })!;
      expect(JSON.stringify(removed.tests ?? []) + JSON.stringify(removed.log ?? [])).not.toContain(`"zone":"${id}"`);
      const back = applyChange(removed, { type: 'zone_set', zoneId: id, facts })!;
      const sorted = (value: unknown): string[] =>
        ((value as object[] | undefined) ?? [])
          .map((one) => JSON.stringify(Object.fromEntries(Object.entries(one).sort())))
          .sort();
      for (const list of [
        'zones',
        'tests',
        'log',
        'panels',
        'outcomes',
        'overrides',
        'troubles',
        'parts',
        'hardware',
      ] as const)
        expect({ seed, list, records: sorted(back[list]) }).toEqual({ seed, list, records: sorted(piece[list]) });
      checked += 1;
    }
    expect(checked).toBeGreaterThan(share(250));
  });

  it('take back a tap also where part of it lies in a removed zone', () => {
    let piece = applyChange(undefined, { type: 'piece_met', dossier: drawFile(3) })!;
    for (const zoneId of ['top', 'side'] as const)
      piece = applyChange(piece, { type: 'zone_set', zoneId, facts: { role: zoneId } })!;
    const entries = (['top', 'side'] as const).map((zone) => ({ zone, op: 'prime' as const }));
    piece = applyChange(piece, { type: 'work_logged', work: 'w', entries })!;
    piece = applyChange(piece, { type: 'zone_removed', zoneId: 'side' })!;
    piece = applyChange(piece, { type: 'work_withdrawn', work: 'w' })!;
    piece = applyChange(piece, { type: 'zone_set', zoneId: 'side', facts: { role: 'side' } })!;
    expect(piece.log?.filter(({ work }) => work === 'w')).toEqual([]);
  });

  it('refuse a reading under an id that another zone’s reading has', () => {
    const piece = applyChange(undefined, { type: 'piece_met', dossier: drawFile(1) })!;
    const two = applyChange(piece, { type: 'zone_set', zoneId: 'lid', facts: { role: 'top' } })!;
    const one = tryChange(two, {
      type: 'observation_recorded',
      zoneId: 'lid',
      observation: { id: two.zones![0]!.observations![0]?.id ?? 'o1', check: 'edge_line', result: 'dark_line' },
    });
    expect(one).toMatchObject({ ok: false, problem: { code: 'duplicate_id' } });
  });
});
