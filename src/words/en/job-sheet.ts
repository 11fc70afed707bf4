import { labelProduct, type ProductClass } from '@/core/knowledge';
import {
  listCautions,
  listFacts,
  measurePour,
  handsMinutes,
  sayWhere,
  type PieceWork,
  type ShopPlan,
} from '@/core/work';
import { sayColour } from './colour';
import { sayWhy } from './plan';
import { sayBlock } from './work';
import { nameTask } from './steps';

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
  for (const block of piece.blocks) lines.push(`**Held back:** ${sayBlock(block)}`, '');
  for (const task of tasks) {
    const { id, state, waitH, why } = task;
    const at = starts.get(id);
    const box = state === 'open' ? '[ ]' : state === 'done' ? '[x]' : '[-]';
    const pour = measurePour(task);
    const facts = [
      sayWhere(piece, task),
      `${Math.round(handsMinutes(task))} min`,
      task.class ? labelProduct(task.class as ProductClass) : '',
      task.colour ? `${sayColour(task.colour)}, ${task.colour}` : '',
      pour === null ? '' : `pour ${sayVolume(pour)}`,
      waitH > 0 ? `then ${waitH} h` : '',
      state === 'open' && at ? sayTime(at) : '',
    ].filter(Boolean);
    lines.push(`- ${box} **${nameTask(task)}** (${facts.join(' · ')})`);
    if (state !== 'open') continue;
    lines.push(`  - ${sayWhy(why)}`);
    const zones = (dossier.zones ?? []).filter((zone) => task.zones.includes(zone.id));
    for (const { text } of listFacts(task, zones, dossier.goal?.application)) lines.push(`  - ${text}`);
    const application = dossier.goal?.application;
    for (const caution of listCautions(task, { ...(application ? { application } : {}), oldCoat: false }))
      lines.push(`  - **${caution.title}.** ${caution.text}`);
  }
  return `${lines.join('\n')}\n`;
}
