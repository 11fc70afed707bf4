import { makePiece } from '../../../tests/properties/shop-data';
import { drawWork, listTasks } from './index';

const MILD = { temperature_c: 21, humidity_pct: 50 };
const coat = (n: 1 | 2, at: string) => ({
  zone: 'top',
  op: 'paint' as const,
  class: 'wb_alkyd_enamel',
  task: `12-paint-wb_alkyd_enamel-${n}`,
  at,
});

describe('the section of a zone in work', () => {
  const states = (log: ReturnType<typeof coat>[], now: string): string[] => {
    const piece = { ...makePiece('desk'), log };
    const { layers } = drawWork(piece, piece.zones![0]!, listTasks(piece, [], MILD), now);
    return layers.flatMap((layer) => (layer.kind === 'coat' ? [`${layer.layer} ${layer.state ?? ''}`] : []));
  };

  it('fills up from ghosts to wet, dry and cured as coats are logged', () => {
    expect(states([], '2026-11-28T10:00:00Z')).toEqual(['primer planned', 'paint planned', 'paint planned']);
    const first = coat(1, '2026-11-28T09:00:00Z');
    expect(states([first], '2026-11-28T10:00:00Z')).toEqual(['primer planned', 'paint wet', 'paint planned']);
    expect(states([first], '2026-11-28T12:00:00Z')[1]).toBe('paint dry');
    expect(states([first, coat(2, '2026-11-29T09:00:00Z')], '2026-12-29T08:00:00Z').slice(1)).toEqual([
      'paint cured',
      'paint dry',
    ]);
  });
});
