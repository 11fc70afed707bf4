import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { DOSSIER_FORMAT, type Dossier, type LogEntry } from '@/core/dossier';
import { makePieceStore, openDatabase } from '@/server/db';

const TAPS = 60;
const at = (i: number): string => new Date(Date.UTC(2026, 0, 1, 0, i)).toISOString();
const entry = (i: number): LogEntry => ({ id: `l${i}`, zone: `z${i % 6}`, op: 'paint', at: at(i) });

/** One tap of Done, answered with the piece, on a piece whose log is already so long: median of sixty, in a file. */
function timeTap(logged: number): number {
  const folder = mkdtempSync(path.join(tmpdir(), 'bricolage-bench-'));
  const db = openDatabase(path.join(folder, 'shop.sqlite'), path.resolve('src/server/db/migrations'));
  const store = makePieceStore(db);
  const zones = Array.from({ length: 6 }, (_, z) => ({ id: `z${z}`, role: 'side' as const }));
  const log = Array.from({ length: logged }, (_, i) => entry(i));
  const dossier: Dossier = { format: DOSSIER_FORMAT, piece: { kind: 'sideboard' }, zones, log };
  const met = store.apply('p', { type: 'piece_met', dossier }, at(logged));
  if (!met.ok) throw new Error(JSON.stringify(met.problem));
  const runs = Array.from({ length: TAPS }, (_, i) => {
    const tap = { type: 'work_logged' as const, work: `w${i}`, entries: [entry(logged + i)] };
    const started = performance.now();
    const made = store.apply('p', tap, at(logged + i));
    if (!made.ok) throw new Error(JSON.stringify(made.problem));
    JSON.stringify(made.value);
    return performance.now() - started;
  });
  db.close();
  rmSync(folder, { recursive: true });
  return runs.sort((a, b) => a - b)[TAPS >> 1]!;
}

/** How a tap grows with the log. */
export function measureStore() {
  const [short, long] = [timeTap(20), timeTap(2000)];
  return [
    {
      name: 'tap of Done stored and answered, log of 2 000 entries',
      value: Number(long.toPrecision(3)),
      unit: 'ms',
      target: '< 20',
      reference: `file on the disk, synced; with 20 entries ${short.toPrecision(3)} ms`,
    },
  ];
}
