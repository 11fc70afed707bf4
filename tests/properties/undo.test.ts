import {
  applyShelfChange,
  applyChange,
  invertChange,
  invertShelfChange,
  PIECE_CHANGES,
  tryChange,
  type Dossier,
  type ShelfChange,
  type ShelfItem,
} from '@/core/dossier';
import { makeRandom } from '@/core/shared';
import {
  applyWorkshopChange,
  EMPTY_WORKSHOP,
  invertWorkshopChange,
  type Workshop,
  type WorkshopChange,
} from '@/core/workshop';
import { sayChanges } from '@/words';
import { drawChange, drawFile } from './random-changes';
import { share } from './share';

/** As a file says it, whatever order the records lie in: empty lists are none, and what is kept for the record is not asked. */
function tell({ removed_zones: _bin, earlier_choices: _earlier, ...dossier }: Dossier): unknown {
  const tidy = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.length === 0 ? undefined : value.map(tidy).sort(compareTexts);
    if (typeof value !== 'object' || value === null) return value;
    const entries = Object.entries(value).map(([key, own]) => [key, tidy(own)] as const);
    const kept = entries.filter(([, own]) => own !== undefined && JSON.stringify(own) !== '{}');
    return Object.fromEntries(kept.sort(([a], [b]) => (a < b ? -1 : 1)));
  };
  // Entries of one tap are numbered anew when it is logged again.
  const log = dossier.log?.map(({ id, ...entry }) => (entry.work === undefined ? { id, ...entry } : entry));
  return tidy({ ...dossier, log });
}
const compareTexts = (a: unknown, b: unknown): number => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1);

describe('what undoes a change', () => {
  it('brings a piece back to what it was, but for what stands as it was said', () => {
    const undone = new Map<string, number>();
    const stands = new Set<string>();
    for (let seed = 1; seed <= share(200); seed += 1) {
      const random = makeRandom(seed);
      let piece = applyChange(undefined, { type: 'piece_met', dossier: drawFile(seed) })!;
      for (let step = 0; step < 40; step += 1) {
        const change = drawChange(random);
        if (change.type === 'piece_met') throw new Error('a piece is met once');
        const made = tryChange(piece, change);
        if (!made.ok) continue;
        expect(sayChanges([change], piece)).toMatch(/^[^a-z](?!.*undefined).+$/);
        const inverse = invertChange(piece, change);
        if (inverse === null) stands.add(change.type);
        else {
          const back = inverse.reduce<Dossier>((dossier, own) => applyChange(dossier, own)!, made.value);
          expect({ seed, step, type: change.type, piece: tell(back) }).toEqual({
            seed,
            step,
            type: change.type,
            piece: tell(piece),
          });
          undone.set(change.type, (undone.get(change.type) ?? 0) + 1);
        }
        piece = made.value;
      }
    }
    const touched = Object.keys(PIECE_CHANGES).filter(
      (type) => type !== 'photo_withdrawn' && type !== 'piece_facts_set',
    );
    for (const type of touched)
      expect({ type, met: (undone.get(type) ?? 0) + Number(stands.has(type)) > 0 }).toEqual({ type, met: true });
    expect([...stands].sort()).toEqual(['choice_taken', 'climate_set', 'gate_overridden', 'outcome_recorded']);
  });

  it('brings the shelf back, drawings and all', () => {
    let undone = 0;
    for (let seed = 1; seed <= share(300); seed += 1) {
      const random = makeRandom(seed);
      let tins: readonly ShelfItem[] = [];
      const levels = (list: readonly ShelfItem[]): unknown =>
        list.map(({ drawn = [], ...tin }) => ({ ...tin, drawn: [...drawn].sort(compareTexts) })).sort(compareTexts);
      for (let step = 0; step < 30; step += 1) {
        const tinId = `tin-${Math.floor(random() * 3)}`;
        const work = `w-${Math.floor(random() * 3)}`;
        const ml = Math.ceil(random() * 100);
        const changes: ShelfChange[] = [
          {
            type: 'tin_set',
            tin: { id: tinId, class: 'shellac_primer', volume_ml: 100 * ml, opened_on: '2026-11-01' },
          },
          { type: 'tin_removed', tinId },
          { type: 'tin_drawn', tinId, drawing: { work, ml } },
          { type: 'tin_given_back', tinId, work },
        ];
        const change = changes[Math.floor(random() * changes.length)]!;
        const after = applyShelfChange(tins, change);
        const back = invertShelfChange(tins, change)!.reduce<readonly ShelfItem[]>(applyShelfChange, after);
        expect({ seed, step, change, tins: levels(back) }).toEqual({ seed, step, change, tins: levels(tins) });
        undone += Number(JSON.stringify(levels(after)) !== JSON.stringify(levels(tins)));
        tins = after;
      }
    }
    expect(undone).toBeGreaterThan(share(2000));
  });

  it('brings the workshop back', () => {
    const changes: WorkshopChange[] = [
      { type: 'setup_set', setup: { places: { large: 1, small: 2 } } },
      { type: 'air_recorded', air: { at: '2026-11-20T10:00:00Z', temperature_c: 18, humidity_pct: 60 } },
      { type: 'air_recorded', air: { at: '2026-11-20T10:00:00Z', temperature_c: 20, humidity_pct: 50 } },
      { type: 'air_withdrawn', at: '2026-11-20T10:00:00Z' },
      { type: 'task_pinned', pin: { task: 'a/1', at: '2026-11-27T10:00:00Z' } },
      { type: 'task_pinned', pin: { task: 'a/1', at: '2026-11-28T10:00:00Z' } },
      { type: 'task_unpinned', task: 'a/1' },
    ];
    changes.reduce<Workshop>((shop, change) => {
      const after = applyWorkshopChange(shop, change);
      expect(after).not.toEqual(shop);
      expect(invertWorkshopChange(shop, change)!.reduce(applyWorkshopChange, after)).toEqual(shop);
      return after;
    }, EMPTY_WORKSHOP);
  });
});
