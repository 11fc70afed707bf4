import type { CalendarEntry } from '@/core/calendar';
import type { PieceWork, ShopPlan } from '@/core/work';
import type { Moment } from '@/core/panel';
import { sayMoment } from './moments';
import { nameTask } from './steps';

/** The sittings of the plan and what is to be waited for, as entries of a calendar (`calendar/writeEvents`). */
export function sayCalendar(plan: ShopPlan, pieces: readonly PieceWork[]): CalendarEntry[] {
  const byId = new Map(pieces.flatMap((piece) => piece.tasks.map((task) => [task.id, { piece, task }] as const)));
  const sittings = plan.sittings.map(({ startAt, items }) => {
    const lines = items.flatMap(({ task: id, startAt: at }) => {
      const found = byId.get(id);
      return found ? [`${at.slice(11, 16)} UTC ${found.piece.name}: ${nameTask(found.task)}`] : [];
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
  return [...sittings, ...ready];
}

/** The moments of a panel as entries of a calendar. `start`: ISO instant. */
export const sayPanelCalendar = (
  title: string,
  id: string,
  moments: readonly Moment[],
  start: string,
): CalendarEntry[] =>
  moments.map((moment, i) => ({
    uid: `${id}-${i}@bricolage`,
    title: `${title}: ${sayMoment(moment)}`,
    description: `Strips ${moment.strips.join(', ')}`,
    at: Date.parse(start) + moment.atH * 3_600_000,
    minutes: 15,
    alarm: sayMoment(moment),
  }));
