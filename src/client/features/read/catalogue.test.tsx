import { TamaguiProvider } from '@tamagui/core';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { DRAWN_ANSWERS } from '@/client/ui';
import type * as Glyphs from '@/client/ui/defect-glyph';
import { config } from '@/client/ui/tamagui.config';
import type { Dossier } from '@/core/dossier';
import { CHECK_CODES, CHECKS, DEFECT_FACTS, DEFECT_LISTS, DEFECTS, findCheck, NUMBER_CHECKS } from '@/core/knowledge';
import { diagnoseZone } from '@/core/survey';
import { buildTemplate } from '@/core/templates';
import { DefectList } from './defect-list';
import { Question } from './question';

// Key presses need a document, and pictures a browser; both are tested there.
jest.mock('@/client/ui/use-keys', () => ({ useKeys: () => undefined }));
jest.mock('expo-router', () => ({ Link: ({ children }: { children: unknown }) => children }));
jest.mock('@/client/features/photos', () => ({ PhotoButton: () => null, PhotoStrip: () => null }));

// The list of damage is opened for each kind of it; its drawings are drawn once, below.
jest.mock('@/client/ui/defect-glyph', () => ({ DefectGlyph: () => null, RepairGlyph: () => null }));
const { DefectGlyph } = jest.requireActual<typeof Glyphs>('@/client/ui/defect-glyph');

const dossier: Dossier = {
  format: 'bricolage.dossier/1',
  piece: { id: 'p', kind: 'dresser', history: { era: 'since_2000' } },
  zones: [{ id: 'top', role: 'top', area_m2: 0.5 }],
};
const zone = dossier.zones![0]!;
const parts = { dossier, zone, diagnosis: diagnoseZone(dossier, zone) };
const draw = (node: React.ReactElement) =>
  render(
    <TamaguiProvider config={config} defaultTheme="light">
      {node}
    </TamaguiProvider>,
  );

describe('the whole vocabulary is within reach', () => {
  it('every check is asked or in the list of other checks', () => {
    draw(
      <Question
        {...parts}
        place="bench"
        onPlace={jest.fn()}
        change={jest.fn()}
        onNextZone={jest.fn()}
        more={false}
        leadZones={[]}
      />,
    );
    fireEvent.press(screen.getByText('Make another check'));
    for (const code of CHECK_CODES)
      expect(screen.getAllByText(findCheck(code)?.title ?? NUMBER_CHECKS[code]!.title).length).toBeGreaterThan(0);
  });

  it('every answer has its drawing', () => {
    const answers = CHECKS.flatMap(({ code, answers: own }) => own.map((answer) => `${code}.${answer.code}`));
    expect([...DRAWN_ANSWERS].sort()).toEqual(answers.sort());
  });

  it('every defect has its drawing', () => {
    for (const code of DEFECTS) {
      const { unmount } = draw(<DefectGlyph code={code} />);
      expect(screen.toJSON()).not.toBeNull();
      unmount();
    }
  });

  it('every defect is in exactly one list, and each can be put on a zone', () => {
    expect(DEFECT_LISTS.flatMap(({ codes }) => codes).sort()).toEqual([...DEFECTS].sort());
    const change = jest.fn();
    const { shapes } = buildTemplate('dresser');
    draw(<DefectList {...parts} shapes={shapes} placing={null} onPlacing={jest.fn()} change={change} />);
    for (const code of DEFECTS) {
      fireEvent.press(screen.getByText('Add damage or a stain'));
      fireEvent.press(screen.getByLabelText(DEFECT_FACTS[code].label));
      expect(change).toHaveBeenLastCalledWith({
        type: 'defects_set',
        zoneId: 'top',
        defects: [{ id: expect.any(String), code, extent: 'spot', count: 1 }],
      });
    }
  });
});
