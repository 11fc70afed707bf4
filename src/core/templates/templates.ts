import type { PieceKind } from '../knowledge';
import type { Dossier, Zone } from '../dossier';
import { drawBox, drawFront, nameParts, type Shape } from './geometry';

export interface Size {
  width: number;
  depth: number;
  height: number;
}

export interface Template {
  zones: Zone[];
  shapes: Shape[];
  /** Metres of edge of each zone. */
  edgesM: ReadonlyMap<string, number>;
}

/** What there is several of on a piece, and how many. */
export type Counted = 'drawers' | 'doors' | 'shelves' | 'panels';
export type Counts = Partial<Record<Counted, number>>;

/** How many a kind has unless its owner says otherwise, and how few and many it may have. */
export interface CountRange {
  least: number;
  usual: (size: Size) => number;
  most: number;
}

/** What a zone of a template is called until its owner calls it otherwise. */
export type ZoneName =
  | 'apron'
  | 'back'
  | 'back_rest'
  | 'carcass_front_and_plinth'
  | 'cornice'
  | 'doors'
  | 'drawer_fronts'
  | 'drawer_sides'
  | 'edge_of_the_top'
  | 'edges'
  | 'end_panels'
  | 'face'
  | 'frame'
  | 'frame_and_feet'
  | 'frame_and_plinth'
  | 'front'
  | 'front_frame'
  | 'inside'
  | 'legs'
  | 'legs_and_rail'
  | 'legs_and_rails'
  | 'lid'
  | 'panel_mouldings'
  | 'panels'
  | 'pedestal'
  | 'seat'
  | 'shelves'
  | 'sides'
  | 'stiles_and_rails'
  | 'top'
  | 'underside';
export type NameZone = (name: ZoneName) => string;
/** `edgeMm`: arrises, lips, mouldings and lines to cut in along, mm. */
type BuiltZone = Zone & { called: ZoneName; edgeMm: number };

type Build = (size: Size, counts: Required<Counts>) => { zones: BuiltZone[]; shapes: Shape[] };

const m2 = (...products: number[]): number =>
  Math.max(0.01, Math.round(products.reduce((sum, mm2) => sum + mm2, 0) / 10_000) / 100);

function zone(
  id: string,
  called: ZoneName,
  role: Zone['role'],
  area: number,
  edgeMm: number,
  more: Partial<Zone> = {},
): BuiltZone {
  return {
    id,
    called,
    role,
    edgeMm,
    area_m2: area,
    orientation: role === 'top' ? 'horizontal' : 'vertical',
    wear: 'medium',
    ...more,
  };
}
/** All round a face, mm. */
const around = (width: number, height: number, faces = 1): number => 2 * (width + height) * faces;

/** Zones that are seldom painted and not in the drawing. */
const hidden = {
  back: (width: number, height: number): BuiltZone =>
    zone('back', 'back', 'back', m2(width * height), around(width, height), { wear: 'low' }),
  inside: (area: number, edgeMm: number): BuiltZone =>
    zone('inside', 'inside', 'inside', area, edgeMm, { wear: 'low' }),
  drawerSides: (boxes: number, depth: number, height: number): BuiltZone =>
    zone(
      'drawer_sides',
      'drawer_sides',
      'drawer_side',
      m2(boxes * 2 * depth * height),
      boxes * around(depth, height, 2),
      {
        wear: 'low',
      },
    ),
  underside: (width: number, depth: number): BuiltZone =>
    zone('underside', 'underside', 'back', m2(width * depth), around(width, depth), {
      orientation: 'horizontal',
      wear: 'low',
    }),
};

const top = (width: number, depth: number): BuiltZone =>
  zone('top', 'top', 'top', m2(width * depth), around(width, depth), { wear: 'high' });

const handle = (id: string, x: number, y: number, z: number, w: number): Shape =>
  drawFront(id, x + w / 2 - 40, y, z, 80, 10, true);

/** A carcass with rows of drawers: dresser, bedside cabinet, bureau. */
const drawers: Build = ({ width, depth, height }, { drawers: rows }) => {
  const foot = Math.min(100, height * 0.1);
  const shell = height - foot - 30;
  const row = shell / rows;
  const fronts = Array.from({ length: rows }, (_, i) =>
    drawFront('drawer_fronts', 30, 0, foot + i * row + 8, width - 60, row - 16),
  );
  const pulls = Array.from({ length: rows }, (_, i) =>
    handle('drawer_fronts', 30, 0, foot + (i + 0.5) * row, width - 60),
  );
  return {
    zones: [
      top(width, depth),
      zone(
        'drawer_fronts',
        'drawer_fronts',
        'drawer_front',
        m2((width - 60) * shell),
        around(width - 60, row - 16, rows),
      ),
      // The arrises in front and at the back; the top and the floor have no line of their own.
      zone('sides', 'sides', 'side', m2(2 * depth * (height - 30)), 4 * height),
      zone(
        'frame',
        'frame_and_feet',
        'frame',
        m2(2 * 30 * height, (rows + 1) * 16 * width, 8 * 60 * foot),
        around(width, height) + (rows - 1) * width,
      ),
      hidden.drawerSides(rows, depth, row),
      hidden.inside(m2(2 * depth * shell, width * depth), around(depth, shell, 2)),
      hidden.back(width, height),
    ],
    shapes: [
      ...drawBox({ x: 0, y: 0, z: 0, w: width, d: depth, h: height - 30 }, { side: 'sides' }),
      drawFront('frame', 0, 0, 0, width, height - 30),
      ...fronts,
      ...pulls,
      ...drawBox(
        { x: -10, y: -10, z: height - 30, w: width + 20, d: depth + 10, h: 30 },
        { top: 'top', front: 'top', side: 'top' },
      ),
    ],
  };
};

/** A carcass with doors, and a row of drawers over them where it has any: sideboard, wardrobe, vanity. */
const doors =
  (cornice = false): Build =>
  ({ width, depth, height }, { doors: count, drawers: across }) => {
    const leaf = (width - 40) / count;
    const row = across > 0 ? Math.min(180, height * 0.22) : 0;
    const tall = height - 130 - row;
    const fronts = Array.from({ length: count }, (_, i) =>
      drawFront('doors', 20 + i * leaf + 5, 0, 80, leaf - 10, tall),
    );
    const pulls = Array.from({ length: count }, (_, i) =>
      drawFront('doors', 20 + i * leaf + (i % 2 === 0 ? leaf - 45 : 30), 0, (height - row) * 0.5, 12, 90, true),
    );
    const box = (width - 40) / Math.max(1, across);
    const boxes = Array.from({ length: across }, (_, i) => [
      drawFront('drawer_fronts', 20 + i * box + 5, 0, 90 + tall, box - 10, row - 10),
      handle('drawer_fronts', 20 + i * box + 5, 0, 90 + tall + row / 2 - 10, box - 10),
    ]).flat();
    return {
      zones: [
        top(width, depth),
        zone('doors', 'doors', 'door', m2(2 * (width - 40) * tall), around(leaf - 10, tall, count)),
        ...(across > 0
          ? [
              zone(
                'drawer_fronts',
                'drawer_fronts',
                'drawer_front',
                m2((width - 40) * row),
                around(box - 10, row - 10, across),
              ),
              hidden.drawerSides(across, depth, row),
            ]
          : []),
        // The arrises in front and at the back; the top and the floor have no line of their own.
        zone('sides', 'sides', 'side', m2(2 * depth * (height - 30)), 4 * height),
        zone(
          'frame',
          'frame_and_plinth',
          'frame',
          m2(2 * 20 * height, 80 * width, 50 * width),
          around(width, height) + (count - 1) * height,
        ),
        // Narrow faces: two lines along each, those of the doors already count with the doors.
        zone(
          'edges',
          'edges',
          'edge',
          m2(2 * (width + depth) * 20, count * 2 * (leaf + height) * 18),
          around(width, depth),
        ),
        ...(cornice
          ? [
              zone('cornice', 'cornice', 'moulding', m2((width + 2 * depth) * 90), 2 * (width + 2 * depth), {
                moulded: true,
              }),
            ]
          : []),
        hidden.inside(
          m2(2 * width * depth, 2 * depth * height, width * height),
          around(depth, height, 2) + around(width, height),
        ),
        hidden.back(width, height),
      ],
      shapes: [
        ...drawBox({ x: 0, y: 0, z: 0, w: width, d: depth, h: height - 30 }, { side: 'sides' }),
        drawFront('frame', 0, 0, 0, width, height - 30),
        ...fronts,
        ...pulls,
        ...boxes,
        drawFront('edges', 0, 0, height - 44, width, 14),
        ...drawBox(
          { x: -5, y: -5, z: height - 30, w: width + 10, d: depth + 5, h: 30 },
          { top: 'top', front: 'top', side: 'top' },
        ),
        ...(cornice ? [drawFront('cornice', -5, -5, height - 100, width + 10, 70)] : []),
      ],
    };
  };

/** A run of base units: a row of drawers over the doors, end panels, the carcass behind. */
const kitchen: Build = ({ width, depth, height }, { doors: units, drawers: boxes }) => {
  const leaf = width / units;
  const box = width / Math.max(1, boxes);
  const drawer = boxes > 0 ? Math.min(160, height * 0.2) : 0;
  const doorTop = height - drawer - 20;
  const along = (count: number, step: number, draw: (x: number) => Shape): Shape[] =>
    Array.from({ length: count }, (_, i) => draw(i * step + 4));
  return {
    zones: [
      zone('doors', 'doors', 'door', m2(2 * width * (doorTop - 100)), around(leaf - 8, doorTop - 100, units), {
        wear: 'high',
      }),
      ...(boxes > 0
        ? [
            zone(
              'drawer_fronts',
              'drawer_fronts',
              'drawer_front',
              m2(2 * width * drawer),
              around(box - 8, drawer, boxes),
              { wear: 'high' },
            ),
          ]
        : []),
      zone('end_panels', 'end_panels', 'side', m2(2 * depth * height), around(depth, height, 2)),
      zone(
        'frame',
        'carcass_front_and_plinth',
        'frame',
        m2(100 * width, (units + 1) * 20 * height),
        4 * width + (units + 1) * height,
      ),
      // Of fronts: their lines count with them.
      zone('edges', 'edges', 'edge', m2(units * 4 * (leaf + height) * 18), 0),
      hidden.inside(m2(2 * width * depth, 2 * units * depth * height), units * around(depth, height)),
    ],
    shapes: [
      ...drawBox({ x: 0, y: 0, z: 0, w: width, d: depth, h: height }, { side: 'end_panels', top: 'frame' }),
      drawFront('frame', 0, 0, 0, width, height),
      ...along(units, leaf, (x) => drawFront('doors', x, 0, 100, leaf - 8, doorTop - 100)),
      ...along(boxes, box, (x) => drawFront('drawer_fronts', x, 0, doorTop + 8, box - 8, drawer)),
      ...along(boxes, box, (x) => handle('drawer_fronts', x, 0, doorTop + drawer / 2, box - 8)),
      ...along(units, leaf, (x) => drawFront('edges', x, 0, doorTop, leaf - 8, 6)),
    ],
  };
};

const table: Build = ({ width, depth, height }) => {
  const leg = Math.max(50, width * 0.06);
  const under = height - 30;
  const legAt = (x: number, y: number): Shape[] =>
    drawBox({ x, y, z: 0, w: leg, d: leg, h: under }, { front: 'legs', side: 'legs' });
  return {
    zones: [
      top(width, depth),
      zone('apron', 'apron', 'frame', m2(2 * (width + depth) * 90), 2 * around(width, depth)),
      zone('legs', 'legs', 'leg', m2(4 * 4 * leg * under), 4 * 4 * under),
      zone('edges', 'edge_of_the_top', 'edge', m2(2 * (width + depth) * 30), around(width, depth)),
      hidden.underside(width, depth),
    ],
    shapes: [
      ...legAt(20, depth - leg - 20),
      ...legAt(width - leg - 20, depth - leg - 20),
      ...drawBox(
        { x: 20, y: 20, z: under - 90, w: width - 40, d: depth - 40, h: 90 },
        { front: 'apron', side: 'apron' },
      ),
      ...legAt(20, 20),
      ...legAt(width - leg - 20, 20),
      ...drawBox({ x: 0, y: 0, z: under, w: width, d: depth, h: 30 }, { top: 'top', front: 'edges', side: 'edges' }),
    ],
  };
};

const desk: Build = ({ width, depth, height }, { drawers: boxes }) => {
  const box = width * 0.34;
  const under = height - 30;
  const foot = 40;
  const row = (under - foot) / boxes;
  const rows = Array.from({ length: boxes }, (_, i) => i);
  return {
    zones: [
      top(width, depth),
      zone(
        'pedestal',
        'pedestal',
        'side',
        m2(2 * depth * under, box * 60),
        around(depth, under, 2) + around(box, under),
      ),
      zone(
        'drawer_fronts',
        'drawer_fronts',
        'drawer_front',
        m2(box * (under - foot)),
        around(box - 24, row - 12, boxes),
      ),
      zone(
        'legs',
        'legs_and_rail',
        'leg',
        m2(2 * 4 * 60 * under, 2 * (width - box) * 120),
        2 * 4 * under + 4 * (width - box),
      ),
      zone('edges', 'edge_of_the_top', 'edge', m2(2 * (width + depth) * 30), around(width, depth)),
      hidden.drawerSides(boxes, depth, row),
      hidden.back(box, under),
    ],
    shapes: [
      ...drawBox({ x: width - 80, y: depth - 80, z: 0, w: 60, d: 60, h: under }, { front: 'legs', side: 'legs' }),
      ...drawBox(
        { x: box, y: 30, z: under - 120, w: width - box - 30, d: depth - 60, h: 120 },
        { front: 'legs', side: 'legs' },
      ),
      ...drawBox({ x: width - 80, y: 10, z: 0, w: 60, d: 60, h: under }, { front: 'legs', side: 'legs' }),
      ...drawBox({ x: 20, y: 10, z: 0, w: box, d: depth - 20, h: under }, { front: 'pedestal', side: 'pedestal' }),
      ...rows.map((i) => drawFront('drawer_fronts', 32, 10, foot + i * row + 6, box - 24, row - 12)),
      ...rows.map((i) => handle('drawer_fronts', 32, 10, foot + (i + 0.5) * row, box - 24)),
      ...drawBox({ x: 0, y: 0, z: under, w: width, d: depth, h: 30 }, { top: 'top', front: 'edges', side: 'edges' }),
    ],
  };
};

const bookcase: Build = ({ width, depth, height }, { shelves: boards }) => {
  const shelves = boards + 1;
  const gap = (height - 60) / shelves;
  return {
    zones: [
      zone('sides', 'sides', 'side', m2(4 * depth * height), around(depth, height, 2)),
      zone('shelves', 'shelves', 'shelf', m2(2 * (shelves + 1) * width * depth), around(width, depth, shelves + 1), {
        orientation: 'horizontal',
      }),
      zone('frame', 'front_frame', 'frame', m2(2 * 40 * height, 80 * width), around(width, height)),
      zone('back', 'back', 'back', m2(width * height), around(width, height), { wear: 'low' }),
    ],
    shapes: [
      ...drawBox({ x: 0, y: 0, z: 0, w: width, d: depth, h: height }, { top: 'frame', side: 'sides' }),
      drawFront('frame', 0, 0, 0, width, height),
      drawFront('back', 40, 0, 60, width - 80, height - 100),
      ...Array.from({ length: shelves - 1 }, (_, i) =>
        drawFront('shelves', 40, 0, 60 + (i + 1) * gap - 22, width - 80, 26),
      ),
    ],
  };
};

/** A framed door, its panels in rows of two (an odd one fills its row); a flush one where it has none. */
const door: Build = ({ width, height }, { panels: count }) => {
  const rows = Math.ceil(count / 2);
  const tall = (0.74 * height - (rows - 2) * 120) / Math.max(1, rows);
  // Two rows are as doors of four panels are made: the upper ones longer.
  const heights = rows === 2 ? [0.32 * height, 0.42 * height] : Array.from({ length: rows }, () => tall);
  const half = (width - 360) / 2;
  const fields = heights.flatMap((h, row) => {
    const z = 220 + heights.slice(0, row).reduce((sum, own) => sum + own + 120, 0);
    const alone = row === rows - 1 && count % 2 === 1;
    return alone
      ? [{ x: 120, z, w: width - 240, h }]
      : [
          { x: 120, z, w: half, h },
          { x: 240 + half, z, w: half, h },
        ];
  });
  const fieldLines = fields.reduce((sum, { w, h }) => sum + around(w, h), 0);
  return {
    zones: [
      zone(
        'frame',
        count > 0 ? 'stiles_and_rails' : 'face',
        'frame',
        m2(2 * (count > 0 ? 0.6 : 1) * width * height),
        around(width, height),
      ),
      ...(count > 0
        ? [
            // Their lines are those of the mouldings round them.
            zone('panels', 'panels', 'front', m2(2 * 0.4 * width * height), 0, { moulded: true }),
            zone('mouldings', 'panel_mouldings', 'moulding', m2(2 * fieldLines * 25), 2 * fieldLines, {
              moulded: true,
            }),
          ]
        : []),
      // Its arrises are those of the faces.
      zone('edges', 'edges', 'edge', m2(2 * (width + height) * 40), 0),
    ],
    shapes: [
      ...drawBox({ x: 0, y: 0, z: 0, w: width, d: 90, h: height }, { front: 'frame', side: 'edges', top: 'edges' }),
      ...fields.flatMap(({ x, z, w, h }) => [
        drawFront('mouldings', x, 0, z, w, h),
        drawFront('panels', x + 25, 0, z + 25, w - 50, h - 50),
      ]),
    ],
  };
};

const chest: Build = ({ width, depth, height }) => ({
  zones: [
    zone('top', 'lid', 'top', m2(width * depth), around(width, depth), { wear: 'high' }),
    zone('front', 'front', 'front', m2(width * height), around(width, height)),
    zone('sides', 'sides', 'side', m2(2 * depth * height), around(depth, height, 2)),
    zone('edges', 'edges', 'edge', m2(2 * (width + depth) * 40), around(width, depth)),
    hidden.inside(m2(2 * (width + depth) * height, width * depth), around(width, depth) + 4 * height),
    hidden.back(width, height),
  ],
  shapes: [
    ...drawBox({ x: 0, y: 0, z: 0, w: width, d: depth, h: height - 40 }, { front: 'front', side: 'sides' }),
    ...drawBox(
      { x: -8, y: -8, z: height - 40, w: width + 16, d: depth + 8, h: 40 },
      { top: 'top', front: 'edges', side: 'edges' },
    ),
  ],
});

/** A seat with a high back: settle, hall bench, chair. */
const seat: Build = ({ width, depth, height }) => {
  const sitting = Math.min(450, height * 0.5);
  const leg = Math.max(40, width * 0.05);
  const legAt = (x: number, y: number): Shape[] =>
    drawBox({ x, y, z: 0, w: leg, d: leg, h: sitting - 40 }, { front: 'legs', side: 'legs' });
  return {
    zones: [
      zone('top', 'seat', 'top', m2(width * depth), around(width, depth), { wear: 'high' }),
      zone('back_rest', 'back_rest', 'front', m2(2 * width * (height - sitting)), around(width, height - sitting, 2)),
      zone(
        'legs',
        'legs_and_rails',
        'leg',
        m2(4 * 4 * leg * sitting, 2 * (width + depth) * 60),
        4 * 4 * sitting + 2 * around(width, depth),
      ),
    ],
    shapes: [
      ...legAt(0, depth - leg),
      ...legAt(width - leg, depth - leg),
      ...drawBox(
        { x: 0, y: depth - 40, z: sitting, w: width, d: 40, h: height - sitting },
        { front: 'back_rest', top: 'back_rest', side: 'back_rest' },
      ),
      ...legAt(0, 0),
      ...legAt(width - leg, 0),
      ...drawBox({ x: 0, y: 0, z: sitting - 40, w: width, d: depth, h: 40 }, { top: 'top', front: 'top', side: 'top' }),
    ],
  };
};

const slab: Build = ({ width, depth, height }) => ({
  zones: [
    top(width, depth),
    zone('edges', 'edges', 'edge', m2(2 * (width + depth) * height), around(width, depth)),
    hidden.underside(width, depth),
  ],
  shapes: drawBox({ x: 0, y: 0, z: 0, w: width, d: depth, h: height }, { top: 'top', front: 'edges', side: 'edges' }),
});

const frame: Build = ({ width, height }) => ({
  zones: [
    zone('frame', 'frame', 'frame', m2(2 * (width + height) * 120), 2 * around(width, height), { moulded: true }),
    zone('back', 'back', 'back', m2(2 * (width + height) * 100), around(width, height), { wear: 'low' }),
  ],
  shapes: [
    ...drawBox({ x: 0, y: 0, z: 0, w: width, d: 40, h: height }, { front: 'frame', top: 'frame', side: 'frame' }),
    drawFront('frame', 90, 0, 90, width - 180, height - 180, true),
  ],
});

interface Kind {
  size: Size;
  build: Build;
  counted: Partial<Record<Counted, CountRange>>;
  /** How much wider it is with each one more; the carcass stays where it is left out. */
  wider?: { by: Counted; mm: number };
  /** It hangs, lies or is built in, and has no feet of its own on a floor. */
  footless?: true;
  /** It stands on legs set wide, and opening a drawer does not tip it. */
  steady?: true;
}
const count = (least: number, usual: number, most: number): CountRange => ({ least, usual: () => usual, most });
const kind = (
  [width, depth, height]: readonly [number, number, number],
  build: Build,
  counted: Kind['counted'] = {},
  more: Pick<Kind, 'wider' | 'footless' | 'steady'> = {},
): Kind => ({ size: { width, depth, height }, build, counted, ...more });
const boards: CountRange = { least: 1, usual: ({ height }) => Math.max(2, Math.round(height / 350) - 1), most: 14 };

/** Usual sizes (width, depth, height in mm), the shape each kind is built from, and what is counted on it. Any area can be measured again by the owner. */
// prettier-ignore
export const KIND_TEMPLATES: Record<PieceKind, Kind> = {
  dresser: kind([900, 450, 850], drawers, { drawers: count(1, 4, 10) }),
  bedside_cabinet: kind([450, 380, 600], drawers, { drawers: count(1, 2, 5) }),
  sideboard: kind([1500, 450, 800], doors(), { doors: count(1, 3, 8), drawers: count(0, 0, 6) }),
  wardrobe: kind([1100, 580, 1900], doors(true), { doors: count(1, 2, 6) }),
  table: kind([1400, 800, 740], table),
  chair: kind([450, 450, 900], seat),
  desk: kind([1300, 650, 750], desk, { drawers: count(1, 3, 6) }, { steady: true }),
  bureau: kind([800, 450, 1050], drawers, { drawers: count(1, 4, 8) }),
  bookcase: kind([900, 300, 1800], bookcase, { shelves: boards }),
  hall_stand: kind([1100, 420, 1000], seat),
  chest: kind([900, 450, 480], chest),
  vanity_unit: kind([800, 460, 820], doors(), { doors: count(1, 2, 4), drawers: count(0, 0, 4) }),
  mirror_frame: kind([700, 40, 1000], frame, {}, { footless: true }),
  kitchen_run: kind([3000, 580, 850], kitchen, { doors: count(1, 6, 24), drawers: count(0, 6, 24) }, { wider: { by: 'doors', mm: 500 }, footless: true }),
  interior_door: kind([760, 40, 2000], door, { panels: count(0, 4, 8) }, { footless: true }),
  bench_top: kind([2000, 600, 40], slab, {}, { footless: true }),
  window_sill: kind([1400, 250, 30], slab, {}, { footless: true }),
  other: kind([800, 400, 700], chest),
};

/** The usual size of a kind with so many doors, drawers, shelves or panels. */
export function usualSize(kindCode: PieceKind, counts: Counts = {}): Size {
  const { size, counted, wider } = KIND_TEMPLATES[kindCode];
  if (!wider) return size;
  const usual = counted[wider.by]!.usual(size);
  return { ...size, width: size.width + ((counts[wider.by] ?? usual) - usual) * wider.mm };
}

/** How many drawers, doors, shelves and panels a piece has: as its owner counted, within what its kind may have. */
export function countsOf(kindCode: PieceKind, size?: Size, counts: Counts = {}): Counts {
  const { counted, size: usual } = KIND_TEMPLATES[kindCode];
  return Object.fromEntries(
    Object.entries(counted).map(([what, { least, usual: guess, most }]) => {
      const own = counts[what as Counted] ?? guess(size ?? usual);
      return [what, Math.min(most, Math.max(least, Math.round(own)))];
    }),
  );
}

/**
 * Zones with areas and the drawing of a piece; size (mm) and counts are the kind's usual ones when left out. Zones have
 * names where it is said how they are named.
 */
export function buildTemplate(kindCode: PieceKind, size?: Size, counts?: Counts, name?: NameZone): Template {
  const { build, size: usual } = KIND_TEMPLATES[kindCode];
  const none = { drawers: 0, doors: 0, shelves: 0, panels: 0 };
  const { zones, shapes } = build(size ?? usual, { ...none, ...countsOf(kindCode, size, counts) });
  return {
    zones: zones.map(({ called, edgeMm: _edge, ...zone }) => ({ ...zone, ...(name ? { name: name(called) } : {}) })),
    shapes: nameParts(shapes),
    edgesM: new Map(zones.map(({ id, edgeMm }) => [id, edgeMm / 1000])),
  };
}

/** The template a piece is drawn and measured by. */
export const templateOf = ({ kind: code, size_mm, counts }: Dossier['piece'], name?: NameZone): Template =>
  buildTemplate(code, size_mm, counts, name);
