import { FINISH_FACTS, labelProduct, PREP_FACTS, SUBSTRATE_FACTS } from '@/core/knowledge';
import type { CoatState, Section, SectionLayer } from '@/core/piece';
import { upperFirst } from '@/core/shared';
import { formatChance } from './chances';
import { nameStep, TINTS } from './steps';

/** What a layer of a section is called. */
export function nameLayer(layer: SectionLayer): string {
  switch (layer.kind) {
    case 'substrate':
      return SUBSTRATE_FACTS[layer.substrate].label;
    case 'finish':
      return upperFirst(FINISH_FACTS[layer.finish].label);
    case 'tooth':
      return 'step' in layer ? nameStep(layer.step) : PREP_FACTS[layer.prep].label;
    case 'coat': {
      const tint = TINTS[layer.tint];
      return `${labelProduct(layer.code)}${tint ? `, ${tint}` : ''}${layer.coats > 1 ? ` ×${layer.coats}` : ''}`;
    }
  }
}

const COMES: Record<CoatState, string> = { planned: 'to come', wet: 'wet', dry: 'dry', cured: 'cured' };

const NOTES = { of_before: 'of before', as_logged: 'as logged' } as const;
const SUSPECT = 'suspect';

/** What is said beside the name of a layer. */
export function sayLayer(layer: SectionLayer): string {
  switch (layer.kind) {
    case 'substrate':
      return formatChance(layer.certainty);
    case 'finish':
      return 'what you paint onto';
    case 'tooth':
      return 'step' in layer ? `${layer.minutes} min` : '';
    case 'coat': {
      const { note, state, suspect } = layer;
      if (suspect) return SUSPECT;
      if (note === null) return '';
      if (note.code === 'as_it_is') return state === undefined ? '' : COMES[state];
      if (note.code !== 'planned') return NOTES[note.code];
      const wait = `${note.recoatH} h`;
      return `${note.ml} ml, ${note.coats > 1 ? `${wait} between` : `dry ${wait}`}`;
    }
  }
}

const STATES: Record<CoatState, string> = { planned: 'planned', wet: 'wet', dry: 'dry', cured: 'cured' };

/** A cut through the layers, for whoever does not see it: from the bottom up, with how far each coat has come. */
export const saySection = ({ layers }: Section): string =>
  layers
    .flatMap((layer, i) => {
      const name = nameLayer(layer);
      if (layer.kind !== 'coat') return name;
      // Coats of one step are drawn one by one and said once, with how many they are.
      const before = layers[i - 1];
      if (layer.coats > 1 && before?.kind === 'coat' && nameLayer(before) === name) return [];
      return layer.state === undefined
        ? name
        : `${name} (${STATES[layer.state]}${layer.suspect ? `, ${SUSPECT}` : ''})`;
    })
    .join(', ');
