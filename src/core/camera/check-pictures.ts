import type { LinearRgb } from '../colour';
import type { Pixels } from '../photo';
import { makeRandom } from '../shared';
import {
  colourOf,
  hash,
  makeChips,
  makeFelt,
  makePlain,
  makePlies,
  makeRag,
  makeWood,
  mixColours,
  photographSurface,
  pick,
  rise,
  shade,
  type Random,
  type Surface,
} from './close-up';
import { drawBetween as between, makeSmoothNoise } from './noise';

/* What each answer of a check looks like from a hand's breadth. What is felt, smelt or heard has no picture. */

type Draw = (random: Random) => Surface;

const WOODS = [
  ['#D9B57C', '#A2743E'],
  ['#C08A55', '#7A4A26'],
  ['#A86B42', '#5A3020'],
  ['#8B5A3C', '#4A2A1C'],
] as const;
const PLAINS = ['#E8E6E0', '#D8D2C4', '#BFC6C8', '#C8A878', '#6B4A34'] as const;
const PAINTS = ['#5F7F73', '#F0EBDD', '#7C8CA0', '#A45A48', '#C9B98C'] as const;

type Pores = 'open' | 'fine' | 'none';
function drawWood(random: Random, more: { pores?: Pores; knots?: number; shine?: number } = {}): Surface {
  const [base, dark] = pick(random, WOODS);
  return makeWood(random, {
    base,
    dark,
    pores: more.pores ?? pick<Pores>(random, ['open', 'fine', 'none']),
    knots: more.knots ?? 0,
    shine: more.shine ?? between(random, 0.1, 0.5),
  });
}
function drawPrint(random: Random, knots = 0): Surface {
  const [base, dark] = pick(random, WOODS);
  return makeWood(random, { base, dark, pores: 'fine', knots, shine: between(random, 0.3, 0.7), printed: true });
}
const drawPlain = (random: Random): Surface => makePlain(random, pick(random, PLAINS), between(random, 0.2, 0.7));
const drawFacing = (random: Random): Surface => (random() < 0.5 ? drawPrint(random) : drawPlain(random));

/** The face above, the edge below it in its own shade; `edge` gets how far below the corner it is. */
function drawEdge(random: Random, face: Surface, edge: (x: number, below: number) => ReturnType<Surface>): Surface {
  const corner = between(random, 0.42, 0.58);
  const lean = between(random, -0.08, 0.08);
  const shadow = between(random, 0.62, 0.85);
  return (x, y) => {
    const below = y - corner - lean * (x - 0.5);
    if (below < 0) return face(x, y);
    const spot = edge(x, below);
    return { ...spot, colour: shade(spot.colour, shadow) };
  };
}

/** A corner of a board that is damaged: the face, and past a ragged line what lies under it. */
function drawCorner(
  random: Random,
  face: Surface,
  under: Surface,
  { ragged, along = 1, lip }: { ragged: number; along?: number; lip?: (past: number) => Partial<ReturnType<Surface>> },
): Surface {
  const noise = makeSmoothNoise(Math.floor(random() * 1e9));
  const reach = between(random, 0.85, 1.1);
  return (x, y) => {
    const past = x / along + y - reach + ragged * noise(x * 9, y * 9) + ragged * 0.5 * noise(x * 31, y * 31);
    if (past > 0.02) {
      const spot = under(x, y);
      return { ...spot, height: spot.height - 0.03 };
    }
    const spot = face(x, y);
    return lip && past > -0.05 ? { ...spot, ...lip((past + 0.05) / 0.07) } : spot;
  };
}

/** Something round that lies on a surface. `inside`: 0 at its rim to 1 in its middle. */
function drawSpot(
  random: Random,
  ground: Surface,
  { radius, ragged }: { radius: readonly [number, number]; ragged: number },
  put: (spot: ReturnType<Surface>, inside: number, x: number, y: number) => ReturnType<Surface>,
): Surface {
  const noise = makeSmoothNoise(Math.floor(random() * 1e9));
  const [cx, cy, r] = [between(random, 0.42, 0.58), between(random, 0.42, 0.58), between(random, ...radius)];
  const squeeze = between(random, 0.85, 1.15);
  return (x, y) => {
    const d = Math.hypot((x - cx) * squeeze, y - cy) * (1 + ragged * noise(x * 8, y * 8));
    const spot = ground(x, y);
    return d >= r ? spot : put(spot, 1 - d / r, x, y);
  };
}

const drawRag =
  (hex: string | readonly string[] | null, shine = 0): Draw =>
  (random) =>
    makeRag(
      random,
      hex === null
        ? null
        : { hex: typeof hex === 'string' ? hex : pick(random, hex), shine, strength: between(random, 0.5, 0.85) },
    );

function drawDrop(kind: 'beads' | 'soaks_slow' | 'soaks_fast'): Draw {
  return (random) => {
    const ground = kind === 'soaks_fast' ? drawWood(random, { shine: 0 }) : drawFacing(random);
    const radius = { beads: [0.14, 0.2], soaks_slow: [0.2, 0.28], soaks_fast: [0.22, 0.32] } as const;
    return drawSpot(
      random,
      ground,
      { radius: radius[kind], ragged: kind === 'soaks_fast' ? 0.25 : 0.05 },
      (spot, inside) => {
        if (kind === 'beads') {
          const dome = Math.sqrt(Math.max(0, 1 - (1 - inside) ** 2));
          return { colour: shade(spot.colour, 0.72 + 0.3 * inside), height: spot.height + 0.07 * dome, shine: 1.6 };
        }
        const wet = kind === 'soaks_fast' ? rise(inside, 0, 0.15) : rise(inside, 0, 0.04);
        return {
          colour: shade(spot.colour, 1 - (kind === 'soaks_fast' ? 0.55 : 0.3) * wet),
          height: spot.height + (kind === 'soaks_fast' ? 0 : 0.012 * Math.sqrt(inside)),
          shine: kind === 'soaks_fast' ? 0 : 0.9,
        };
      },
    );
  };
}

/** A patch sanded by a thumb: scratches in what lies there, and dust about it. */
function drawSanded(
  random: Random,
  ground: Surface,
  bare: (inside: number) => LinearRgb,
  dust: LinearRgb,
  clumps = false,
): Surface {
  const noise = makeSmoothNoise(Math.floor(random() * 1e9));
  const turn = between(random, 0, Math.PI);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [cx, cy] = [between(random, 0.42, 0.58), between(random, 0.42, 0.58)];
  return (x, y) => {
    const d = Math.hypot((x - cx) / 0.3, (y - cy) / 0.22) + 0.12 * noise(x * 9, y * 9);
    const spot = ground(x, y);
    const scratch = noise((x * c + y * s) * 4, (y * c - x * s) * 120);
    const scattered = rise(noise(x * 40, y * 40) + 0.5 * noise(x * 90, y * 90) - 0.9 * Math.abs(d - 1.15), 0.15, 0.4);
    if (clumps) {
      const clump = rise(noise(x * 16, y * 7) - 0.5 * Math.max(0, d - 0.9), 0.25, 0.35);
      const base = d < 1 ? shade(bare(1 - d), 1 + 0.08 * scratch) : spot.colour;
      return { colour: mixColours(base, dust, clump), height: 0.02 * clump, shine: d < 1 ? 0.2 : spot.shine };
    }
    const base = d < 1 ? shade(bare(1 - d), 1 + 0.13 * scratch) : spot.colour;
    return {
      colour: mixColours(base, dust, 0.85 * scattered),
      height: spot.height + (d < 1 ? 0.0015 * scratch - 0.004 : 0) + 0.004 * scattered,
      shine: d < 1 ? 0 : spot.shine * (1 - scattered),
    };
  };
}

/** Tape that was pulled off, its sticky side up, and what came with it. */
function drawTape(kind: 'nothing' | 'specks' | 'sheets'): Draw {
  return (random) => {
    const table = makePlain(random, '#4A453E', 0.1);
    const noise = makeSmoothNoise(Math.floor(random() * 1e9));
    const paint = colourOf(pick(random, PAINTS));
    const tape = colourOf('#D9D2B8');
    const lean = between(random, -0.2, 0.2);
    const limit = { nothing: 9, specks: between(random, 0.62, 0.72), sheets: between(random, -0.15, 0.15) }[kind];
    const scale = kind === 'specks' ? 30 : 5;
    return (x, y) => {
      const across = Math.abs(y - 0.5 - lean * (x - 0.5));
      if (across > 0.3) return table(x, y);
      const wrinkle = noise(x * 14, y * 3);
      const off = rise(noise(x * scale, y * scale) + 0.25 * noise(x * scale * 3, y * scale * 3), limit, limit + 0.06);
      return {
        colour: mixColours(shade(tape, 1 + 0.05 * wrinkle), paint, off),
        height: 0.004 * wrinkle + 0.008 * off,
        shine: off > 0.5 ? 0.15 : 0.9,
      };
    };
  };
}

/** A window in the surface: sharp in a high gloss, a glow in satin, gone in matt. */
function drawGloss(kind: 'matt' | 'satin' | 'semi_gloss' | 'high_gloss'): Draw {
  return (random) => {
    const base = makePlain(random, pick(random, [...PAINTS, '#6B4A34', '#3E3A36']), 0, kind === 'matt' ? 0.05 : 0.015);
    const noise = makeSmoothNoise(Math.floor(random() * 1e9));
    const { soft, strength } = {
      matt: { soft: 1, strength: 0 },
      satin: { soft: 0.3, strength: 0.16 },
      semi_gloss: { soft: 0.1, strength: 0.3 },
      high_gloss: { soft: 0.012, strength: 0.5 },
    }[kind];
    const at = {
      x: between(random, 0.4, 0.6),
      y: between(random, 0.4, 0.6),
      w: between(random, 0.16, 0.24),
      h: between(random, 0.2, 0.28),
    };
    const lean = between(random, -0.3, 0.3);
    return (x, y) => {
      const wave = kind === 'high_gloss' ? 0.004 : 0.01;
      const u = x - at.x + lean * (y - at.y) + wave * noise(x * 9, y * 9);
      const v = y - at.y + wave * noise(x * 9 + 7, y * 9);
      const pane =
        (1 - rise(Math.abs(u), at.w - soft, at.w + soft)) * (1 - rise(Math.abs(v), at.h - soft, at.h + soft));
      const bar = soft < 0.2 ? 1 - 0.9 * (1 - rise(Math.min(Math.abs(u), Math.abs(v)), 0.012, 0.012 + soft)) : 1;
      const spot = base(x, y);
      return { ...spot, colour: mixColours(spot.colour, [0.95, 0.97, 1], strength * pane * bar) };
    };
  };
}

/** A chip at an edge, the coats seen from the side: how much of the picture they take. */
function drawThickness(kind: 'thin' | 'thick' | 'caked'): Draw {
  return (random) => {
    const wood = drawWood(random, { shine: 0 });
    const layers = Array.from({ length: kind === 'caked' ? 5 : kind === 'thick' ? 2 : 1 }, () =>
      colourOf(pick(random, PAINTS)),
    );
    const thick = {
      thin: between(random, 0.012, 0.02),
      thick: between(random, 0.06, 0.09),
      caked: between(random, 0.18, 0.25),
    }[kind];
    const noise = makeSmoothNoise(Math.floor(random() * 1e9));
    const top = between(random, 0.4, 0.5);
    const brushed = kind === 'thin' ? 0.0005 : 0.004;
    return (x, y) => {
      const rim = top + 0.02 * noise(x * 6, 3);
      const mark = noise(x * 2, y * 45);
      if (y < rim) return { colour: layers[0]!, height: brushed * mark, shine: 0.35 };
      const depth = (y - rim) / thick;
      if (depth < 1) {
        const layer = layers[Math.floor(depth * layers.length)]!;
        return { colour: shade(layer, 0.7), height: -0.01 * depth, shine: 0.05 };
      }
      const spot = wood(x, y);
      return { ...spot, colour: shade(spot.colour, 0.8), height: spot.height - 0.02 };
    };
  };
}

/** A dab of white on a ground. `within`: what comes through in its middle. */
function drawDab(stain: string | null, craters = false): Draw {
  return (random) => {
    const noise = makeSmoothNoise(Math.floor(random() * 1e9));
    const seed = Math.floor(random() * 1e9);
    const white = colourOf('#EFEEE9');
    const colour = stain ? colourOf(stain) : white;
    const strength = between(random, 0.35, 0.7);
    return drawSpot(
      random,
      drawWood(random, { shine: 0.2 }),
      { radius: [0.26, 0.34], ragged: craters ? 0.3 : 0.06 },
      (spot, inside, x, y) => {
        if (craters) {
          const [gx, gy] = [Math.floor(x * 14), Math.floor(y * 14)];
          const id = gx * 977 + gy;
          const hole = Math.hypot(
            x * 14 - gx - 0.3 - 0.4 * hash(id, seed),
            y * 14 - gy - 0.3 - 0.4 * hash(id, seed + 1),
          );
          const size = 0.15 + 0.3 * hash(id, seed + 2);
          if (hash(id, seed + 3) < 0.7 && hole < size) return spot;
        }
        const through = stain ? strength * rise(noise(x * 6, y * 6) + inside, 0.3, 0.9) : 0;
        return { colour: mixColours(white, colour, through), height: 0.014 * rise(inside, 0, 0.12), shine: 0.3 };
      },
    );
  };
}

/** A pattern that comes again after a stretch, as a printing roller makes it. */
function drawRepeating(random: Random): Surface {
  const print = drawPrint(random, 1);
  const period = between(random, 0.3, 0.45);
  const shift = between(random, 0, 1);
  return (x, y) => print(((x + shift) / period) % 1, y);
}

const FELT: Draw = (random) => makeFelt(random);

const PICTURES: Readonly<Record<string, Readonly<Record<string, Draw>>>> = {
  edge_line: {
    grain_continues: (random) => {
      const wood = drawWood(random);
      return drawEdge(random, wood, (x, below) => wood(x, 0.5 + below * 0.35));
    },
    thin_wood_layer: (random) => {
      const [face, skin, core] = [
        drawWood(random),
        drawWood(random),
        random() < 0.5 ? makeChips(random) : makeFelt(random),
      ];
      return drawEdge(random, face, (x, below) => (below < 0.035 ? skin(x, below * 4) : core(x, below)));
    },
    dark_line: (random) => {
      const face = drawFacing(random);
      const line = colourOf('#3A2A1E');
      return drawEdge(random, face, (x, below) =>
        below < 0.03 ? { colour: line, height: 0, shine: 0.1 } : face(x, below),
      );
    },
    plastic_strip: (random) => {
      const [face, band] = [drawFacing(random), makePlain(random, pick(random, PLAINS), 0.9)];
      return drawEdge(random, face, (x, below) => {
        const spot = band(x, below);
        return below < 0.012
          ? { colour: shade(spot.colour, 0.35), height: -0.01, shine: 0 }
          : { ...spot, height: 0.006 };
      });
    },
    wraps_no_line: (random) => {
      const skin = drawPlain(random);
      const corner = between(random, 0.42, 0.58);
      return (x, y) => {
        const spot = skin(x, y);
        const over = rise(y, corner - 0.14, corner + 0.14);
        return { colour: shade(spot.colour, 1 - 0.3 * over), height: spot.height - 0.09 * over, shine: 0.9 };
      };
    },
    raw_fuzzy: (random) => {
      const [face, core] = [drawFacing(random), random() < 0.6 ? makeFelt(random) : makeChips(random)];
      const noise = makeSmoothNoise(Math.floor(random() * 1e9));
      return drawEdge(random, face, (x, below) => {
        const spot = core(x, below);
        return { ...spot, colour: shade(spot.colour, 1 + 0.12 * noise(x * 70, below * 40)), height: spot.height * 2 };
      });
    },
  },
  pattern_repeat: {
    repeats: drawRepeating,
    no_repeat: (random) => drawWood(random, { knots: 2 + Math.floor(random() * 3) }),
    plain_colour: drawPlain,
  },
  core_view: {
    long_fibre: (random) => drawWood(random, { shine: 0, pores: 'open' }),
    chips: makeChips,
    fine_fibre: FELT,
    plies: makePlies,
    thin_brown_sheet: (random) => {
      const [sheet, behind] = [makePlain(random, '#6E4A2C', 0.15), makePlain(random, '#2E2B28', 0)];
      const [top, thick] = [between(random, 0.35, 0.5), between(random, 0.1, 0.16)];
      return (x, y) => (y > top && y < top + thick ? { ...sheet(x, y), height: 0.02 } : behind(x, y));
    },
  },
  corner_lift: {
    plastic_skin: (random) =>
      drawCorner(random, drawPlain(random), makeFelt(random), {
        ragged: 0.03,
        along: 1.2,
        lip: (past) => ({ height: 0.09 * past ** 2, shine: 1.2 }),
      }),
    brittle_chip: (random) => {
      const light = colourOf('#E9E2D0');
      return drawCorner(random, drawFacing(random), makeChips(random), {
        ragged: 0.1,
        lip: (past) => (past > 0.55 ? { colour: light, height: -0.01 } : {}),
      });
    },
    paper_tear: (random) => {
      const paper = colourOf('#E4DCC8');
      return drawCorner(random, drawPrint(random), random() < 0.5 ? makeChips(random) : makeFelt(random), {
        ragged: 0.2,
        lip: (past) => ({ colour: paper, height: 0.012 * past, shine: 0 }),
      });
    },
    wood_flake: (random) => {
      const [base, dark] = pick(random, WOODS);
      const under = makeWood(random, { base: '#DDBE8E', dark: '#B8925E', pores: 'none', knots: 0, shine: 0 });
      const face = makeWood(random, { base, dark, pores: 'fine', knots: 0, shine: 0.4 });
      return drawCorner(random, face, under, { ragged: 0.06, along: 2.6 });
    },
    paint_flake: (random) => {
      const paint = makePlain(random, pick(random, PAINTS), 0.4);
      return drawCorner(random, paint, drawWood(random, { shine: 0.1 }), {
        ragged: 0.28,
        lip: (past) => ({ height: 0.012 * past }),
      });
    },
    none_found: (random) => {
      const [face, table] = [drawWood(random), makePlain(random, '#4A453E', 0.1)];
      const [cx, cy, r] = [between(random, 0.62, 0.72), between(random, 0.62, 0.72), 0.07];
      return (x, y) => {
        const [dx, dy] = [x - cx, y - cy];
        const out = dx > 0 && dy > 0 ? Math.hypot(dx, dy) - r : Math.max(dx, dy) - r;
        return out > 0 ? { ...table(x, y), height: -0.1 } : face(x, y);
      };
    },
  },
  pores: {
    open_felt: (random) => drawWood(random, { pores: 'open', shine: 0.3 }),
    medium_felt: (random) => drawWood(random, { pores: 'fine', shine: 0.3 }),
    none_felt_wood: (random) => drawWood(random, { pores: 'none', shine: 0.3 }),
    seen_not_felt: (random) => drawPrint(random),
  },
  knots_seen: {
    many: (random) => drawWood(random, { knots: 5 + Math.floor(random() * 3), pores: 'none' }),
    few: (random) => drawWood(random, { knots: 1 + Math.floor(random() * 2), pores: 'none' }),
    none: (random) => drawWood(random, { knots: 0, pores: 'none' }),
  },
  wood_colour: Object.fromEntries(
    (
      [
        ['pale_yellow', '#E3C48D', '#C79E62'],
        ['honey_tan', '#C4955A', '#93653A'],
        ['red_brown', '#9A4F33', '#64291C'],
        ['dark_brown', '#5E3F2C', '#332017'],
      ] as const
    )
      .map(([code, base, dark]): [string, Draw] => [
        code,
        (random) =>
          makeWood(random, { base, dark, pores: pick<Pores>(random, ['open', 'fine', 'none']), knots: 0, shine: 0.1 }),
      ])
      .concat([
        [
          'grey_white_plain',
          (random: Random) => makePlain(random, pick(random, ['#DAD8D3', '#C9CBCB', '#B9B4AA']), 0.3),
        ],
      ]),
  ),
  nail_dent: {
    dents: (random) =>
      drawSpot(
        random,
        drawWood(random, { pores: 'none', shine: 0.3 }),
        { radius: [0.2, 0.26], ragged: 0.02 },
        (spot, inside, x, y) => {
          const arc = Math.exp(-(((inside - 0.35) / 0.09) ** 2)) * (y > x - 0.1 ? 1 : 0.1);
          return { ...spot, colour: shade(spot.colour, 1 - 0.25 * arc), height: spot.height - 0.02 * arc };
        },
      ),
    no_mark: (random) => (random() < 0.5 ? drawFacing(random) : drawWood(random, { shine: 0.4 })),
  },
  water_drop: { beads: drawDrop('beads'), soaks_slow: drawDrop('soaks_slow'), soaks_fast: drawDrop('soaks_fast') },
  damp_rag: {
    clean: drawRag(null),
    grease_brown: drawRag(['#A67B3C', '#8A6234']),
    red_pink: drawRag(['#C2685E', '#B4544E']),
    paint_colour: drawRag(['#6E9A86', '#6C86B4', '#5E8C98']),
  },
  spirit_rub: { waxy_film: drawRag(['#C9A24A', '#B98F3C'], 0.9), clean: drawRag(null) },
  grease_wipe: {
    clean: drawRag(null),
    yellow_film: drawRag(['#C4A04E', '#B08A3A']),
    slippery: drawRag(['#B9B8AE'], 2.5),
  },
  sand_spot: {
    wood_dust: (random) => {
      const dust = colourOf('#E2C79A');
      return drawSanded(random, drawWood(random), () => colourOf('#D2AC74'), dust);
    },
    white_then_dark: (random) => {
      const [white, dark] = [colourOf('#EDEAE2'), colourOf('#54412F')];
      return drawSanded(
        random,
        drawFacing(random),
        (inside) => mixColours(white, dark, rise(inside, 0.3, 0.45)),
        white,
      );
    },
    paper_brown: (random) => drawSanded(random, drawPrint(random), () => colourOf('#9C7A50'), colourOf('#B39366')),
    gums_up: (random) => {
      const skin = pick(random, PAINTS);
      return drawSanded(
        random,
        makePlain(random, skin, 0.5),
        () => shade(colourOf(skin), 0.85),
        shade(colourOf(skin), 0.6),
        true,
      );
    },
    fine_chalk: (random) => {
      const skin = pick(random, PAINTS);
      const pale = mixColours(colourOf(skin), [0.9, 0.9, 0.88], 0.65);
      return drawSanded(random, makePlain(random, skin, 0, 0.04), () => mixColours(colourOf(skin), pale, 0.5), pale);
    },
    hard_colour: (random) => {
      const skin = pick(random, PAINTS);
      return drawSanded(random, makePlain(random, skin, 0.9), () => colourOf(skin), colourOf(skin));
    },
  },
  tape_pull: { nothing: drawTape('nothing'), specks: drawTape('specks'), sheets: drawTape('sheets') },
  gloss_look: {
    matt: drawGloss('matt'),
    satin: drawGloss('satin'),
    semi_gloss: drawGloss('semi_gloss'),
    high_gloss: drawGloss('high_gloss'),
  },
  coat_thickness: { thin: drawThickness('thin'), thick: drawThickness('thick'), caked: drawThickness('caked') },
  crawl_dab: { lies_flat: drawDab(null), crawls: drawDab(null, true) },
  bleed_probe: {
    stays_white: drawDab(null),
    yellow: drawDab('#D9B44A'),
    pink_red: drawDab('#D07A70'),
    brown: drawDab('#9A7048'),
  },
};

/** Whether an answer of a check can be seen in a picture. */
export const isPictured = (check: string): boolean => check in PICTURES;

/**
 * What an answer of a check looks like, `side` pixels square; null where it is not seen. The same seed gives the same
 * picture, another seed another piece in another light.
 */
export function photographCheck(check: string, answer: string, side: number, seed: number): Pixels | null {
  const draw = PICTURES[check]?.[answer];
  return draw ? photographSurface(draw(makeRandom(seed * 48_271 + 3)), side, seed) : null;
}
