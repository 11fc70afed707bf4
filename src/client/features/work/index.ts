export { WorkScreen } from './work-screen';
