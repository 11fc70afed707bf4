import {
  FACED_BOARDS,
  FILM_FACTS,
  FINISH_FACTS,
  SUBSTRATE_FACTS,
  labelProduct,
  type FinishCode,
  type SubstrateCode,
} from '../knowledge';
import type { Dossier, Zone } from '../dossier';
import { formatChance } from '../shared';
import { mostLikelyState, type Belief } from '../survey';
import { computeLightness, DEFAULT_COLOUR, type ZonePlan } from '../systems';

/** One layer of a cut through a zone, from the substrate up. Drawn by the client; pure data here. */
export type SectionLayer =
  | { kind: 'substrate'; substrate: SubstrateCode; label: string; note: string; certainty: number }
  | { kind: 'finish'; finish: FinishCode; label: string; note: string }
  | { kind: 'tooth'; label: string; note: string }
  | {
      kind: 'coat';
      layer: 'primer' | 'paint' | 'clear' | 'seal';
      filmUm: number;
      colour: string;
      label: string;
      note: string;
    };

export interface Section {
  layers: SectionLayer[];
  /** The whole drawing in words. */
  summary: string;
}

const GREY_PRIMER = '#B9C2BF';
const WHITE_PRIMER = '#EDEFEA';
const CLEAR = '#FFFFFF';

/** The cut through a zone as believed now and, with a plan, as it is to become. */
export function buildSection(belief: Belief, plan?: ZonePlan, goal?: Dossier['goal']): Section {
  const { substrate, finish, p } = mostLikelyState(belief);
  const layers: SectionLayer[] = [
    {
      kind: 'substrate',
      substrate,
      label: SUBSTRATE_FACTS[substrate].label,
      note: formatChance(belief.substrate[0]?.p ?? p),
      certainty: belief.substrate[0]?.p ?? p,
    },
  ];
  // A factory film is the face of its board and is drawn with it.
  const ownFace = finish === 'factory_film' && (FACED_BOARDS as readonly string[]).includes(substrate);
  const keepsFinish =
    finish !== 'bare' && !ownFace && plan?.candidate.prep !== 'strip' && plan?.candidate.prep !== 'sand_bare';
  if (keepsFinish) {
    const words = FINISH_FACTS[finish].label;
    const label = words.charAt(0).toUpperCase() + words.slice(1);
    layers.push({ kind: 'finish', finish, label, note: 'what you paint onto' });
  }
  if (plan) layers.push(...planLayers(plan, goal));
  return { layers, summary: layers.map((layer) => layer.label).join(', ') };
}

function planLayers(plan: ZonePlan, goal: Dossier['goal']): SectionLayer[] {
  const colour = goal?.colour ?? DEFAULT_COLOUR;
  const primerColour = computeLightness(colour) > 0.35 ? WHITE_PRIMER : GREY_PRIMER;
  return plan.steps.flatMap((step): SectionLayer[] => {
    if (step.op === 'scuff' || step.op === 'sand' || step.op === 'liquid_degloss') {
      return [{ kind: 'tooth', label: step.label, note: `${step.minutes} min` }];
    }
    if (step.op !== 'prime' && step.op !== 'paint' && step.op !== 'topcoat') return [];
    const film = FILM_FACTS[step.class as keyof typeof FILM_FACTS];
    const layer = step.op === 'prime' ? 'primer' : step.op === 'paint' ? 'paint' : 'clear';
    const coats = step.coats ?? 1;
    const note = `${step.ml ?? 0} ml${coats > 1 ? `, ${film.recoatH} h between` : `, dry ${film.recoatH} h`}`;
    const coatColour = layer === 'primer' ? primerColour : layer === 'paint' ? colour : CLEAR;
    const label = labelProduct(step.class!);
    return Array.from({ length: coats }, (_, i) => ({
      kind: 'coat' as const,
      layer,
      filmUm: film.dryFilmUm,
      colour: coatColour,
      label: i === 0 && coats > 1 ? `${label} ×${coats}` : label,
      note,
    }));
  });
}

/** Leaves no more than the first words of each group: labels for leader lines, one a product. */
export function groupLayers(section: Section): { label: string; note: string; from: number; to: number }[] {
  const groups: { label: string; note: string; from: number; to: number; key: string }[] = [];
  section.layers.forEach((layer, i) => {
    const key = layer.kind === 'coat' ? `${layer.layer}${layer.label.replace(/ ×\d+$/, '')}` : `${layer.kind}${i}`;
    const last = groups[groups.length - 1];
    if (last?.key === key) last.to = i;
    else groups.push({ label: layer.label, note: layer.note, from: i, to: i, key });
  });
  return groups.map(({ key: _key, ...group }) => group);
}

export const zoneName = (zone: Pick<Zone, 'id' | 'name'>): string => zone.name ?? zone.id;
