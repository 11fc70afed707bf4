export { judgeHere, makeJudge, type Judge } from './judge';
export { keepByPiece, type PieceMark } from './keep-by-piece';
