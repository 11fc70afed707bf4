import { isFilm } from './film-times';
import type { Task } from './tasks';

/** What to pour for a task, ml: its coat and what stays in tray and roller (common practice: 30–50 ml). */
const TRAY_ML = 40;
export const measurePour = ({ ml, op, class: code }: Pick<Task, 'ml' | 'op' | 'class'>): number | null =>
  ml > 0 && isFilm(code) && op !== 'spot_seal' ? Math.ceil((ml + TRAY_ML) / 5) * 5 : ml > 0 ? ml : null;
