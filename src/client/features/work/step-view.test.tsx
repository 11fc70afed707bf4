import { TamaguiProvider } from '@tamagui/core';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { Provider } from 'react-redux';
import { makeTimes } from '@/client/features/shop-plan';
import { makeStore, sittingBegun } from '@/client/store';
import { config } from '@/client/ui/tamagui.config';
import { applyChange, type Dossier, type ShelfItem } from '@/core/dossier';
import { learnPace, logTask, readPieceWork, type Task } from '@/core/work';
import { makeFacts, makePiece, NOW, plainSteps } from '../../../../tests/properties/shop-data';
import { StepView } from './step-view';
import type { WorkView } from './use-work';

// The shop's setup is the server's, and there is none here.
jest.mock('@/client/store/use-workshop', () => ({
  ...jest.requireActual('@/client/store/use-workshop'),
  useWorkshop: () => ({ workshop: { setup: {}, air: [], pins: [], practice: [] }, loading: false, known: true }),
}));

// The planner's worker, keys, the screen's lock and its frame need a browser; the walk through them is tested there.
jest.mock('@/client/features/planner', () => ({}));
jest.mock('@/client/ui/use-keys', () => ({ useKeys: () => undefined }));
jest.mock('./use-wake-lock', () => ({ useWakeLock: () => undefined }));
jest.mock('@/client/features/piece-frame', () => ({ MainAction: ({ children }: { children: unknown }) => children }));
jest.mock('expo-router', () => ({ router: { replace: () => undefined } }));

const SHELLAC = plainSteps().map((step) =>
  step.op === 'prime' ? { ...step, label: 'Shellac primer', class: 'shellac_primer', recoat_h: 1, wait_h: 1 } : step,
);

function show(
  dossier: Dossier,
  pick: (task: Task) => boolean,
  tins: ShelfItem[] = [],
  { now = NOW, air = [] }: { now?: string; air?: WorkView['air'] } = {},
) {
  const store = makeStore(async () => ({ ok: true, status: 200, json: async () => ({}) }) as Response);
  const facts = makeFacts({ tins, now });
  const piece = readPieceWork(dossier, facts);
  const task = piece.tasks.find(pick)!;
  const onLog = jest.fn();
  const view: WorkView = {
    piece,
    plan: null,
    tins,
    air,
    times: makeTimes('Europe/Lisbon', 'en-GB'),
    timeZone: 'Europe/Lisbon',
    now,
    pace: learnPace([]),
    log: () => undefined,
    logExtra: () => undefined,
    takeBack: () => undefined,
    putRight: () => undefined,
  };
  render(
    <Provider store={store}>
      <TamaguiProvider config={config} defaultTheme="light">
        <StepView view={view} task={task} onLog={onLog} />
      </TamaguiProvider>
    </Provider>,
  );
  return { store, onLog, task };
}

describe('a step', () => {
  it('says what, where, how long, how much to pour, what then and what matters', () => {
    show(makePiece('desk', ['top', 'legs']), ({ op, coat }) => op === 'paint' && coat === 1);
    expect(screen.getByText('Cabinet enamel, coat 1 of 2')).toBeTruthy();
    expect(screen.getByText('top, legs')).toBeTruthy();
    expect(screen.getByText('42 min')).toBeTruthy();
    expect(screen.getByText('340 ml')).toBeTruthy();
    expect(screen.getByText('16 h')).toBeTruthy();
    expect(
      screen.getByText('• Put it on across, then at 45° both ways; the last pass in one direction, with no weight.'),
    ).toBeTruthy();
  });

  it('cannot be done before its caution was seen, once in a sitting', () => {
    const { store, onLog, task } = show(makePiece('desk', ['top'], SHELLAC), ({ op }) => op === 'prime');
    expect(screen.getByText('Strong, flammable vapour')).toBeTruthy();
    expect(screen.queryByText('Done')).toBeNull();
    expect(screen.queryByText(/^Done all the same/)).toBeNull();
    fireEvent.press(screen.getByText('Seen: strong, flammable vapour'));
    // What comes before it is not done: it can be logged, but not as if all were well.
    fireEvent.press(screen.getByText(/^Done all the same/));
    expect(onLog).toHaveBeenCalledWith(task, { cautions: ['fumes'] });
    act(() => void store.dispatch(sittingBegun({ until: null, at: NOW })));
    expect(screen.getByText('Seen: strong, flammable vapour')).toBeTruthy();
  });

  it('waits for the coat under it, and says until when', () => {
    const piece = makePiece('desk');
    const coats = readPieceWork(piece, makeFacts()).tasks.filter(({ op }) => op === 'paint');
    const painted = applyChange(piece, {
      type: 'work_logged',
      work: 'w',
      entries: logTask(coats[0]!, { at: '2026-11-28T08:00:00.000Z' }),
    })!;
    show(painted, ({ op, coat }) => op === 'paint' && coat === 2);
    expect(screen.getByText('Not before tomorrow 00:00: 15 h')).toBeTruthy();
    expect(screen.getByText(/^Done all the same/)).toBeTruthy();
  });

  it('warns before a fault is made, by what would be found after it, and keeps on record that it was done all the same', () => {
    const air = [{ at: NOW, temperature_c: 8, humidity_pct: 50 }];
    const { onLog, task } = show(makePiece('desk'), ({ op, coat }) => op === 'paint' && coat === 1, [], { air });
    expect(screen.getByText('If it is done now, this stands against it')).toBeTruthy();
    expect(screen.getByText('8 °C for cabinet enamel, which wants 10 °C at least.')).toBeTruthy();
    expect(screen.queryByText('Done')).toBeNull();
    fireEvent.press(screen.getByText(/^Done all the same/));
    expect(onLog).toHaveBeenCalledWith(task, { cautions: ['too_cold'] });
  });

  it('is taken from the tin there is, and warns when that is not enough', () => {
    const tins = [{ id: 'blue', class: 'wb_alkyd_enamel', name: 'Blue enamel', volume_ml: 100 }];
    show(makePiece('desk'), ({ op, coat }) => op === 'paint' && coat === 1, tins);
    expect(screen.getByText('With: Blue enamel')).toBeTruthy();
    expect(screen.getByText('Only 100 ml left in this tin')).toBeTruthy();
  });

  it('has nothing to press while it is held back', () => {
    const piece = makePiece('desk');
    const failed = {
      ...piece,
      tests: piece.tests!.map((test) => ({ ...test, reading: test.kind === 'nail' ? { score: 5 } : test.reading })),
    };
    show(failed, ({ op }) => op === 'prime');
    expect(screen.queryByText(/^Done/)).toBeNull();
    expect(screen.queryByText('Start the clock')).toBeNull();
  });

  it('can be logged otherwise: minutes, thinning, a note, or left out on purpose', () => {
    const { onLog, task } = show(makePiece('desk'), ({ op, coat }) => op === 'paint' && coat === 1);
    fireEvent.press(screen.getByLabelText('Something else, or earlier'));
    const fields = screen.UNSAFE_getAllByType(require('react-native').TextInput); // eslint-disable-line @typescript-eslint/no-require-imports
    fireEvent.changeText(fields[0]!, 'long');
    expect(screen.getByText('A number from 0 to 600.')).toBeTruthy();
    fireEvent.changeText(fields[0]!, '35');
    fireEvent.changeText(fields[1]!, '5');
    fireEvent.press(screen.getByText('Done, like this'));
    expect(onLog).toHaveBeenLastCalledWith(task, { minutes: 35, thinnedPct: 5 });
    fireEvent.press(screen.getByText('Not done, and it stays so'));
    expect(onLog).toHaveBeenLastCalledWith(task, { minutes: 35, thinnedPct: 5, skipped: true });
  });
});
