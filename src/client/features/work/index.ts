export { PutRight } from './log-list';
export { useWork, type WorkView } from './use-work';
export { WorkScreen } from './work-screen';
