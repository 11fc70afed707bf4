/*
 * What the first screen does without comes together, in one file of its own: its parts share most of what they need, and
 * what two files of the program share would be loaded with the first screen.
 */
export { EnterScreen } from './features/access';
export { CompareScreen, PieceGlance } from './features/compare';
export { GlossaryScreen, SearchScreen } from './features/search';
export { ChooseScreen } from './features/choose';
export { CopiesScreen } from './features/copies';
export { EarnedScreen } from './features/earned';
export { HelpSheet } from './features/piece-frame/help-sheet';
export { KeyList } from './features/shell/key-list';
export { LetGoScreen } from './features/let-go';
export { MeetScreen, NewPieceScreen } from './features/meet';
export { MendScreen } from './features/mend';
export { NoticesScreen } from './features/notices';
export { PhonesScreen } from './features/phones';
export { PutAwayScreen } from './features/put-away';
export { PracticeScreen } from './features/practice';
export { ProveScreen } from './features/prove';
export { ReadScreen } from './features/read';
export { ShelfScreen } from './features/shelf';
export { WorkScreen } from './features/work';
