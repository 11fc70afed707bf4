import { saySection } from './section';

const coat = {
  kind: 'coat',
  layer: 'paint',
  filmUm: 40,
  colour: '#FFFFFF',
  code: 'wb_alkyd_enamel',
  coats: 1,
  tint: 'white',
  note: null,
} as const;

const tooth = { kind: 'tooth', prep: 'scuff_150' } as const;

describe('a section in words', () => {
  it('names its layers from the bottom up, and how far each coat has come', () => {
    expect(saySection({ layers: [tooth, coat] })).toBe('Scuff 150, Cabinet enamel');
    expect(
      saySection({
        layers: [
          { ...coat, state: 'wet' },
          { ...coat, state: 'planned' },
        ],
      }),
    ).toBe('Cabinet enamel (wet), Cabinet enamel (planned)');
  });

  it('says the coats of one step once, with how many they are, and the next coat for itself', () => {
    const two = { ...coat, coats: 2 };
    expect(saySection({ layers: [tooth, two, two, coat] })).toBe('Scuff 150, Cabinet enamel ×2, Cabinet enamel');
  });

  it('says which layer is suspected', () => {
    expect(saySection({ layers: [{ ...coat, state: 'cured', suspect: true }] })).toBe(
      'Cabinet enamel (cured, suspect)',
    );
  });
});
