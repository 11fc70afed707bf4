import { TamaguiProvider } from '@tamagui/core';
import { fireEvent, render, screen } from '@testing-library/react-native';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import type { ShopAnswer } from '@/client/features/planner';
import { makeTimes } from '@/client/features/shop-plan';
import { makeStore } from '@/client/store';
import { config } from '@/client/ui/tamagui.config';
import { learnPace, planShop, readPieceWork, readToday, type ShopFacts } from '@/core/work';
import { makeFacts, makePiece, NOW } from '../../../../tests/properties/shop-data';
import { DoNow } from './do-now';
import { Drying } from './drying';

// The shop's setup is the server's, and there is none here.
jest.mock('@/client/store/use-workshop', () => ({
  ...jest.requireActual('@/client/store/use-workshop'),
  useWorkshop: () => ({ workshop: { setup: {}, air: [], pins: [], practice: [] }, loading: false, known: true }),
}));

// The planner's worker needs a browser; answers are made here.
jest.mock('@/client/features/planner', () => ({}));
jest.mock('expo-router', () => ({
  router: { push: () => undefined },
  Link: ({ children }: { children: unknown }) => children,
}));

const times = makeTimes('Europe/Lisbon', 'en-GB');
const store = makeStore(async () => ({ ok: true, status: 200, json: async () => ({}) }) as Response);
const show = (what: ReactNode): void =>
  void render(
    <Provider store={store}>
      <TamaguiProvider config={config} defaultTheme="light">
        {what}
      </TamaguiProvider>
    </Provider>,
  );

function answerFor(dossiers: Parameters<typeof readPieceWork>[0][], facts: ShopFacts): ShopAnswer {
  const pieces = dossiers.map((dossier) => readPieceWork(dossier, facts));
  const plan = planShop(pieces, facts, { tries: 0 });
  return { pieces, plan, today: readToday(pieces, plan, facts), paces: { scuff: learnPace([])('scuff') }, facts: 'x' };
}

describe('what to do now', () => {
  it('is a list in order, each with its time, place, minutes and what to pour, and opens its step', () => {
    const onOpen = jest.fn();
    show(
      <DoNow
        answer={answerFor([makePiece('rack'), makePiece('bench')], makeFacts())}
        times={times}
        now={NOW}
        onOpen={onOpen}
      />,
    );
    const first = screen.getByLabelText(/^09:00 Degrease, rinse, dry, (rack|bench): top\. 10 min, then 1 h by itself/);
    fireEvent.press(first);
    expect(onOpen).toHaveBeenCalledWith(expect.stringMatching(/rack|bench/), expect.stringMatching(/degrease/));
  });

  it('is the next sitting, when nothing is to be done now', () => {
    const onOpen = jest.fn();
    const showAt = (now: string) => {
      const facts = makeFacts({ now });
      show(<DoNow answer={answerFor([makePiece('rack')], facts)} times={times} now={now} onOpen={onOpen} />);
    };
    showAt('2026-11-29T10:00:00.000Z');
    expect(screen.getByText('Tomorrow from 19:00')).toBeTruthy();
    expect(screen.getByText(/^Nothing needs you before\. If you have time now/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText(/^19:00 Degrease, rinse, dry, rack: top\. 10 min/));
    expect(onOpen).toHaveBeenCalledWith('rack', expect.stringMatching(/degrease/));
    showAt('2026-11-30T07:00:00.000Z');
    expect(screen.getByText('Tonight from 19:00')).toBeTruthy();
  });

  it('leads to the pieces while none is in work', () => {
    show(<DoNow answer={answerFor([], makeFacts())} times={times} now={NOW} onOpen={() => undefined} />);
    expect(screen.getByText('Nothing is in work')).toBeTruthy();
  });
});

describe('what is drying', () => {
  const painted = {
    ...makePiece('rack'),
    log: [
      {
        zone: 'top',
        op: 'paint' as const,
        class: 'wb_alkyd_enamel',
        task: '12-paint-wb_alkyd_enamel-1',
        at: '2026-11-28T08:00:00.000Z',
        coats: 1,
      },
    ],
  };

  it('has a clock in words: what it is now, what next and when', () => {
    const { today } = answerFor([painted], makeFacts());
    show(<Drying clocks={today.drying} times={times} now={NOW} />);
    expect(screen.getByText('Cabinet enamel on top')).toBeTruthy();
    expect(screen.getByText('Wet: do not touch')).toBeTruthy();
    expect(screen.getByText(/^touch dry today 10:00/)).toBeTruthy();
  });

  it('says the label’s time beside the one for cold air', () => {
    const cold = makeFacts({}, { air: [{ at: '2026-11-28T08:30:00Z', temperature_c: 13, humidity_pct: 65 }] });
    const { today } = answerFor([painted], cold);
    show(<Drying clocks={today.drying} times={times} now={NOW} />);
    expect(screen.getByText(/label 16 h; in this air about \d+(\.5)? h/)).toBeTruthy();
  });

  it('is nothing when nothing is', () => {
    show(<Drying clocks={[]} times={times} now={NOW} />);
    expect(screen.queryByText('Drying')).toBeNull();
  });
});
