import type { CoatState, Section } from '@/core/piece';

const STATES: Record<CoatState, string> = { planned: 'planned', wet: 'wet', dry: 'dry', cured: 'cured' };

/** A cut through the layers, for whoever does not see it: from the bottom up, with how far each coat has come. */
export const saySection = ({ layers }: Section): string =>
  layers
    .map((layer) => {
      if (layer.kind !== 'coat' || layer.state === undefined) return layer.label;
      return `${layer.label} (${STATES[layer.state]}${layer.suspect ? ', suspect' : ''})`;
    })
    .join(', ');
