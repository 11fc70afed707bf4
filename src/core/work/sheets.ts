import { writeEvents } from '../calendar';
import { labelProduct, type ProductClass } from '../knowledge';
import { nameZone } from '../piece';
import { listCautions, listFacts, measurePour } from './advice';
import type { PieceWork, ShopPlan } from './shop-plan';
import { openMinutes, type Task } from './tasks';

/** Where a task is done, in words. */
export const sayWhere = (piece: PieceWork, task: Pick<Task, 'zones'>): string =>
  task.zones.map((id) => nameZone(piece.dossier, id)).join(', ');

/** The sittings of the plan and what is to be waited for as a calendar file (RFC 5545). `now`: ISO instant. */
export function writeSittings(plan: ShopPlan, pieces: readonly PieceWork[], now: string): string {
  const byId = new Map(pieces.flatMap((piece) => piece.tasks.map((task) => [task.id, { piece, task }] as const)));
  const sittings = plan.sittings.map(({ startAt, items }) => {
    const lines = items.flatMap(({ task: id, startAt: at }) => {
      const found = byId.get(id);
      return found ? [`${at.slice(11, 16)} UTC ${found.piece.name}: ${found.task.label}`] : [];
    });
    const names = [...new Set(items.map(({ piece }) => pieces.find(({ id }) => id === piece)?.name ?? piece))];
    const last = items
      .map(({ endAt, cleanUpMin }) => Date.parse(endAt) + cleanUpMin * 60_000)
      .sort((a, b) => b - a)[0]!;
    return {
      uid: `sitting-${startAt}@bricolage`,
      title: `Workshop: ${names.join(', ')}`,
      description: lines.join('\n'),
      at: Date.parse(items[0]!.startAt),
      minutes: (last - Date.parse(items[0]!.startAt)) / 60_000,
      alarm: `Workshop: ${names.join(', ')}`,
    };
  });
  const ready = plan.ready.map(({ piece, at, due }) => ({
    uid: `ready-${piece}@bricolage`,
    title: `${pieces.find(({ id }) => id === piece)?.name ?? piece} can be collected`,
    description: due ? `Wanted by ${due}` : 'It goes on curing after that: treat it gently.',
    at: Date.parse(at),
    minutes: 15,
  }));
  return writeEvents([...sittings, ...ready], now);
}

/** The work of one piece to take along on paper, in Markdown. `sayTime` writes an instant, `sayVolume` millilitres. */
export function writeJobSheet(
  piece: PieceWork,
  plan: ShopPlan | null,
  sayTime: (at: string) => string,
  sayVolume: (ml: number) => string,
): string {
  const { dossier, tasks } = piece;
  const starts = new Map(
    (plan?.sittings ?? []).flatMap(({ items }) =>
      [...items].reverse().map(({ task, startAt }) => [task, startAt] as const),
    ),
  );
  const lines = [`# ${piece.name}: job sheet`, ''];
  for (const block of piece.blocks) lines.push(`**Held back:** ${block.text}`, '');
  for (const task of tasks) {
    const { id, state, label, waitH, why } = task;
    const at = starts.get(id);
    const box = state === 'open' ? '[ ]' : state === 'done' ? '[x]' : '[-]';
    const pour = measurePour(task);
    const facts = [
      sayWhere(piece, task),
      `${Math.round(state === 'open' ? openMinutes(task) : task.minutes)} min`,
      task.class ? labelProduct(task.class as ProductClass) : '',
      pour === null ? '' : `pour ${sayVolume(pour)}`,
      waitH > 0 ? `then ${waitH} h` : '',
      state === 'open' && at ? sayTime(at) : '',
    ].filter(Boolean);
    lines.push(`- ${box} **${label}** (${facts.join(' · ')})`);
    if (state !== 'open') continue;
    lines.push(`  - ${why}`);
    const zones = (dossier.zones ?? []).filter((zone) => task.zones.includes(zone.id));
    for (const fact of listFacts(task, zones, dossier.goal?.application)) lines.push(`  - ${fact}`);
    const application = dossier.goal?.application;
    for (const caution of listCautions(task, { ...(application ? { application } : {}), oldCoat: false }))
      lines.push(`  - **${caution.title}.** ${caution.text}`);
  }
  return `${lines.join('\n')}\n`;
}
