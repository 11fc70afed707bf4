import type { Loose, PartWords, TemplateWords } from '@/core/work';

const PARTS: Record<Loose, string> = { door: 'Door', drawer_front: 'Drawer', shelf: 'Shelf' };

/** How doors, drawers and shelves are named, and what stands on their labels. */
export const PART_WORDS: PartWords & { onPart: string; inOpening: string; labels: string } = {
  letters: { door: 'Do', drawer_front: 'Dr', shelf: 'Sh' },
  place: (role, fromLeft, fromTop) => {
    const across = fromLeft === null ? '' : `${fromLeft} from the left`;
    const down = fromTop === null ? '' : `${fromTop} from the top`;
    return `${PARTS[role]} ${[across, down].filter(Boolean).join(', ')}`.trim();
  },
  up: { door: 'hinges as it hung; arrow points up', drawer_front: 'arrow points up' },
  onPart: 'on the part, where no paint goes',
  inOpening: 'in its opening',
  labels: 'labels',
};

/** What is written on a drilling template. */
export const TEMPLATE_WORDS: TemplateWords = {
  front: ({ width, height }, { x, y }) =>
    `Middle of a front of ${width} × ${height} mm: ${x} from its side, ${y} from its top`,
  middle: 'Cross hairs on the middle lines of the front',
  holes: (apart) => `New holes${apart === null ? '' : `, ${apart} mm apart`}; dashed: old holes`,
};
