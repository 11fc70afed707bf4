export { judgeHere, makeJudge, type Judge } from './judge';
export { keepWhile } from './keep-while';
export { keepByPiece, type PieceMark } from './keep-by-piece';
