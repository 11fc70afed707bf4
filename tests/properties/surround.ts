import { computeLuminance, convertHexToLinearRgb } from '@/core/colour';
import type { Dossier } from '@/core/dossier';
import type { assessZone } from '@/core/survey';
import type { Circumstances } from './rule-walker';

/** What the walker of the rules is told of a zone, read off the dossier alone. */
export function surround(piece: Dossier, { belief, needs }: ReturnType<typeof assessZone>, z: number): Circumstances {
  const zone = piece.zones![z]!;
  const goal = piece.goal ?? {};
  const room = goal.room ?? piece.piece.history?.room;
  const own = goal.zones?.[zone.id];
  const hues = [own?.colour ?? goal.colour ?? '#F3EFE6', ...(own?.second ? [own.second.colour] : [])];
  const left = zone.role === 'hardware' || zone.role === 'back';
  const kitchen = piece.piece.kind === 'kitchen_run' || piece.piece.history?.room === 'kitchen';
  const wet = room === 'kitchen' || room === 'bathroom';
  return {
    diagnosis: { ...belief, bleed_p: belief.present.bleed, needs },
    pale: hues.some((hue) => computeLuminance(convertHexToLinearRgb(hue)) > 0.35),
    look: own?.look ?? (left ? 'leave' : (goal.look ?? 'opaque')),
    spotsOnly: goal.schools?.stain_block === 'spots_only',
    primesAlways: goal.schools?.priming !== 'when_needed',
    air: goal.ventilation ?? 'good',
    application: goal.application ?? 'brush_roll',
    named: own?.paint ?? goal.paint,
    hardUse: zone.role === 'top' || (kitchen && ['door', 'drawer_front', 'drawer_side', 'front'].includes(zone.role)),
    heat: zone.heat === true,
    moves: ['door', 'drawer_front', 'drawer_side'].includes(zone.role),
    handles: zone.role === 'hardware',
    doorsOn: goal.schools?.doors === 'on',
    tested: (piece.tests ?? []).length > 0,
    area: zone.area_m2!,
    wornHard: zone.role === 'top' || (wet && ['door', 'drawer_front', 'front'].includes(zone.role)),
    fillsLate: goal.schools?.fill === 'after_prime',
    tins: piece.shelf ?? [],
  };
}
