export { CopiesScreen } from './copies-screen';
