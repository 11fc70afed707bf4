/*
 * The hard layer rules, walked over the steps of a written plan by someone who knows nothing of how it was found: only
 * `bricolage.plan/1`, `bricolage.diagnosis/1` and the dossier. The tables are common practice, written out again here.
 */

interface Step {
  op: string;
  class?: string;
  coats?: number;
  recoat_h?: number;
  product?: string;
  grit?: number;
  between?: boolean;
  repair?: string;
}
interface Likely {
  code: string;
  p: number;
}
export interface ZoneReport {
  substrate: Likely[];
  finish: Likely[];
  soundness: Likely[];
  bleed_p: number;
  needs: Likely[];
}
export interface Circumstances {
  diagnosis: ZoneReport;
  pale: boolean;
  look: string;
  spotsOnly: boolean;
  primesAlways: boolean;
  /** Fresh air, and how coats are put on. */
  air: 'good' | 'limited' | 'none';
  application: 'brush_roll' | 'spray' | 'aerosol';
  /** The paint that is asked for by name. */
  named: string | undefined;
  /** A table top, a seat, or a front of a kitchen. */
  hardUse: boolean;
  moves: boolean;
  /** Handles, which come off to be painted whatever stays on. */
  handles: boolean;
  doorsOn: boolean;
  /** Patches of the shop’s own may speak for what a table would not. */
  tested: boolean;
  area: number;
  wornHard: boolean;
  /** It stands over a radiator or by a stove. */
  heat: boolean;
  /** The school that fills after the primer. */
  fillsLate: boolean;
  tins: readonly { id: string; recoat_h?: number | undefined }[];
}

const GRIPS = [
  'shellac_primer',
  'shellac_clear',
  'stainblock_primer_oil',
  'bonding_primer_wb',
  'bonding_primer_oil',
  'bonding_primer_2k',
  'metal_primer',
];
export const BLOCKS = ['shellac_primer', 'shellac_clear', 'stainblock_primer_oil', 'stainblock_primer_wb'];
/** Coats without which a class blocks nothing, and the hours between them. */
const BLOCKING_COATS: Record<string, number> = { stainblock_primer_wb: 2 };
const BLOCKING_NIGHT_H: Record<string, number> = { stainblock_primer_wb: 12 };
/** Scratches off a slick face however well that is dulled. */
const WEAK = ['allpurpose_primer_wb', 'mdf_sealer'];
const WOODS = [
  'knotty_softwood',
  'clear_softwood',
  'open_grain_hardwood',
  'closed_grain_hardwood',
  'tannin_rich_wood',
  'oily_tropical_wood',
  'wood_veneer',
  'plywood',
];
const CLEARS = ['shellac_clear', 'stainblock_clear_wb'];
/** In full or, with a warning, in part. */
const HOLDS_SMELL = [
  'stainblock_primer_wb',
  'shellac_primer',
  'shellac_clear',
  'stainblock_primer_oil',
  'bonding_primer_oil',
  'aerosol_stainblock',
];
export const STRONG = [
  'shellac_primer',
  'shellac_clear',
  'stainblock_primer_oil',
  'bonding_primer_oil',
  'bonding_primer_2k',
  'aerosol_stainblock',
  'metal_primer',
  'oil_enamel',
  'aerosol_enamel',
  'cabinet_paint_2k',
  'oil_polyurethane',
  'wipe_on_oil',
  'hardwax_oil',
];
/** What may go straight on a sound old clear coat that is clean and scuffed. */
const OVER: Record<string, readonly string[]> = {
  shellac: ['shellac_clear'],
  nitro_lacquer: ['shellac_clear', 'oil_polyurethane'],
  varnish_oil: ['shellac_clear', 'oil_polyurethane'],
  waterborne_clear: ['shellac_clear', 'wb_clear', 'wb_polyurethane', 'oil_polyurethane'],
  catalysed_lacquer: ['shellac_clear'],
  oil: ['wipe_on_oil'],
  hardwax_oil: ['hardwax_oil'],
};
const FILMS = ['wb_clear', 'wb_polyurethane', 'oil_polyurethane'];
const PAINTED = ['chalk_paint', 'latex_paint', 'mineral_paint', 'alkyd_paint', 'powder_coat'];
const WEARS = ['wb_alkyd_enamel', 'oil_enamel', 'aerosol_enamel', 'cabinet_paint_2k'];
/** The least hours to the next coat that any label of the class names. */
const RECOAT_H: Record<string, number> = {
  shellac_primer: 0.75,
  shellac_clear: 0.75,
  stainblock_primer_oil: 2,
  stainblock_primer_wb: 1,
  bonding_primer_wb: 12,
  bonding_primer_oil: 16,
  bonding_primer_2k: 4,
  allpurpose_primer_wb: 1,
  aerosol_stainblock: 0.5,
  chalk_paint: 1,
  mineral_paint: 2,
  milk_paint_acrylic: 2,
  latex_wall_paint: 4,
  wb_alkyd_enamel: 4,
  oil_enamel: 24,
  wb_clear: 2,
  wb_polyurethane: 2,
  oil_polyurethane: 12,
  hardwax_oil: 12,
  wipe_on_oil: 12,
  wax: 24,
};

/** Every hard rule the steps of one zone break, in words; none is what a plan must give. */
export function findBreaches(steps: readonly Step[], around: Circumstances): string[] {
  const breaches: string[] = [];
  const { diagnosis } = around;
  const need = (code: string): number => diagnosis.needs.find((own) => own.code === code)?.p ?? 0;
  const among = (list: readonly Likely[], ...codes: string[]): number =>
    list.filter(({ code }) => codes.includes(code)).reduce((sum, { p }) => sum + p, 0);
  const first = (...ops: string[]): number => steps.findIndex(({ op }) => ops.includes(op));
  const before = (a: number, b: number): boolean => a >= 0 && a < b;
  const coatAt = first('prime', 'paint', 'topcoat', 'stain', 'refresh');
  const primers = steps.filter(({ op }) => op === 'prime').map((step) => step.class!);
  const paint = steps.find(({ op }) => op === 'paint')?.class;
  const clear = steps.find(({ op }) => op === 'topcoat')?.class;
  const expectThat = (kept: boolean, rule: string): void => void (kept || breaches.push(rule));

  findDisorder(steps, around.fillsLate).forEach((rule) => breaches.push(rule));
  if (around.look === 'leave') {
    expectThat(coatAt < 0, 'a zone that is left gets no coat');
    return breaches;
  }
  expectThat(coatAt >= 0, 'a zone that is not left gets a coat');
  const washed = first('degrease', 'clean');
  expectThat(before(washed, coatAt), 'clean before any coat');
  for (const op of ['scuff', 'sand', 'strip', 'liquid_degloss'])
    if (first(op) >= 0) expectThat(before(washed, first(op)), `clean before ${op}`);
  const bare = among(diagnosis.finish, 'bare');
  const board = among(diagnosis.substrate, 'mdf', 'particleboard', 'hardboard');
  if (bare >= 0.9 && board >= 0.9) expectThat(first('degrease') < 0, 'raw board is cleaned dry');
  const wood = among(diagnosis.substrate, ...WOODS);
  const faceOff = steps.some(({ op }) => op === 'remove_face');
  if (around.look === 'opaque' && bare >= 0.9 && wood >= 0.9 && !faceOff) {
    const sanded = steps.slice(0, coatAt).filter(({ op, repair }) => op === 'sand' && !repair);
    expectThat(sanded.length >= 2 && sanded.at(-1)!.grit! >= 180, 'raw wood is sanded in two grits');
  }
  const stripped = first('strip');
  if (stripped >= 0)
    steps.slice(0, stripped).forEach(({ op, repair }) => {
      expectThat(op !== 'fill', 'no filling before stripping');
      expectThat(op !== 'sand' || !repair, 'no levelling of what is stripped');
    });
  const sealedAt = first('edge_seal');
  const dulled = steps.findLastIndex(({ op, repair }, i) => i < coatAt && (op === 'scuff' || op === 'sand') && !repair);
  if (sealedAt >= 0 && dulled >= 0) expectThat(sealedAt > dulled, 'edges are sealed after the dulling');
  if (paint === 'latex_wall_paint')
    expectThat(around.named === paint && !around.hardUse, 'wall paint only by name, and not where it is used hard');
  const whole = steps.filter(({ op }) => ['prime', 'paint', 'topcoat'].includes(op));
  for (const { class: code = '' } of whole) {
    const sprayed = around.application === 'spray' || code.startsWith('aerosol');
    expectThat(!(sprayed && around.air === 'none'), 'no spraying without air');
    expectThat(!(sprayed && around.air === 'limited' && STRONG.includes(code)), 'no solvent mist with only a window');
  }
  if (among(diagnosis.substrate, 'glass_ceramic') >= 0.6) expectThat(coatAt < 0, 'no paint on glass');
  const metal = among(diagnosis.substrate, 'metal_ferrous', 'metal_nonferrous');
  if (bare >= 0.9 && metal >= 0.9 && first('scuff', 'sand') >= 0 && coatAt >= 0)
    expectThat(before(first('clean'), coatAt), 'bright metal is wiped before its primer');
  if (around.doorsOn && !around.handles)
    expectThat(first('refit', 'hardware_off') < 0, 'what stays on is neither taken off nor put back');
  steps.forEach(({ op, class: code = '', coats = 1 }, i) => {
    if (op === 'paint' && coats > 1 && code !== 'aerosol_enamel')
      expectThat(steps[i + 1]?.op === 'denib' && steps[i + 1]?.between === true, 'sanding between coats is a step');
  });
  if (around.look === 'clear' || around.look === 'stain')
    findClearBreaches(steps, around).forEach((rule) => breaches.push(rule));
  if (need('dewax') >= 0.1) expectThat(before(first('dewax'), coatAt), 'nothing over wax');
  if (need('desilicone') >= 0.1) expectThat(before(first('desilicone'), coatAt), 'nothing over silicone');
  if (paint && need('desilicone') >= 0.3)
    expectThat(primers[0]?.startsWith('shellac') ?? false, 'a shellac barrier over silicone');
  if (need('edge_seal') >= 0.1) expectThat(before(first('edge_seal'), coatAt), 'raw edges sealed before any coat');
  if (need('reglue_or_remove_face') >= 0.5)
    expectThat(before(first('reglue', 'remove_face'), coatAt), 'a loose face is fixed or taken off first');
  if (need('dry_out') >= 0.5) expectThat(before(first('dry_out'), coatAt), 'damp wood dries first');
  if (paint && among(diagnosis.soundness, 'failing') >= 0.3)
    expectThat(before(first('strip'), coatAt), 'a failing coat comes off');
  if (among(diagnosis.finish, 'factory_film') >= 0.3) expectThat(first('strip') < 0, 'no stripping of a film');
  const slick = among(diagnosis.finish, 'factory_film', 'catalysed_lacquer', 'powder_coat');
  if (paint && slick >= 0.11)
    expectThat(
      first('scuff', 'sand', 'strip') >= 0 || GRIPS.includes(primers[0] ?? ''),
      'a film is scuffed or gripped',
    );
  if (paint && slick >= 0.11 && !around.tested && !faceOff)
    expectThat(!WEAK.includes(primers[0] ?? ''), 'no primer on a film that scratches off it');
  if (among(diagnosis.finish, 'factory_film') >= 0.11)
    expectThat(first('liquid_degloss') < 0, 'no deglosser on a film');
  if (paint && around.pale && diagnosis.bleed_p >= 0.16) {
    const spots = around.spotsOnly && steps.some((step) => step.op === 'spot_seal');
    const enough = steps.some(
      ({ op, class: code = '', coats = 1 }) =>
        op === 'prime' && BLOCKS.includes(code) && coats >= (BLOCKING_COATS[code] ?? 1),
    );
    expectThat(enough || spots, 'bleed is blocked under pale paint, with as many coats as the class takes');
    for (const { op, class: code = '', recoat_h = Infinity } of steps)
      if (op === 'prime')
        expectThat(recoat_h >= (BLOCKING_NIGHT_H[code] ?? 0), 'a night between coats of a blocker that wants it');
  }
  if (around.pale && paint)
    expectThat(!primers.some((code) => CLEARS.includes(code)), 'no clear blocker under pale paint');
  if (paint && primers[0] === 'shellac_clear') {
    expectThat(!around.pale, 'clear shellac over a whole face only under dark colours');
    expectThat(slick < 0.11, 'clear shellac is no grip on a slick face');
  }
  if (paint) {
    const painted = first('paint');
    steps.forEach(({ op, class: code }, at) => {
      if (op !== 'fill' || !code || at > painted) return;
      const sealed = steps.slice(at + 1, painted).some((later) => later.op === 'prime' || later.op === 'spot_seal');
      expectThat(sealed, 'a fill is sealed before it is painted');
    });
  }
  if (paint && need('odour_seal') > 0.5)
    expectThat(
      primers.some((code) => HOLDS_SMELL.includes(code)),
      'a smell is sealed in',
    );
  if (paint && around.primesAlways) expectThat(primers.length > 0, 'everything is primed');
  if (paint === 'chalk_paint') expectThat(clear !== undefined, 'chalk paint is sealed');
  if (paint && around.wornHard)
    expectThat(WEARS.includes(paint) || clear !== undefined, 'worn hard: enamel or a sealed paint');
  if (clear === 'wax') expectThat(!around.wornHard, 'no wax where it is worn hard');
  if (around.air === 'none')
    for (const step of steps) expectThat(!STRONG.includes(step.class ?? ''), `no ${step.class} without ventilation`);
  if (around.area > 0.3) expectThat(!primers.includes('aerosol_stainblock'), 'no aerosol over an area');
  for (const step of steps) {
    if (step.recoat_h === undefined || !step.class) continue;
    const label = around.tins.find(({ id }) => id === step.product)?.recoat_h ?? RECOAT_H[step.class] ?? 0;
    expectThat(step.recoat_h >= label - 1e-9, `${step.class} not recoated before its label says`);
  }
  const layers = steps.map(({ op }) => op).filter((op) => ['prime', 'paint', 'topcoat'].includes(op));
  const rank = layers.map((op) => ['prime', 'paint', 'topcoat'].indexOf(op));
  expectThat(
    rank.every((own, i) => i === 0 || own >= rank[i - 1]!),
    'primer, paint, clear, in that order',
  );
  return breaches;
}

/** Kinds of work in the order they have to come in, where both are done before the primer. */
const ORDER_OF_WORK: readonly (readonly string[])[] = [
  ['hardware_off', 'clean', 'degrease'],
  ['dry_out'],
  ['strip'],
  ['repair', 'reglue', 'remove_face', 'consolidate'],
  ['fill'],
  ['liquid_degloss', 'scuff'],
  ['dust'],
];

/** Glue before fill before dull before dust, no two fillings in a row, caulk on the primer, nothing after handing over. */
function findDisorder(steps: readonly Step[], fillsLate: boolean): string[] {
  const breaches: string[] = [];
  const ops = steps.map(({ op }) => op);
  const coat = ops.findIndex((op) => op === 'prime' || op === 'paint' || op === 'topcoat' || op === 'stain');
  const ground = coat < 0 ? ops : ops.slice(0, coat);
  const rank = (op: string): number => ORDER_OF_WORK.findIndex((group) => group.includes(op));
  // Who fills after the primer fills there also where nothing is primed.
  const ranked = ground
    // Bright metal is wiped once more when it is dulled.
    .filter((op, i) => op !== 'clean' || !ground.slice(0, i).includes('dust'))
    .filter((op) => op !== 'fill' || !fillsLate)
    .map(rank)
    .filter((place) => place >= 0);
  if (ranked.some((place, i) => i > 0 && place < ranked[i - 1]!)) breaches.push(`out of order: ${ground.join(', ')}`);
  if (ops.some((op, i) => op === 'fill' && ops[i + 1] === 'fill')) breaches.push('two fillings in a row');
  const caulk = ops.indexOf('caulk');
  const paint = ops.indexOf('paint');
  if (caulk >= 0 && paint >= 0 && caulk > paint) breaches.push('caulk after the paint');
  if (caulk >= 0 && ops.includes('prime') && caulk < ops.indexOf('prime')) breaches.push('caulk before the primer');
  if (ops.includes('handover') && ops.at(-1) !== 'handover') breaches.push('something after handing over');
  if (ops.includes('remove_face') && !ops.slice(0, coat).includes('edge_seal'))
    breaches.push('raw board left unsealed');
  return breaches;
}

/** What a clear finish must not lie on, and where it must not stand. */
function findClearBreaches(steps: readonly Step[], { diagnosis, wornHard, heat, air }: Circumstances): string[] {
  const breaches: string[] = [];
  const expectThat = (kept: boolean, rule: string): void => void (kept || breaches.push(rule));
  const has = (op: string): boolean => steps.some((step) => step.op === op);
  const among = (codes: readonly string[]): number =>
    diagnosis.finish.filter(({ code }) => codes.includes(code)).reduce((sum, { p }) => sum + p, 0);
  const bared = has('strip') || steps.some(({ op, grit, repair }) => op === 'sand' && grit === 100 && !repair);
  const kept = has('refresh') || has('reamalgamate');
  const barred = has('prime');
  const clear = steps.find(({ op }) => op === 'topcoat')?.class;
  expectThat(!has('paint'), 'no paint where the wood is to show');
  if (!bared) expectThat(among(PAINTED) < 0.11, 'paint comes off before anything clear');
  if (clear && !bared && !kept)
    for (const [finish, may] of Object.entries(OVER)) {
      const oiled = finish === 'oil' || finish === 'hardwax_oil';
      const holds = barred ? FILMS.includes(clear) && !oiled : may.includes(clear);
      if (!holds) expectThat(among([finish]) < 0.11, `no ${clear} on ${finish}`);
    }
  if (has('reamalgamate')) {
    expectThat(among(['shellac', 'nitro_lacquer']) >= 0.79, 'only shellac and lacquer are melted');
    expectThat(air !== 'none', 'no melting without air');
  }
  if (clear && wornHard && bared)
    expectThat(!['wax', 'shellac_clear', 'wipe_on_oil'].includes(clear), 'nothing soft on a top in daily use');
  if (heat)
    expectThat(
      !steps.some(
        ({ op, class: code = '' }) => (op === 'topcoat' || op === 'refresh') && ['wax', 'shellac_clear'].includes(code),
      ),
      'no wax and no shellac over heat',
    );
  if (among(['bare']) >= 0.9 && clear) expectThat(has('sand'), 'bare wood is sanded');
  return breaches;
}
