export { MeetScreen } from './meet-screen';
export { NewPieceScreen } from './new-piece-screen';
