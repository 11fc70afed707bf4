import { TamaguiProvider } from '@tamagui/core';
import { render, screen } from '@testing-library/react-native';
import type { Section } from '@/core/piece';
import { SectionDrawing } from './section-drawing';
import { spread } from './spread';
import { config } from './tamagui.config';

const SAYS = 'Laminate sheet, Scuff 150, Cabinet enamel';
const SECTION: Section = {
  layers: [
    { kind: 'substrate', substrate: 'hpl_laminate', certainty: 0.9 },
    { kind: 'tooth', prep: 'scuff_150' },
    {
      kind: 'coat',
      layer: 'paint',
      filmUm: 40,
      colour: '#ffffff',
      code: 'wb_alkyd_enamel',
      coats: 1,
      tint: 'white',
      note: null,
    },
  ],
};

describe('the section drawing', () => {
  it('can be read without being seen', () => {
    render(
      <TamaguiProvider config={config} defaultTheme="light">
        <SectionDrawing section={SECTION} says={SAYS} />
      </TamaguiProvider>,
    );
    expect(screen.getByLabelText(`Section: ${SAYS}`)).toBeTruthy();
  });
});

describe('labels beside a section', () => {
  it('stand apart by at least a line, within the drawing, in the order of the layers', () => {
    for (const targets of [[10, 12, 14, 200], [5, 100, 101, 102, 250], [240, 245, 250], [0]]) {
      const tops = spread(targets, 50, 260);
      tops.forEach((top, i) => {
        expect(top).toBeGreaterThanOrEqual(0);
        expect(top).toBeLessThanOrEqual(260 - 46);
        if (i > 0) expect(top - tops[i - 1]!).toBeGreaterThanOrEqual(50);
      });
    }
  });
});
