import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { explainProblem } from '@/words';
import { parseDossier, readWith, shelfItemSchema } from '@/core/dossier';
import type { Result } from '@/core/shared';
import { airSchema, practiceAnswerSchema, setupSchema } from '@/core/workshop';
import type { PieceStore, ShelfStore, WorkshopStore } from './db';

interface Demo {
  /** Folder of the dossiers; the shelf and the workshop lie beside it. */
  dossiers: string;
  store: PieceStore;
  shelf: ShelfStore;
  workshop: WorkshopStore;
  /** The moment the demo is told for, an ISO instant. */
  now: string;
}

const workshopFileSchema = z.object({
  /** The moment the files were written for. */
  now: z.iso.datetime(),
  setup: setupSchema,
  air: z.array(airSchema),
  practice: z.array(practiceAnswerSchema).default([]),
});

/**
 * Loads the invented workshop where it is not there yet. Its files tell of one Saturday morning; all their days are moved
 * so that this morning is today's or was within the last day, for coats that dried a year ago show nothing.
 */
export function loadDemo({ dossiers, store, shelf, workshop, now }: Demo): void {
  const setting = path.join(dossiers, '../workshop.json');
  const told = existsSync(setting) ? check(setting, readWith(workshopFileSchema, read(setting))) : null;
  const days = told ? Math.floor((Date.parse(now) - Date.parse(told.now)) / DAY_MS) : 0;
  const names = readdirSync(dossiers).filter((name) => name.endsWith('.json'));
  for (const name of names.sort().reverse()) {
    const file = path.join(dossiers, name);
    const dossier = check(file, parseDossier(moveDays(readFileSync(file, 'utf8'), days)));
    const id = dossier.piece.id ?? path.basename(name, '.json');
    if (!store.find(id)) check(file, store.apply(id, { type: 'piece_met', dossier }, now));
  }
  const tins = path.join(dossiers, '../shelf.json');
  if (shelf.list().length === 0 && existsSync(tins))
    for (const entry of read(tins) as unknown[])
      check(tins, shelf.apply({ type: 'tin_set', tin: check(tins, readWith(shelfItemSchema, entry)) }, now));
  if (!told || workshop.find().air.length > 0) return;
  workshop.apply({ type: 'setup_set', setup: told.setup }, now);
  for (const air of told.air) {
    const at = moveDays(JSON.stringify(air.at), days);
    workshop.apply({ type: 'air_recorded', air: { ...air, at: JSON.parse(at) as string } }, now);
  }
  for (const answer of told.practice) {
    const at = moveDays(JSON.stringify(answer.at), days);
    workshop.apply({ type: 'exercise_answered', answer: { ...answer, at: JSON.parse(at) as string } }, now);
  }
}

const DAY_MS = 86_400_000;
const INSTANT = /"(\d{4}-\d{2}-\d{2})(T[\d:.]+Z)?"/g;

/** Every date and instant of a JSON text so many days later, at the same time of day. */
const moveDays = (text: string, days: number): string =>
  text.replace(INSTANT, (_all, date: string, time: string | undefined) => {
    const moved = new Date(Date.parse(`${date}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
    return `"${moved}${time ?? ''}"`;
  });

const read = (file: string): unknown => JSON.parse(readFileSync(file, 'utf8')) as unknown;

function check<T>(file: string, result: Result<T>): T {
  if (!result.ok) throw new Error(`${file}: ${explainProblem(result.problem)}`);
  return result.value;
}
