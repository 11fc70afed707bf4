import { TamaguiProvider } from '@tamagui/core';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { config } from '@/client/ui/tamagui.config';
import { CHECKS, findCheck } from '@/core/knowledge';
import { CheckCard } from './check-card';

// Key presses need a document, which the native test renderer has not; they are tested in the browser.
jest.mock('@/client/ui/use-keys', () => ({ useKeys: () => undefined }));

const show = (code: string, props: Partial<Parameters<typeof CheckCard>[0]> = {}) => {
  const onAnswer = jest.fn();
  const onSkip = jest.fn();
  render(
    <TamaguiProvider config={config} defaultTheme="light">
      <CheckCard check={findCheck(code)!} worth={undefined} canSkip onAnswer={onAnswer} onSkip={onSkip} {...props} />
    </TamaguiProvider>,
  );
  return { onAnswer, onSkip };
};

describe('the card of a check', () => {
  it('says what to do, where, how long it takes and what it leaves', () => {
    show('nail_dent');
    expect(screen.getByText('Press a thumbnail in, somewhere hidden')).toBeTruthy();
    expect(screen.getByText(/Underside or back edge\. Half a minute, leaves a small hidden mark\./)).toBeTruthy();
  });

  it('says what it is worth and what an answer would change', () => {
    show('damp_rag', {
      worth: {
        check: 'damp_rag',
        worthMinutes: 33.7,
        worthTogether: 33.7,
        costMinutes: 1,
        moves: { answer: 'Pink or red', need: 'Stain block', from: 0.5, to: 0.99 },
        answers: [],
      },
    });
    expect(screen.getByText(/Worth about 34 min of work/)).toBeTruthy();
    expect(screen.getByText('“Pink or red” would move “stain block” from 1 in 2 to nearly always.')).toBeTruthy();
  });

  it('warns of solvent and of dust', () => {
    show('thinner_rub');
    expect(screen.getByText(/Solvent: door open/)).toBeTruthy();
    show('sand_spot');
    expect(screen.getByText(/Dust: mask on/)).toBeTruthy();
  });

  it('gives the answer that was tapped', () => {
    const { onAnswer, onSkip } = show('edge_line');
    fireEvent.press(screen.getByLabelText('Dark line, brown or black, 1 mm'));
    expect(onAnswer).toHaveBeenCalledWith('dark_line');
    fireEvent.press(screen.getByText('Can’t tell'));
    expect(onSkip).toHaveBeenCalledTimes(1);
  });

  it('lets nobody skip a lead test', () => {
    show('lead_test', { canSkip: false });
    expect(screen.queryByText('Can’t tell')).toBeNull();
  });

  it.each(CHECKS.map(({ code }) => code))('can show every answer of %s', (code) => {
    show(code);
    for (const { label } of findCheck(code)!.answers) expect(screen.getAllByText(label).length).toBeGreaterThan(0);
  });
});
