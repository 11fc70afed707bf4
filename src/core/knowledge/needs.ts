/** A thing a surface asks for: what it is called, and why the surface asks for it where that is always the same. */
export interface NeedFact {
  label: string;
  because?: string;
}

/* Common practice. What a fault asks for stands on the row of the fault. */
export const NEED_FACTS = {
  bonding_primer: {
    label: 'Grip primer',
    because: 'Nothing soaks into a slick, closed face: the primer has to hold by itself.',
  },
  stain_block: { label: 'Stain block', because: 'Colour from the wood or an old stain comes up through pale paint.' },
  scuff: { label: 'Visible scuff', because: 'Everything shiny must go dull, or the primer has nothing to bite.' },
  degloss_liquid_ok: { label: 'Liquid deglosser would work', because: 'The old coat is one that deglosser softens.' },
  strip: { label: 'Strip the old coat', because: 'New paint holds no better than the coat under it.' },
  dewax: { label: 'Take off the wax', because: 'Nothing sticks to wax.' },
  desilicone: { label: 'Solvent wash and barrier', because: 'Silicone polish makes wet paint crawl into craters.' },
  edge_seal: { label: 'Seal the edges', because: 'Raw board edges drink paint and swell with water.' },
  grain_fill: { label: 'Fill the grain, if it is to be hidden', because: 'Open pores show through any paint film.' },
  odour_seal: { label: 'Seal the smell in', because: 'Smells come back through paint unless sealed.' },
  soft_pad: { label: 'Soft pad only', because: 'Coarse paper goes through foil.' },
  degrease: { label: 'Degrease' },
  dry_out: { label: 'Let it dry out' },
  lead_test: { label: 'Lead test' },
  lead_gate: { label: 'Keep it wet and closed: lead' },
} as const satisfies Record<string, NeedFact>;
export type NeedCode = keyof typeof NEED_FACTS;
