export { AskPace, PaceChoice } from './pace-choice';
