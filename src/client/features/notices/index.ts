export { NoticesScreen } from './notices-screen';
